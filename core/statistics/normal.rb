# frozen_string_literal: true

module Verglas
  module Statistics
    # A multivariate normal: mean (array of n) and covariance (n rows of n). Units are the caller's, the same
    # throughout.
    class Normal
      attr_reader :mean, :covariance

      def initialize(mean:, covariance:)
        @mean = mean.map(&:to_f).freeze
        @covariance = covariance.map { |row| row.map(&:to_f).freeze }.freeze
        sizes = [@covariance.size, *@covariance.map(&:size)].uniq
        raise ArgumentError, "a mean of #{mean.size} wants a square covariance of that size" unless sizes == [mean.size]

        freeze
      end

      # A vector known exactly.
      def self.exact(mean) = new(mean: mean, covariance: Array.new(mean.size) { Array.new(mean.size, 0.0) })

      # The linear reading z = row . x + noise of the given SD. The Joseph form (I-Kh)P(I-Kh)' + K r^2 K', multiplied
      # out: P - K(Ph)' - (Ph)K' + K S K'. Symmetric by construction; n^2 operations.
      def observe(row:, value:, sd:)
        gain_times_variance = times(row)
        variance = dot(row, gain_times_variance) + (sd**2)
        gain = gain_times_variance.map { |entry| entry / variance }
        innovation = value - dot(row, mean)
        Normal.new(
          mean: mean.zip(gain).map { |m, k| m + (k * innovation) },
          covariance: reduced(gain, gain_times_variance, variance)
        )
      end

      # What is known after row . x + noise of the given SD was seen to lie at or above value (side +1), at or below it
      # (-1): the first two moments of the normal that is cut there. Far out on the tail the bound is met with all but
      # certainty.
      def observe_bound(row:, value:, sd:, side:)
        product = times(row)
        variance = dot(row, product) + (sd**2)
        root = Math.sqrt(variance)
        alpha = side * (value - dot(row, mean)) / root
        hazard = Gaussian.hazard(alpha)
        less = hazard * (hazard - alpha) / variance
        Normal.new(
          mean: mean.zip(product).map { |m, entry| m + (entry * side * hazard / root) },
          covariance:
            covariance.each_with_index.map do |line, i|
              line.each_with_index.map { |e, j| e - (less * product[i] * product[j]) }
            end
        )
      end

      # The same about another mean: offsets, one a variable.
      def shifted(offsets) = Normal.new(mean: mean.zip(offsets).map(&:sum), covariance: covariance)

      # Together with further variables of which each is known by itself: their means and SDs.
      def beside(means, sds)
        size = mean.size
        Normal.new(
          mean: [*mean, *means],
          covariance: [
            *covariance.map { |row| [*row, *Array.new(means.size, 0.0)] },
            *sds.each_with_index.map do |sd, index|
              Array.new(size + means.size, 0.0).tap { |row| row[size + index] = sd**2 }
            end
          ]
        )
      end

      # Of the first so many variables alone.
      def first(count)
        Normal.new(mean: mean.first(count), covariance: covariance.first(count).map { |row| row.first(count) })
      end

      # What a reading along row is expected to be, and the SD of the difference (body and tape together).
      def expected(row) = dot(row, mean)
      def innovation_sd(row:, sd:) = Math.sqrt(variance(row) + (sd**2))

      # Variance of gradient . x, and covariance of two such sums.
      def variance(gradient) = covariance_of(gradient, gradient)

      def covariance_of(one, other)
        sum = 0.0
        one.each_with_index { |entry, index| sum += entry * dot(other, covariance[index]) unless entry.zero? }
        sum
      end

      def sd(gradient) = Math.sqrt([variance(gradient), 0.0].max)

      private

      def reduced(gain, product, variance)
        covariance.each_with_index.map do |row, i|
          row.each_with_index.map do |entry, j|
            entry - (gain[i] * product[j]) - (product[i] * gain[j]) + (gain[i] * variance * gain[j])
          end
        end
      end

      def times(vector) = covariance.map { |row| dot(vector, row) }

      def dot(one, other)
        sum = 0.0
        one.each_with_index { |entry, index| sum += entry * other[index] unless entry.zero? }
        sum
      end
    end
  end
end
