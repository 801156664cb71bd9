# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # Fittings: the bench's page, a card's line, a line of what was left open.
      module Fitting
        # Which computation a record came from; changes when the model's numbers do.
        MODEL = "2026-11"

        module_function

        # The bench of what is not closed; the record, as it was kept, of what is.
        def page(bench, gym) = bench.fitting[:accepted_at] ? record(bench, gym) : draft(bench, gym)

        def record(bench, gym)
          row = bench.fitting
          back = taken_back(row)&.merge(by: staff_name(gym, row[:updated_by]))
          { **common(bench, gym, of: row[:accepted_by]), taken_back: back, evaluation: row[:result], computed_from: row[:computed_from], advice: nil, steps: [], creep_angles: [],
                                                         cautions: row[:computed_from].fetch("cautions", []), bars: [], narrowed: nil, since: nil, repaired: false }
        end

        # A draft whose marks were chosen on an older description is shown with those that still stand.
        def draft(bench, gym)
          marks = Sheet.repaired(bench, bench.fitting[:marks].to_h)
          evaluation = bench.evaluation(marks, bench.fitting[:aids].to_h)
          shown = { marks: marks, repaired: marks != bench.fitting[:marks].to_h, computed_from: nil, evaluation: Evaluation.of(evaluation), advice: Advice.of(bench),
                    steps: Steps.of(bench), creep_angles: Creep.angles(evaluation) }
          { **common(bench, gym, of: bench.fitting[:updated_by]), since: Since.of(bench, gym), **Cautions.on_bench(bench), **shown }
        end

        def common(bench, gym, of:)
          { **state(bench.fitting, by: staff_name(gym, of)), client: Client.summary(bench.client), machine: Machine.on_bench(bench),
                                                             station: bench.station? ? Station.of(bench, gym) : nil, stops: Signs.stops }
        end

        def state(row, by:)
          { id: row[:id], state: row[:state], version: row[:version], stop_sign: row[:stop_sign], taken_back: taken_back(row), **Sheet.of_row(row), by: by,
            updated_at: Views.time(row[:updated_at]), accepted_at: Views.time(row[:accepted_at]) }
        end

        def open_line(row)
          { id: row[:id], client: { id: row[:client_id], name: row[:client_name], detail: row[:client_detail] },
            machine: { id: row[:machine_id], name: Machine.exercise_name(row[:machine_name], row[:exercise]), place: row[:machine_place] },
            marks: Machine.tags(row[:marks].to_h), by: row[:by_name], updated_at: Views.time(row[:updated_at]) }
        end

        def discarded_line(row)
          { id: row[:id], version: row[:version], client: { id: row[:client_id], name: row[:client_name], detail: row[:client_detail] },
            machine_name: Machine.exercise_name(row[:machine_name], row[:exercise]), by: row[:by_name], updated_at: Views.time(row[:updated_at]) }
        end

        # One line a machine and exercise: the marks that stand, and the draft on top of them.
        def card_line(row)
          draft = row[:state] == "draft" ? row : row[:draft]
          accepted = row[:state] == "accepted" ? row : nil
          { machine: { id: row[:machine_id], name: row[:machine_name], place: row[:machine_place] }, exercise: row[:exercise],
            accepted: accepted && history_line(accepted), draft: draft && { id: draft[:id], by: draft[:by_name], updated_at: Views.time(draft[:updated_at]) } }
        end

        def history_line(row)
          worst = row[:result]["findings"].max_by { |finding| finding["severity"] }
          { id: row[:id], machine_name: Machine.exercise_name(row[:machine_name], row[:exercise]), marks: Machine.tags(row[:marks].to_h), load: row[:load],
            grade: row[:result]["grade"],
            worst: worst ? worst["says"] : Formats::Words.say("taping.untaped.record"), stopped: stopped(row), taken_back: taken_back(row),
            version: row[:version], remeasured: row.fetch(:remeasured, false), cushions: cushions(row),
            checked: !row[:knee_off_mm].nil? || row[:roller_seen], by: row[:by_name], accepted_at: Views.time(row[:accepted_at]) }
        end

        # Why, and when; nil where it stands.
        def taken_back(row)
          row[:taken_back_at] && { reason: row[:taken_back], at: Views.time(row[:taken_back_at]) }
        end

        # As they lie there: behind the back, on the seat, under the hips.
        def cushions(row) = Inputs::Aids.of(row[:aids].to_h).select { |_, size| size.positive? }.map { |name, size| Formats::Words.say("aids.#{name}.lay", size: size.round) }

        def stopped(row) = row[:stop_sign].empty? ? nil : Formats::Words.say("stops.#{row[:stop_sign]}.title")
        def staff_name(gym, id) = gym.db[:accounts].where(id: id).get(:name)
      end
    end
  end
end
