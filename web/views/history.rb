# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A client's fittings on one machine, side by side.
      module History
        module_function

        def of(gym, client, machine_row, exercise)
          rows = Store::Queries::FittingsSideBySide.new(gym).call(client[:id], machine_row[:id], exercise)
          {
            client: Client.summary(client),
            machine: {
              id: machine_row[:id],
              name: Told::Names.machine(machine_row[:name], exercise),
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
