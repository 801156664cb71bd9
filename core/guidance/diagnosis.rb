# frozen_string_literal: true

module Verglas
  module Guidance
    # What is probably behind a sign at some marks, and the notch that mends it. Causes which the model's numbers speak
    # for stand first, the surest first; then those on which no number speaks, in the table's order; then those it
    # speaks against. docs/model.md section 10.
    class Diagnosis
      # A notch has to change the number by this much (mm or degrees) to count as moving it.
      LEAST_CHANGE = 1.0

      # probability: how likely the number lies where the cause says, nil where none speaks; to: the Evaluation after
      # the move that mends it, adjuster: whose notch that is, choice: what is laid or placed for it (all nil: no move
      # helps); told_by: the finding that tells what it does; of_joint: whether that is where the joint lies.
      Suspect =
        Value.define(:cause, :probability, :adjuster, :choice, :to, :told_by, :of_joint) do
          # The move, to know it again.
          def move = to && (adjuster ? [adjuster, to.marks[adjuster]] : [choice, to.wishes[choice]])

          def rank
            return 1, 0 if probability.nil?

            [probability >= 0.5 ? 0 : 2, -probability]
          end
        end

      # evaluation: where the client sits now; seen: SeenKnee, which outranks the geometry; nil where no
      # creep test was read. sizes: {choice => sizes that can be laid there, mm}.
      def initialize(evaluation, seen: nil, sizes: {})
        @evaluation = evaluation
        @seen = seen
        @sizes = sizes
      end

      # Suspects of a sign (Symbol), the likeliest first; a move that one of them has is not offered again. Raises
      # Invalid for a sign that the machine does not have.
      def suspects(sign)
        ranked =
          Signs
            .causes(@evaluation.machine, sign)
            .map { |cause| suspect(cause) }
            .sort_by
            .with_index { |suspect, index| [*suspect.rank, index] }
        ranked.each_with_index.map do |one, index|
          one.move && ranked.first(index).any? { |other| other.move == one.move } ? one.with(**NO_MOVE) : one
        end
      end

      # P(the number that a cause names lies where it says); nil where none speaks.
      def likelihood(cause) = cause.measured? ? excess(cause, @evaluation)&.then { |one| probability(cause, one) } : nil

      NO_MOVE = { adjuster: nil, choice: nil, to: nil }.freeze
      private_constant :NO_MOVE

      private

      # As a Float, so that the kinds compare: number - edge in the direction of the cause; nil where it is not told.
      def excess(cause, evaluation)
        return signed(cause, quantity(cause.quantity, evaluation)) if cause.quantity

        finding = finding(cause, evaluation)
        finding && signed(cause, graded(finding, evaluation) - edge(cause))
      end

      def quantity(name, evaluation)
        return evaluation.quantities[name] unless @seen && plane.include?(name)

        seen = @seen.at(evaluation)
        [seen.s, seen.n][plane.index(name)]
      end

      def graded(finding, evaluation) = @seen && plane?(finding.code) ? @seen.at(evaluation).norm : finding.graded

      def signed(cause, number) = number && (cause.over ? number : -number)
      def finding(cause, evaluation) = cause.finding && evaluation.finding(cause.finding)

      # The two quantities of the finding in a plane; where the joint was seen, it is they that were.
      def plane = @plane ||= @evaluation.plane&.plane || []
      def plane?(code) = kinds.key?(code) && kinds[code].plane?
      def kinds = @evaluation.machine.family.findings

      def edge(cause)
        in_line = kinds.fetch(cause.finding).band.in_line
        cause.over ? in_line.max : in_line.min
      end

      def suspect(cause)
        excess = cause.measured? ? excess(cause, @evaluation) : nil
        told_by = told_by(cause)
        Suspect.new(
          cause: cause,
          probability: excess && probability(cause, excess),
          told_by: told_by,
          of_joint: !told_by.nil? && plane?(told_by),
          **(remedy(cause, excess, told_by) || NO_MOVE)
        )
      end

      # The move that mends a cause, where there is one: the best notch, else what can be laid or placed.
      def remedy(cause, excess, told_by)
        adjuster, to = excess && told_by && notch(cause, excess)
        return { adjuster: adjuster, choice: nil, to: to } if to

        to = laid(cause, excess)
        to && { adjuster: nil, choice: cause.choice, to: to }
      end

      # One step of what is placed, or the smallest size of what is laid, with which the whole is better than now; nil
      # where none is.
      def laid(cause, excess)
        choice = @evaluation.machine.family.choices[cause.choice] or return
        sizes =
          (
            if choice.placed?
              stepped(choice, cause.towards)
            else
              @sizes.fetch(cause.choice, []).reject { |size| size <= @evaluation.wishes[cause.choice].to_f }
            end
          )
        sizes
          .sort
          .map { |size| @evaluation.placing(cause.choice, size.to_f) }
          .find { |other| better?(other) && (excess.nil? || excess(cause, other) < excess) }
      end

      def stepped(choice, towards)
        value = @evaluation.mechanics.wishes[choice.name].round + (towards == :less ? -choice.step : choice.step)
        low, high = @evaluation.mechanics.span(choice.name, @evaluation.place)
        value.between?(low.ceil, high.floor) ? [value] : []
      end

      # Nothing is offered that leaves the whole no better, or with which nothing is ever accepted.
      def better?(other) = other.score < @evaluation.score && acceptable?(other)
      def acceptable?(other) = other.findings.none? { |found| other.kind(found.code).never.include?(found.fault) }

      # The finding that tells a cause's number; nil where none does, and so nothing can be said of what a notch would
      # do.
      def told_by(cause)
        cause.finding ||
          (
            cause.quantity &&
              @evaluation
                .findings
                .map(&:code)
                .find { |code| @evaluation.kind(code).quantities.include?(cause.quantity) }
          )
      end

      # P(excess > 0)
      def probability(cause, excess)
        return 1 - in_line(cause.finding, edge(cause)) if plane?(cause.finding)

        name = cause.quantity || kinds.fetch(cause.finding).graded
        1 - Statistics::Gaussian.cumulative(0.0, mean: excess, sd: sd(name))
      end

      def sd(name) = @seen && plane.include?(name) ? @seen.sds_mm[plane.index(name)] : @evaluation.sd(name)

      # P(the joint lies within this of the pivot)
      def in_line(code, radius_mm)
        @seen ? @seen.probability_within(radius_mm, @evaluation) : @evaluation.plane_probability(code, radius_mm)
      end

      # Of the notches that lessen what the cause names, the one after which the whole is best; where the knee was seen,
      # the one that brings it nearest to the pivot.
      def notch(cause, excess)
        helping = steps.select { |_, other| excess(cause, other) < excess - LEAST_CHANGE && acceptable?(other) }
        return nearer(helping) if @seen && (plane.include?(cause.quantity) || plane?(cause.finding))

        helping.select { |_, other| better?(other) }.min_by { |_, other| other.score }
      end

      # Of a knee that was seen it counts where it comes to lie, not what the numbers say of the whole.
      def nearer(helping)
        now = @seen.at(@evaluation).norm
        helping
          .select { |_, other| @seen.at(other).norm < now }
          .min_by { |_, other| [@seen.at(other).norm, *other.score.key] }
      end

      def steps
        @steps ||=
          Fitting::Neighbours.steps(@evaluation).flat_map { |label, pair| pair.compact.map { |other| [label, other] } }
      end
    end
  end
end
