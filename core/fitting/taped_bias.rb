# frozen_string_literal: true

module Verglas
  module Fitting
    # How far an adjuster sits from where it was taped, from fittings that were checked by eye: true = taped + mean.
    # docs/model.md section 8
    TapedBias =
      Value.define(:mean_mm, :sd_mm, :count) do
        # Whether it is more than chance, though it is looked at after every fitting, and more than a tape is read to.
        def told? = TapedBias.told?(mean_mm, sd_mm)
        def self.told?(off_mm, sd_mm) = off_mm.abs >= [TapedBias::TOLD_SDS * sd_mm, TapedBias::TOLD_MM].max

        # fits: [[required place, accepted place, pitch, variance of the body there]], mm and mm^2.
        def self.learned(fits)
          readings = readings(fits)
          precision = (1.0 / (TapedBias::PRIOR_MM**2)) + readings.sum { |_, variance| 1.0 / variance }
          new(
            mean_mm: readings.sum { |value, variance| value / variance } / precision,
            sd_mm: 1 / Math.sqrt(precision),
            count: fits.size
          )
        end

        # How far the last ones sit from all before them, oldest first: [mm, SD]; nil where either are too few, or it is
        # no more than chance. A bolt that moved.
        def self.drift(fits)
          before = fits[0...-TapedBias::LAST].to_a
          return if before.size < TapedBias::LEAST

          (was, was_variance), (is, is_variance) = [before, fits.last(TapedBias::LAST)].map { |some| weighed(some) }
          sd = Math.sqrt(was_variance + is_variance)
          [is - was, sd] if told?(is - was, sd)
        end

        # Mean and variance of what they say, with nothing thought of before.
        def self.weighed(fits)
          readings = readings(fits)
          precision = readings.sum { |_, variance| 1.0 / variance }
          [readings.sum { |value, variance| value / variance } / precision, 1 / precision]
        end

        def self.readings(fits)
          fits.map do |required, accepted, pitch, variance|
            [required - accepted, ((pitch**2) / 12.0) + (TapedBias::EYE_MM**2) + variance]
          end
        end
        private_class_method :weighed, :readings
      end

    # Working figures: what an eye misses, and how far a tape goes wrong.
    TapedBias::EYE_MM = 10.0
    TapedBias::PRIOR_MM = 15.0
    # Less is no more than a tape is read to. Of the last so many it is asked whether they differ from those before
    # them, so many at least.
    TapedBias::TOLD_MM = 5.0
    TapedBias::TOLD_SDS = 2.5
    TapedBias::LAST = 10
    TapedBias::LEAST = 5
  end
end
