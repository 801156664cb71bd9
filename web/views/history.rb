# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A client's fittings on one machine, side by side.
      module History
        module_function

        # history: Questions::History.
        def of(history)
          machine_row = history.machine_row
          rows = history.rows
          {
            client: Client.summary(history.client),
            machine: {
              id: machine_row[:id],
              name: Told::Names.machine(machine_row[:name], history.exercise),
              place: machine_row[:place]
            },
            fittings: rows.map { |row| fitting(row) },
            rows:
              Application::SideBySide
                .new(rows)
                .rows
                .map { |row| { part: row.part, label: row.label, cells: row.cells.map(&:to_h) } }
          }
        end

        def fitting(row)
          {
            id: row[:id],
            state: row[:state],
            by: row[:by_name],
            accepted_at: Told.time(row[:accepted_at]),
            grade: row[:result]["grade"],
            why: [row[:reason], row[:taken_back]].reject(&:empty?).join(" ")
          }
        end
        private_class_method :fitting
      end
    end
  end
end
