# frozen_string_literal: true

module Verglas
  module Body
    # What is known of one body: a normal over PARAMETERS (mm). Not knowing is a value too.
    class Estimate
      NOTHING_KNOWN = Build.of
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

      # [mean, SD] of what an observation would read of somebody of such a build (Build), noise of the tape included.
      def expected(observation, build = NOTHING_KNOWN)
        [
          normal.expected(observation.row) - observation.lacks_mm(build),
          normal.innovation_sd(row: observation.row, sd: observation.sd_for(build))
        ]
      end

      # With one reading more (mm).
      def reading(observation, value_mm, build)
        Estimate.new(
          normal.observe(
            row: observation.row,
            value: value_mm + observation.lacks_mm(build),
            sd: observation.sd_for(build)
          )
        )
      end

      # As machines meet it: the trunk shorter by what the years took of it.
      def aged(build)
        if build.loss_mm.zero?
          self
        else
          Estimate.new(normal.shifted(PARAMETERS.map { |name| name == :torso ? -build.trunk_loss_mm : 0.0 }))
        end
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
