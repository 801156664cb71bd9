# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # Who comes next at a machine, and what has to be moved from one to the next, beginning at the marks that stand
      # there now.
      module Queue
        module_function

        # queue: Questions::Queue.
        def of(queue)
          machine_row = queue.machine_row
          {
            machine: {
              id: machine_row[:id],
              name: Told::Names.machine(machine_row[:name], queue.exercise),
              place: machine_row[:place]
            },
            exercise: queue.exercise,
            version: queue.version,
            standing: queue.standing && Told::Names.tags(queue.standing),
            fewest_moves: queue.fewest_moves,
            entries: entries(queue)
          }
        end

        # Each from the marks at which the one before leaves it.
        def entries(queue)
          stands = queue.standing
          queue.benches.map do |meeting, last|
            entry(queue, meeting, last, stands).tap do |one|
              stands = one[:marks].to_h { |tag| [tag[:label], tag[:mark]] } if one[:bars].empty?
            end
          end
        end

        # fitting_id: the accepted one to set up again; nil for somebody who was not fitted here yet, with the marks as
        # advised. Nobody moves anything for whom the machine is barred.
        def entry(queue, meeting, last, stands)
          head = { client: Client.summary(meeting.client), fitting_id: last && last[:id] }
          Application::OneLine.of(meeting.machine_row[:id], -> { { **head, **NOT_COMPUTED } }) do
            computed(queue, meeting, last, stands, head)
          end
        end

        NOTHING = { marks: [], moves: nil, load: "" }.freeze
        NOT_COMPUTED = { bars: Told::Barred.of([Application::OneLine::BAR]), **NOTHING }.freeze

        def computed(queue, meeting, last, stands, head)
          today = last ? Application::Sheet.today(meeting, last) : { marks: meeting.advice.marks }
          marks, aids = today.values_at(:marks, :aids)
          bars = last ? Told::Barred.at(meeting, meeting.evaluation(marks, aids)) : Told::Barred.advised(meeting)
          return { **head, bars: bars, **NOTHING } if bars.any?

          {
            **head,
            bars: bars,
            marks: Told::Names.tags(marks.compact),
            moves: stands ? Moves.all(meeting.machine, stands, marks) : nil,
            load: queue.load(meeting, last)
          }
        end
        private_class_method :entries, :entry, :computed
      end
    end
  end
end
