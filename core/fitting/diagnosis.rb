# frozen_string_literal: true

module Verglas
  module Fitting
    # What is probably behind a sign at some marks, and the notch that mends it. Causes which the model's numbers speak for stand
    # first, the surest first; then those on which no number speaks, in the table's order; then those it speaks against.
    # docs/model.md section 10.
    class Diagnosis
      # A notch has to change the number by this much (mm or degrees) to count as moving it.
      LEAST_CHANGE = 1.0

      # probability: how likely the number lies where the cause says, nil where none speaks; to: the Evaluation one notch away,
      # adjuster: whose notch (both nil: no notch helps).
      Suspect = Value.define(:cause, :probability, :adjuster, :to) do
        def rank
          return [1, 0] if probability.nil?

          [probability >= 0.5 ? 0 : 2, -probability]
        end
      end

      # evaluation: where the client sits now.
      def initialize(evaluation)
        @evaluation = evaluation
      end

      # Suspects of a sign (Symbol), the likeliest first. Raises Invalid for a sign that the machine does not have.
      def suspects(sign)
        Signs.causes(@evaluation.machine, sign).map { |cause| suspect(cause) }.sort_by.with_index { |suspect, index| [*suspect.rank, index] }
      end

      private

      # As a Float, so that the kinds compare: number - edge in the direction of the cause; nil where it is not told.
      def excess(cause, evaluation)
        return signed(cause, evaluation.quantities[cause.quantity]) if cause.quantity

        finding = finding(cause, evaluation)
        finding && signed(cause, finding.graded - edge(cause))
      end

      def signed(cause, number) = number && (cause.over ? number : -number)
      def finding(cause, evaluation) = evaluation.findings.find { |finding| finding.code == cause.finding }

      def edge(cause)
        in_line = bands.fetch(cause.finding).in_line
        cause.over ? in_line.max : in_line.min
      end

      def bands = @evaluation.mechanics.class::BANDS

      def suspect(cause)
        excess = cause.measured? ? excess(cause, @evaluation) : nil
        return Suspect.new(cause: cause, probability: nil, adjuster: nil, to: nil) if excess.nil?

        adjuster, to = notch(cause, excess)
        Suspect.new(cause: cause, probability: probability(cause, excess), adjuster: adjuster, to: to)
      end

      # P(excess > 0)
      def probability(cause, excess)
        return 1 - @evaluation.joint_probability(edge(cause)) if cause.finding == :offset

        name = cause.quantity || @evaluation.mechanics.class::GRADED_QUANTITY.fetch(cause.finding)
        1 - Statistics::Gaussian.cumulative(0.0, mean: excess, sd: @evaluation.sd(name))
      end

      # Of the notches that lessen what the cause names, the one after which the whole is best.
      def notch(cause, excess)
        steps.select { |_, other| excess(cause, other) < excess - LEAST_CHANGE }.min_by { |_, other| other.score }
      end

      def steps
        @steps ||= Neighbours.steps(@evaluation).flat_map { |label, pair| pair.compact.map { |other| [label, other] } }
      end
    end
  end
end
