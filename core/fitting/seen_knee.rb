# frozen_string_literal: true

module Verglas
  module Fitting
    # Where the knee is by a creep test, which outranks the geometry, and where other marks would put it: a knee that
    # was seen moves with the marks as the geometry says. mm from the pivot in the machine's frame.
    class SeenKnee
      attr_reader :sds_mm, :covariance_mm2

      # readings: [[arm_deg, reading_mm], ...] taken while the client sat as in `base` (Evaluation).
      def self.read(base, readings) = new(CreepTest.at(base).answer(readings), base)

      # answer: CreepTest::Answer.
      def initialize(answer, base)
        @at_base = answer.knee
        @base = place(base)
        @sds_mm = answer.sds_mm
        @covariance_mm2 = answer.covariance_mm2
      end

      # Point, at the marks of an evaluation.
      def at(evaluation) = @at_base + (place(evaluation) - @base)

      # P(the knee lies within this of the pivot) at the marks of an evaluation.
      def probability_within(radius_mm, evaluation)
        along, across = @sds_mm
        Statistics::Gaussian.disc_probability(
          mean: at(evaluation),
          variance_s: along**2,
          variance_n: across**2,
          covariance: @covariance_mm2,
          radius: radius_mm.to_f
        )
      end

      # [label, Evaluation] of the one adjuster's mark that brings the knee nearest to the pivot, the fewest notches on
      # a tie; nil where it is nearest already.
      def best(evaluation)
        here = [at(evaluation).norm.round(6), 0]
        found = moves(evaluation).min_by { |_, other, notches| [at(other).norm.round(6), notches] }
        found.take(2) if found && ([at(found[1]).norm.round(6), 0] <=> here).negative?
      end

      private

      def place(evaluation) = evaluation.place.joint

      def moves(evaluation)
        joint = evaluation.machine.leading.select { |index| evaluation.machine.group_of(index) == :joint }
        joint.flat_map do |index|
          Neighbours
            .along(evaluation, index)
            .map do |other|
              [evaluation.machine.adjusters[index].label, other, (other.indices[index] - evaluation.indices[index]).abs]
            end
        end
      end
    end
  end
end
