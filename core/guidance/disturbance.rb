# frozen_string_literal: true

module Verglas
  module Guidance
    # What later moves disturbed of what had been set and seen: of each step the numbers it was about, as they were when
    # it was done and as they are now. Adjusters disturb one another, so this says which pads to look at again, and by
    # how much.
    class Disturbance
      # A number has to have moved by this much (mm or degrees).
      LEAST = 1.0

      # step: Flow::Step; finding: as it is now; by: how far its number has moved (mm or degrees; of the knee, the way
      # it went); to: the Evaluation with the step's own adjuster at the mark that is best now, nil where it stands
      # there.
      Moved = Value.define(:step, :finding, :by, :to)

      # now: the Evaluation at the marks that stand; seen: {step id => Evaluation when that step was done}.
      def initialize(now, steps:, seen:)
        @now = now
        @steps = steps
        @seen = seen
      end

      # Worst first, then as far as it moved.
      def moved
        @moved ||=
          @steps
            .filter_map { |step| of_step(step) }
            .sort_by
            .with_index { |moved, index| [-moved.finding.severity, -moved.by.abs, index] }
      end

      private

      def of_step(step)
        before = @seen[step.id]
        return unless before

        found =
          codes(step).filter_map { |code| @now.finding(code) }.map { |finding| [finding, by(finding.code, before)] }
        finding, by =
          found
            .select { |_, distance| distance.abs >= LEAST }
            .max_by { |candidate, distance| [candidate.severity, distance.abs] }
        finding && Moved.new(step: step, finding: finding, by: by, to: mend(step))
      end

      # Those that the step's decision, or the step itself, sets.
      def codes(step)
        @now
          .machine
          .family
          .findings
          .each_value
          .select { |kind| kind.set_by.include?(step.rule || step.stage) }
          .map(&:code)
      end

      # A joint that went from one side of the pivot to the other has moved, however far off it is.
      def by(code, before)
        kind = @now.kind(code)
        return (@now.place_of(code) - before.place_of(code)).norm if kind.plane?

        @now.quantities[kind.graded] - before.quantities[kind.graded]
      end

      def mend(step)
        return unless step.adjuster

        place = @now.machine.adjusters.index { |adjuster| adjuster.label == step.adjuster }
        best =
          Fitting::Neighbours
            .along(@now, place)
            .min_by { |other| [other.score, (other.indices[place] - @now.indices[place]).abs] }
        best.indices == @now.indices ? nil : best
      end
    end
  end
end
