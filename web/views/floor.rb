# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # What the floor opens with: who is on a machine, who waits, what was left open, how the machines stand.
      module Floor
        module_function

        # floor: Questions::Floor.
        def of(floor)
          {
            now: floor.visits.map { |row| visit(row) },
            queues: floor.queues.map { |row| queue(row) },
            open: floor.open.map { |row| Fitting.open_line(row) },
            discarded: floor.discarded.map { |row| Fitting.discarded_line(row) },
            recent: floor.recent.map { |row| Client.recent(row) },
            machines: Machine.list(floor.machines)
          }
        end

        # Set up, and something lifted or about to be.
        def visit(row)
          {
            fitting_id: row[:fitting_id],
            client: {
              id: row[:client_id],
              name: row[:client_name]
            },
            machine: machine(row),
            sets: row[:sets],
            stopped: row[:stopped],
            at: Told.time(row[:last_at])
          }
        end

        def queue(row) = { machine: machine(row), exercise: row[:exercise], clients: row[:clients] }
        def machine(row) = { id: row[:machine_id], name: Told::Names.machine(row[:machine_name], row[:exercise]) }
        private_class_method :visit, :queue, :machine
      end
    end
  end
end
