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
          entries = benches(gym, machine_row, exercise, queue[:clients]).map do |meeting, last|
            entry(meeting, last, stands).tap { |one| stands = one[:marks].to_h { |tag| [tag[:label], tag[:mark]] } }
          end
          { machine: { id: machine_row[:id], name: Told::Names.machine(machine_row[:name], exercise), place: machine_row[:place] }, exercise: exercise, version: queue[:version],
            standing: queue[:standing] && Told::Names.tags(queue[:standing]), entries: entries }
        end

        # Each client's with what was accepted last, in the queue's order.
        def benches(gym, machine_row, exercise, ids)
          return [] if ids.empty?

          last = gym.fittings.last_accepted_of(ids, machine_row[:id], exercise)
          shared = Application::Meeting::Shared.of(gym)
          Store::Queries::People.new(gym).call(ids).map { |id, person| [Application::Meeting.among(gym, person, machine_row: machine_row, exercise: exercise, shared: shared), last[id]] }
        end

        # fitting_id: the accepted one to set up again; nil for somebody who was not fitted here yet, with the marks as advised.
        def entry(meeting, last, stands)
          marks = last ? Application::Sheet.repaired(meeting, last[:marks].to_h) : meeting.advice.marks
          { client: Client.summary(meeting.client), fitting_id: last && last[:id], marks: Told::Names.tags(marks.compact), moves: stands ? Moves.all(meeting.machine, stands, marks) : nil,
            load: last ? last[:load] : "", bars: Cautions.bars(meeting) }
        end
        private_class_method :benches, :entry
      end
    end
  end
end
