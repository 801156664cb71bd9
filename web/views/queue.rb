# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # Who comes next at a machine, and what has to be moved from one to the next, beginning at the marks that stand there now.
      module Queue
        module_function

        def of(gym, machine_row, exercise)
          queue = gym.queues.of(machine_row[:id], exercise)
          stands = queue[:standing]
          entries = queue[:clients].filter_map { |id| gym.clients.find(id) }.map do |client|
            entry(gym, client, machine_row, exercise, stands).tap { |one| stands = one[:marks].to_h { |tag| [tag[:label], tag[:mark]] } }
          end
          { machine: { id: machine_row[:id], name: Machine.exercise_name(machine_row[:name], exercise), place: machine_row[:place] }, exercise: exercise, version: queue[:version],
            standing: queue[:standing] && Machine.tags(queue[:standing]), entries: entries }
        end

        # fitting_id: the accepted one to set up again; nil for somebody who was not fitted here yet, with the marks as advised.
        def entry(gym, client, machine_row, exercise, stands)
          bench = Bench.new(gym, client: client, machine_row: machine_row, exercise: exercise)
          last = gym.fittings.last_accepted(client[:id], machine_row[:id], exercise)
          marks = last ? Sheet.repaired(bench, last[:marks].to_h) : bench.advice.marks
          { client: Client.summary(client), fitting_id: last && last[:id], marks: Machine.tags(marks.compact), moves: stands ? Moves.all(bench.machine, stands, marks) : nil,
            load: last ? last[:load] : "", bars: Cautions.on_bench(bench)[:bars] }
        end
        private_class_method :entry
      end
    end
  end
end
