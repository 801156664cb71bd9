# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # Who comes next at a machine: benches [Meeting, latest accepted fitting's row or nil]; standing: the marks that
      # stand there now, nil where nobody knows.
      Queue =
        Value.define(:machine_row, :exercise, :benches, :standing, :version) do
          def self.of(gym, machine_row, exercise)
            queue = gym.queues.of(machine_row[:id], exercise)
            new(
              machine_row: machine_row,
              exercise: exercise,
              benches: KeptOff.benches(gym, machine_row, exercise, queue[:clients]),
              standing: queue[:standing],
              version: queue[:version]
            )
          end
        end
    end
  end
end
