# frozen_string_literal: true

module Verglas
  module Fitting
    # The marks of an adjuster that nobody taped, by the length of the body that decides it: mark (from 1) = a +
    # slope (length - middle), from fittings that were accepted. docs/model.md section 8
    class UntapedScale
      # Of a mark: its own notch, and what an instructor's choice spreads; a slope's prior SD, a mark a mm.
      NOTCH = 1 / 12.0
      CHOICE = 0.5**2
      SLOPE_SD = 0.1
      PASSES = 2
      # Of so many fittings a mark is told.
      LEAST = 3

      attr_reader :count

      # fits: [[length mm, its variance, mark]]; marks: how many it has; middle_mm: the length in the middle.
      def initialize(fits, marks:, middle_mm:)
        @middle_mm = middle_mm
        @count = fits.size
        @line =
          PASSES.times.inject(prior(marks)) { |line, pass| line_of(fits, marks, pass.zero? ? 0.0 : line.mean.last) }
      end

      def at_middle = @line.mean.first
      def slope = @line.mean.last

      # [mean, SD] of the mark for a length of that variance.
      def mark(length_mm, variance_mm2)
        row = [1.0, length_mm - @middle_mm]
        spread = @line.variance(row) + NOTCH + CHOICE + ((slope**2) * variance_mm2)
        [@line.expected(row), Math.sqrt(spread)]
      end

      private

      def prior(marks)
        Statistics::Normal.new(mean: [(marks + 1) / 2.0, 0.0], covariance: [[marks**2, 0.0], [0.0, SLOPE_SD**2]])
      end

      def line_of(fits, marks, slope)
        fits.inject(prior(marks)) do |line, (length, variance, mark)|
          noise = Math.sqrt(NOTCH + CHOICE + ((slope**2) * variance))
          line.observe(row: [1.0, length - @middle_mm], value: mark, sd: noise)
        end
      end
    end
  end
end
