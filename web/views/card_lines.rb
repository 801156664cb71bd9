# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A line of a client's card.
      module CardLines
        module_function

        # line: Application::CardLines::Line.
        def line(line)
          row = line.row
          draft = row[:state] == "draft" ? row : row[:draft]
          {
            machine: {
              id: row[:machine_id],
              name: row[:machine_name],
              place: row[:machine_place]
            },
            exercise: row[:exercise],
            accepted: row[:state] == "accepted" ? { **Fitting.history_line(row), load: line.load } : nil,
            outdated: line.outdated,
            draft: draft && { id: draft[:id], by: draft[:by_name], updated_at: Told.time(draft[:updated_at]) }
          }
        end
      end
    end
  end
end
