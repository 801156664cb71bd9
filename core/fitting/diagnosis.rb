# frozen_string_literal: true

module Verglas
  module Fitting
    # What is probably behind a sign at some marks, and the notch that mends it. Causes which the model's numbers speak for stand
    # first, the surest first; then those on which no number speaks, in the table's order; then those it speaks against.
    # docs/model.md section 10.
    class Diagnosis
      # Which coordinate of the knee a quantity is.
      KNEE = { knee_s_mm: :s, knee_n_mm: :n }.freeze
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

      # evaluation: where the client sits now; seen: SeenKnee, which outranks the geometry; nil where no
      # creep test was read.
      def initialize(evaluation, seen: nil)
        @evaluation = evaluation
        @seen = seen
      end

      # Suspects of a sign (Symbol), the likeliest first. Raises Invalid for a sign that the machine does not have.
      def suspects(sign)
        Signs.causes(@evaluation.machine, sign).map { |cause| suspect(cause) }.sort_by.with_index { |suspect, index| [*suspect.rank, index] }
      end

      private

      # As a Float, so that the kinds compare: number - edge in the direction of the cause; nil where it is not told.
      def excess(cause, evaluation)
        return signed(cause, quantity(cause.quantity, evaluation)) if cause.quantity

        finding = finding(cause, evaluation)
        finding && signed(cause, graded(finding, evaluation) - edge(cause))
      end

      def quantity(name, evaluation)
        return evaluation.quantities[name] unless @seen && KNEE.key?(name)

        @seen.at(evaluation).public_send(KNEE.fetch(name))
      end

      def graded(finding, evaluation) = @seen && finding.code == :offset ? @seen.at(evaluation).norm : finding.graded

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
        return 1 - in_line(edge(cause)) if cause.finding == :offset

        name = cause.quantity || @evaluation.mechanics.class::GRADED_QUANTITY.fetch(cause.finding)
        1 - Statistics::Gaussian.cumulative(0.0, mean: excess, sd: sd(name))
      end

      def sd(name) = @seen && KNEE.key?(name) ? @seen.sds_mm[KNEE.keys.index(name)] : @evaluation.sd(name)

      # P(the knee lies within this of the pivot)
      def in_line(radius_mm) = @seen ? @seen.probability_within(radius_mm, @evaluation) : @evaluation.joint_probability(radius_mm)

      # Of the notches that lessen what the cause names, the one after which the whole is best; where the knee was seen, the one
      # that brings it nearest to the pivot.
      def notch(cause, excess)
        helping = steps.select { |_, other| excess(cause, other) < excess - LEAST_CHANGE }
        return helping.min_by { |_, other| [@seen.at(other).norm, *other.score.key] } if @seen && (KNEE.key?(cause.quantity) || cause.finding == :offset)

        helping.min_by { |_, other| other.score }
      end

      def steps
        @steps ||= Neighbours.steps(@evaluation).flat_map { |label, pair| pair.compact.map { |other| [label, other] } }
      end
    end
  end
end
