# frozen_string_literal: true

module Verglas
  module Fitting
    # What is aimed at and what must be respected: contact above the ankle (mm), knee bend at the start and at the end of the
    # movement (degrees), how far a thigh pad presses (mm), cushions and, on a flat bench, the pad under the hips in use (mm),
    # where a lying client's knee is laid (mm ahead of the pivot); the knee's own range, and the bend from which the load goes
    # slack (degrees, nil where nothing holds).
    Wishes = Value.define(:contact_above_ankle_mm, :start_bend_deg, :end_bend_deg, :thigh_press_mm, :cushion_back_mm, :cushion_seat_mm, :hip_pad_mm,
                          :knee_laid_mm, :knee_from_deg, :knee_to_deg, :slack_from_deg) do
      const_set(:NOTHING, { contact_above_ankle_mm: 0.0, start_bend_deg: 0.0, end_bend_deg: 0.0, cushion_back_mm: 0.0, cushion_seat_mm: 0.0, hip_pad_mm: 0.0,
                            knee_laid_mm: 0.0, knee_from_deg: nil, knee_to_deg: nil, slack_from_deg: nil }.freeze)
      const_set(:LIMITS, %i[knee_from_deg knee_to_deg slack_from_deg].freeze)

      # given: what differs from what the family aims at.
      def self.for(family, **given)
        new(**self::NOTHING, thigh_press_mm: KneeOnPivot::BANDS[:thigh_press].target, **family.wanted, **given)
      end

      # An envelope as wishes.
      def self.within(envelope)
        from, upto = envelope[:knee_flexion]
        from = upto if envelope.contradictions.include?(:knee_flexion) # nothing is left, and the machine is barred
        { knee_from_deg: from, knee_to_deg: upto }
      end

      def envelope = Envelope.new({ knee_flexion: [knee_from_deg, knee_to_deg] })

      def check
        limits = self.class::LIMITS
        to_h.except(*limits).each_value { |wish| check_number(wish, "/options") }
        limits.reject { |name| self[name].nil? }.each { |name| check_number(self[name], "/options/#{name}") }
        raise Invalid.new(:range_reversed, path: "/options/knee_flexion") if knee_from_deg && knee_to_deg && knee_from_deg > knee_to_deg
      end

      private

      def check_number(wish, path)
        raise Invalid.new(:wish_not_a_number, path: path, value: wish) unless wish.is_a?(Numeric) && wish.finite?
      end
    end
  end
end
