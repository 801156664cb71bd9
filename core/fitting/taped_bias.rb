# frozen_string_literal: true

module Verglas
  module Fitting
    # How far an adjuster sits from where it was taped, from fittings that were checked by eye: true = taped + mean.
    # docs/model.md section 8
    TapedBias =
      Value.define(:mean_mm, :sd_mm, :count) do
        # fits: [[required place, accepted place, pitch, variance of the body there]], mm and mm^2.
        def self.learned(fits)
          readings =
            fits.map do |required, accepted, pitch, variance|
              [required - accepted, ((pitch**2) / 12.0) + (TapedBias::EYE_MM**2) + variance]
            end
          precision = (1.0 / (TapedBias::PRIOR_MM**2)) + readings.sum { |_, variance| 1.0 / variance }
          new(
            mean_mm: readings.sum { |value, variance| value / variance } / precision,
            sd_mm: 1 / Math.sqrt(precision),
            count: fits.size
          )
        end
      end

    # Working figures: what an eye misses, and how far a tape goes wrong.
    TapedBias::EYE_MM = 10.0
    TapedBias::PRIOR_MM = 15.0
  end
end
