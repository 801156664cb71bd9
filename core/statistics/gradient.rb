# frozen_string_literal: true

module Verglas
  module Statistics
    # Slopes by central differences. The block maps an array of inputs to an array of outputs.
    module Gradient
      # One array of slopes per output, each in output units per input unit.
      def self.of(inputs, step: 1.0)
        columns = inputs.each_index.map do |index|
          above = yield(shifted(inputs, index, step))
          below = yield(shifted(inputs, index, -step))
          above.zip(below).map { |high, low| (high - low) / (2 * step) }
        end
        columns.transpose
      end

      def self.shifted(inputs, index, step) = inputs.dup.tap { |copy| copy[index] += step }
      private_class_method :shifted
    end
  end
end
