# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # A client's fittings on one machine, the latest first.
      History =
        Value.define(:client, :machine_row, :exercise, :rows) do
          def self.of(gym, client, machine_row, exercise)
            rows = Store::Queries::FittingsSideBySide.new(gym).call(client[:id], machine_row[:id], exercise)
            new(client: client, machine_row: machine_row, exercise: exercise, rows: rows)
          end
        end
    end
  end
end
