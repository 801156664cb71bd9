# frozen_string_literal: true

module Verglas
  module Body
    # One length read off the tape. A confirmed reading was read twice: it is kept even where it looks like a slip.
    Reading =
      Value.define(:observation, :value_mm, :confirmed) do
        # What a tape can have read of somebody who can be fitted, mm.
        def self.range_mm(observation) = Observation.fetch(observation).limits_mm || Reading::LENGTH_MM

        def check
          Observation.fetch(observation)
          return if value_mm.is_a?(Numeric) && value_mm.finite? && value_mm.positive?

          raise Invalid.new(:reading_not_positive, name: observation, value: value_mm)
        end
      end

    Reading::LENGTH_MM = (30..2000)
  end
end
