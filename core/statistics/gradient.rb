# frozen_string_literal: true

module Verglas
  module Statistics
    # Slopes by differences. The block maps an array of inputs to an array of outputs.
    module Gradient
      # So small that the curve within it does not count, so large that rounding does not either.
      ONWARDS = 0.01

      # By central differences: one array of slopes per output, each in output units per input unit. along: which inputs
      # matter; the slopes along the others are nought and are not computed.
      def self.of(inputs, step: 1.0, along: inputs.each_index)
        slopes =
          along.to_h do |index|
            above = yield(shifted(inputs, index, step))
            below = yield(shifted(inputs, index, -step))
            [index, above.zip(below).map { |high, low| (high - low) / (2 * step) }]
          end
        none = slopes.empty? ? [] : Array.new(slopes.each_value.first.size, 0.0)
        inputs.each_index.map { |index| slopes.fetch(index, none) }.transpose
      end

      # The same by differences onwards from outputs that are known already: half the work, where the model asks for no
      # more.
      def self.onwards(inputs, here:, step: ONWARDS)
        inputs
          .each_index
          .map { |index| yield(shifted(inputs, index, step)).zip(here).map { |there, known| (there - known) / step } }
          .transpose
      end

      def self.shifted(inputs, index, step) = inputs.dup.tap { |copy| copy[index] += step }
      private_class_method :shifted
    end
  end
end
