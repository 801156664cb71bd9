# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # What later moves disturbed: which step to look at again, how far its number went, which mark is best there now.
      module Disturbance
        module_function

        # done: {step id => {"marks", "aids"} when it was done}, as the flow keeps it.
        def of(bench, evaluation, done)
          seen = done.slice(*bench.steps.map(&:id)).transform_values { |entry| bench.evaluation(entry["marks"], entry["aids"].to_h) }
          Verglas::Fitting::Disturbance.new(evaluation, steps: bench.steps, seen: seen).moved.map { |moved| one(moved, evaluation) }
        end

        def one(moved, evaluation)
          finding = moved.finding
          { step: moved.step.id, code: finding.code, by: moved.by.round(1), band: finding.band, says: says(moved, evaluation), move: move(moved) }
        end

        # How far, which way, and what it is now.
        def says(moved, evaluation)
          unit = Verglas::Fitting::KneeOnPivot::BANDS[moved.finding.code].unit
          direction = moved.by.negative? ? :less : :more
          [Formats::Words.say("disturbed.#{moved.finding.code}.#{direction}", amount: Advice.amount(moved.by.abs, unit)), Finding.says(moved.finding, evaluation)].join(" ")
        end

        def move(moved)
          return unless moved.to

          mark = moved.to.marks[moved.step.adjuster]
          after = moved.to.findings.find { |finding| finding.code == moved.finding.code }
          { adjuster: moved.step.adjuster, mark: mark,
            says: Formats::Words.say("says.move", adjuster: Formats::Words.adjuster(moved.step.adjuster), mark: mark, result: Finding.lower(Finding.says(after, moved.to))) }
        end
        private_class_method :one, :says, :move
      end
    end
  end
end
