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
          Told.rounded(
            knee: {
              s: knee.s,
              n: knee.n
            },
            sds_mm: seen.sds_mm,
            says: "#{where(knee, evaluation)} #{Formats::Words.say("creep.sure", mm: seen.sds_mm.max.round)}",
            probability: seen.probability_within(evaluation.plane.band.in_line.max, evaluation),
            move: move(seen, evaluation)
          )
        end

        # Where to read: evenly over the arm's way, lightest load, arm held still.
        def angles(evaluation)
          return [] unless Verglas::Fitting::CreepTest.possible?(evaluation.machine)

          from, upto = evaluation.parameters.values_at(:start_angle, :end_angle)
          %i[start first second end].each_with_index.map do |name, third|
            {
              name: name,
              title: Formats::Words.say("creep.at.#{name}"),
              arm_deg: (from + ((upto - from) * third / 3.0)).round(1)
            }
          end
        end

        def move(seen, evaluation)
          label, other = seen.best(evaluation)
          label && Told::Finding.step(label, other.marks[label], where(seen.at(other), other))
        end

        # Where a knee that was seen lies from the pivot.
        def where(knee, evaluation) = Formats::Words.of(evaluation.voice.where(knee))
        private_class_method :move
      end
    end
  end
end
