# frozen_string_literal: true

module Verglas
  module Statistics
    # The scalar normal distribution, and the one integral over a disc that the pivot needs.
    module Gaussian
      SIMPSON_STEPS = 200
      # Half width of a 90 percent interval, in SDs.
      INTERVAL = 1.645
      ROOT_2 = Math.sqrt(2)
      ROOT_2_PI = Math.sqrt(2 * Math::PI)

      module_function

      def density(deviation, sd) = Math.exp(-0.5 * ((deviation / sd)**2)) / (sd * ROOT_2_PI)

      # Of the standard normal at alpha: density over what lies above. Where nothing is left to divide by, its limit.
      def hazard(alpha)
        above = 0.5 * Math.erfc(alpha / ROOT_2)
        above > 1e-300 ? density(alpha, 1.0) / above : alpha + (1 / alpha)
      end

      def cumulative(value, mean:, sd:)
        return value < mean ? 0.0 : 1.0 if sd.zero?

        0.5 * Math.erfc((mean - value) / (sd * ROOT_2))
      end

      # P(low <= x <= high)
      def between(low, high, mean:, sd:) = cumulative(high, mean: mean, sd: sd) - cumulative(low, mean: mean, sd: sd)

      # P(|e| <= radius) for a plane normal e = (s, n): Simpson over n of its density times the conditional normal of s.
      # Variances positive, |covariance| below their geometric mean; one unit throughout.
      def disc_probability(mean:, variance_s:, variance_n:, covariance:, radius:)
        slope = covariance / variance_n
        sd_given_n = Math.sqrt([variance_s - (slope * covariance), 1e-12].max)
        sd_n = Math.sqrt(variance_n)
        simpson(-radius, radius) do |n|
          half_chord = Math.sqrt([(radius**2) - (n**2), 0.0].max)
          centre = mean.s + (slope * (n - mean.n))
          density(n - mean.n, sd_n) * between(-half_chord, half_chord, mean: centre, sd: sd_given_n)
        end
      end

      def simpson(from, upto, steps: SIMPSON_STEPS)
        width = (upto - from) / steps.to_f
        sum =
          (0..steps).sum do |step|
            weight = step.zero? || step == steps ? 1 : 2 + (2 * (step % 2))
            weight * yield(from + (step * width))
          end
        sum * width / 3
      end
    end
  end
end
