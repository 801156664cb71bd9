# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A creep test's answer: where the knee is, how sure, and the mark that brings it nearest to the pivot.
      module Creep
        module_function

        # seen: Fitting::SeenKnee; evaluation: at the marks that stand now.
        def of(seen, evaluation)
          knee = seen.at(evaluation)
          Views.rounded(knee: { s: knee.s, n: knee.n }, sds_mm: seen.sds_mm, says: "#{Finding.knee(knee, evaluation)} #{Formats::Words.say("creep.sure", mm: seen.sds_mm.max.round)}",
                        probability: seen.probability_within(Verglas::Fitting::KneeOnPivot::BANDS[:offset].in_line.max, evaluation), move: move(seen, evaluation))
        end

        # Where to read: evenly over the arm's way, lightest load, arm held still.
        def angles(evaluation)
          return [] unless evaluation.quantities.key?(:creep_mm)

          from, upto = evaluation.parameters.values_at(:start_angle, :end_angle)
          %i[start first second end].each_with_index.map do |name, third|
            { name: name, title: Formats::Words.say("creep.at.#{name}"), arm_deg: (from + ((upto - from) * third / 3.0)).round(1) }
          end
        end

        def move(seen, evaluation)
          label, other = seen.best(evaluation)
          return unless label

          { adjuster: label, mark: other.marks[label], says: Formats::Words.say("says.move", adjuster: Formats::Words.adjuster(label), mark: other.marks[label],
                                                                                             result: Finding.lower(Finding.knee(seen.at(other), other))) }
        end
        private_class_method :move
      end
    end
  end
end
