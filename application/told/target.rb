# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # A place at which a joint should lie, magnified: where it lies and how surely, where each mark of an adjuster
      # would put it, and the same in words. Scene frame: x forward, y up, mm from the place aimed at.
      module Target
        module_function

        # One for every finding in a plane that is told at some marks.
        def all(evaluation)
          evaluation.machine.family.findings.each_value.select(&:plane?).map { |kind| of(kind, evaluation) }
        end

        def of(kind, evaluation)
          mechanics = evaluation.mechanics
          at = evaluation.place_of(kind.code)
          (along, both), (_, across) = evaluation.covariance_of(kind.code)
          shown(
            mechanics,
            kind,
            at: [at.s, at.n * mechanics.up],
            sds: [along, across].map { |variance| Math.sqrt(variance) },
            covariance: both * mechanics.up,
            places: places(evaluation, mechanics.up)
          )
        end

        # at, sds: along and up, mm; covariance: mm^2; places: {label => [{mark:, x_mm:, y_mm:}]}.
        def shown(mechanics, kind, at:, sds:, covariance:, places:)
          sides = Telling.of(mechanics).sides.map { |side| Formats::Words.of(side) }
          {
            finding: kind.code,
            joint: Formats::Words.say("targets.joints.#{kind.code}"),
            x_mm: at[0],
            y_mm: at[1],
            sd_x_mm: sds[0],
            sd_y_mm: sds[1],
            covariance_mm2: covariance,
            in_line_mm: kind.band.in_line.max,
            close_mm: kind.band.close.max,
            sides: sides,
            places: places,
            says: says(kind, sides, at[0], places)
          }
        end

        # {label => where each mark puts the joint}
        def places(evaluation, up)
          Fitting::Neighbours
            .lens(evaluation)
            .transform_values do |points|
              points.map { |mark, point| { mark: mark, x_mm: point.s, y_mm: point.n * up } }
            end
        end

        # The magnifier in words, for each adjuster whose marks it shows ("" for none).
        def says(kind, sides, along, places)
          said = ->(x_mm) { { mm: x_mm.abs.round, side: sides[x_mm.negative? ? 0 : 1] } }
          marks =
            places.to_h do |label, points|
              list =
                points
                  .map { |point| Formats::Words.say("targets.mark", mark: point[:mark], **said[point[:x_mm]]) }
                  .join("; ")
              [label, Formats::Words.say("targets.marks", adjuster: label, in_line: kind.band.in_line.max, list: list)]
            end
          { "" => Formats::Words.say("targets.alone", in_line: kind.band.in_line.max, **said[along]), **marks }
        end
        private_class_method :of, :places, :says
      end
    end
  end
end
