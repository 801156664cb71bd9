# frozen_string_literal: true

module Verglas
  module Fitting
    # What is aimed at and what must be respected: contact above the ankle (mm), knee bend at the start (degrees), how far
    # short of straight a movement ends (degrees; told, not graded), how far a thigh pad presses (mm), cushions and, on a flat
    # bench, the pad under the hips in use (mm), where a lying client's knee is laid (mm ahead of the pivot), and the client's
    # own limit of knee bend (degrees, nil when none).
    Wishes = Value.define(:contact_above_ankle_mm, :start_bend_deg, :end_short_deg, :thigh_press_mm, :cushion_back_mm, :cushion_seat_mm, :hip_pad_mm,
                          :knee_laid_mm, :knee_bend_limit_deg) do
      const_set(:NOTHING, { contact_above_ankle_mm: 0.0, start_bend_deg: 0.0, end_short_deg: 0.0, cushion_back_mm: 0.0, cushion_seat_mm: 0.0, hip_pad_mm: 0.0,
                            knee_laid_mm: 0.0, knee_bend_limit_deg: nil }.freeze)

      # given: what differs from what the family aims at.
      def self.for(family, **given)
        new(**self::NOTHING, thigh_press_mm: KneeOnPivot::BANDS[:thigh_press].target, **family.wanted, **given)
      end

      def check
        to_h.except(:knee_bend_limit_deg).each_value do |wish|
          raise Invalid.new(:wish_not_a_number, path: "/options", value: wish) unless wish.is_a?(Numeric) && wish.finite?
        end
        return if knee_bend_limit_deg.nil? || knee_bend_limit_deg.is_a?(Numeric)

        raise Invalid.new(:wish_not_a_number, path: "/options/knee_bend_limit", value: knee_bend_limit_deg)
      end
    end
  end
end
