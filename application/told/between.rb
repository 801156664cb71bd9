# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # What changes on a station between its two exercises, as they were accepted: the seat's marks, and the arm that
      # is re-pinned.
      module Between
        module_function

        # marks: {label => mark} of this exercise. [] where the other was never accepted.
        def of(meeting, marks)
          return [] unless meeting.station?

          others = meeting.exercises.keys - [meeting.exercise]
          others.filter_map do |other|
            accepted(meeting, other)&.then { |row| sentence(meeting, other, moved(meeting, row[:marks].to_h, marks)) }
          end
        end

        def accepted(meeting, exercise)
          meeting.gym.fittings.last_accepted_of([meeting.client[:id]], meeting.machine_row[:id], exercise)[
            meeting.client[:id]
          ]
        end

        # {label => [from, to]} of what is one part of the machine, whichever exercise is done.
        def moved(meeting, from, upto)
          meeting
            .one_part
            .to_h { |label| [label, [from[label], upto[label]]] }
            .select { |_, (before, after)| before && after && before != after }
        end

        def sentence(meeting, other, moved)
          done = [*Today.moves(moved)[/.+/], *(Formats::Words.say("station.re_pin") if meeting.shared.any?)]
          return unless done.any?
          Formats::Words.say(
            "station.between",
            exercise: Names.exercise(other).downcase,
            what: Finding.lower(done.join(", "))
          )
        end
        private_class_method :accepted, :moved, :sentence
      end
    end
  end
end
