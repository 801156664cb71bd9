# frozen_string_literal: true

module Verglas
  module Fitting
    # What is aimed at and what must be respected: contact above the ankle (mm), knee bend at the start (degrees),
    # cushions in use (mm) and the client's own limit of knee bend (degrees, nil when none).
    Wishes = Value.define(:contact_above_ankle_mm, :start_bend_deg, :cushion_back_mm, :cushion_seat_mm, :knee_bend_limit_deg) do
      def self.for(family, **given)
        new(**family.wanted, cushion_back_mm: 0.0, cushion_seat_mm: 0.0, knee_bend_limit_deg: nil, **given)
      end

      def check
        [contact_above_ankle_mm, start_bend_deg, cushion_back_mm, cushion_seat_mm].each do |wish|
          raise Invalid.new(:wish_not_a_number, path: "/options", value: wish) unless wish.is_a?(Numeric) && wish.finite?
        end
        return if knee_bend_limit_deg.nil? || knee_bend_limit_deg.is_a?(Numeric)

        raise Invalid.new(:wish_not_a_number, path: "/options/knee_bend_limit", value: knee_bend_limit_deg)
      end
    end
  end
end
