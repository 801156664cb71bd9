# frozen_string_literal: true

module Verglas
  module Body
    # What is known of one body: a normal over PARAMETERS (mm). Not knowing is a value too.
    class Estimate
      attr_reader :normal

      def initialize(normal)
        @normal = normal
        freeze
      end

      def self.exact(dimensions) = new(Statistics::Normal.exact(dimensions.to_a))

      # The mean as one exact body.
      def dimensions = Dimensions.new(*normal.mean)

      def mean = PARAMETERS.zip(normal.mean).to_h
      def sd_of(parameter) = PARAMETERS.index(parameter).then { |index| Math.sqrt(normal.covariance[index][index]) }
      def sd = PARAMETERS.each_with_index.to_h { |name, index| [name, Math.sqrt(normal.covariance[index][index])] }

      # {name => [mean, SD]} of what each observation would read, noise of the tape included.
      def expected(observation)
        [normal.expected(observation.row), normal.innovation_sd(row: observation.row, sd: observation.sd_mm)]
      end

      # One array of slopes per output of the block, which takes Dimensions: output units per mm.
      # along: the parameters on which the outputs depend; the slopes along all others are nought.
      def gradients(along: PARAMETERS)
        places = along.map { |name| PARAMETERS.index(name) }
        Statistics::Gradient.of(normal.mean, along: places) { |values| yield(Dimensions.new(*values)) }
      end
    end
  end
end
