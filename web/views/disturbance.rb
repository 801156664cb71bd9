# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # What later moves disturbed: which step to look at again, how far its number went, which mark is best there now.
      module Disturbance
        module_function

        # done: {step id => {"marks", "aids"} when it was done}, as the flow keeps it.
        def of(meeting, evaluation, done)
          seen =
            done
              .slice(*meeting.steps.map(&:id))
              .transform_values { |entry| meeting.evaluation(entry["marks"], entry["aids"].to_h) }
          Verglas::Guidance::Disturbance
            .new(evaluation, steps: meeting.steps, seen: seen)
            .moved
            .map { |moved| one(moved, evaluation) }
        end

        def one(moved, evaluation)
          finding = moved.finding
          {
            step: moved.step.id,
            code: finding.code,
            by: moved.by.round(1),
            band: finding.band,
            says: says(moved, evaluation),
            move: move(moved)
          }
        end

        # How far, which way, and what it is now.
        def says(moved, evaluation)
          unit = evaluation.kind(moved.finding.code).unit
          direction = moved.by.negative? ? :less : :more
          [
            Formats::Words.say(
              "disturbed.#{moved.finding.code}.#{direction}",
              amount: Told::Finding.amount(moved.by.abs, unit)
            ),
            Told::Finding.says(moved.finding, evaluation)
          ].join(" ")
        end

        def move(moved)
          return unless moved.to

          Told::Finding.step(
            moved.step.adjuster,
            moved.to.marks[moved.step.adjuster],
            Told::Finding.says(moved.to.finding(moved.finding.code), moved.to)
          )
        end
        private_class_method :one, :says, :move
      end
    end
  end
end
