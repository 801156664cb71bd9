# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # Fittings: the bench's page, a card's line, a line of what was left open.
      module Fitting
        # Which computation a record came from; changes when the model's numbers do.
        MODEL = "2026-11"

        module_function

        # The bench of a draft; the record, as it was kept, of an accepted one.
        def page(bench, gym)
          row = bench.fitting
          common = { **state(row, by: staff_name(gym, row[:accepted_by] || row[:updated_by])), client: client(bench.client), machine: Machine.summary(bench.machine_row) }
          return { **common, evaluation: row[:result].to_h, computed_from: row[:computed_from].to_h, advice: nil } if row[:state] == "accepted"

          { **common, evaluation: Evaluation.of(bench.evaluation(row[:marks].to_h)), advice: Advice.of(bench), computed_from: nil }
        end

        def client(row) = Client.summary(row)

        def state(row, by:)
          { id: row[:id], state: row[:state], version: row[:version], marks: row[:marks].to_h, by: by,
            updated_at: Views.time(row[:updated_at]), accepted_at: Views.time(row[:accepted_at]) }
        end

        def open_line(row)
          { id: row[:id], client: { id: row[:client_id], name: row[:client_name], detail: row[:client_detail] },
            machine: { id: row[:machine_id], name: row[:machine_name], place: row[:machine_place] },
            marks: row[:marks].to_h, by: row[:by_name], updated_at: Views.time(row[:updated_at]) }
        end

        # One line a machine: the marks that stand, and the draft on top of them.
        def card_line(row)
          draft = row[:state] == "draft" ? row : row[:draft]
          accepted = row[:state] == "accepted" ? row : nil
          { machine: { id: row[:machine_id], name: row[:machine_name], place: row[:machine_place] },
            accepted: accepted && history_line(accepted), draft: draft && { id: draft[:id], by: draft[:by_name], updated_at: Views.time(draft[:updated_at]) } }
        end

        def history_line(row)
          { id: row[:id], machine_name: row[:machine_name], marks: row[:marks].to_h, grade: row[:result]["grade"],
            worst: row[:result]["findings"].max_by { |finding| finding["severity"] }["says"], by: row[:by_name], accepted_at: Views.time(row[:accepted_at]) }
        end

        def staff_name(gym, id) = gym.db[:accounts].where(id: id).get(:name)
      end
    end
  end
end
