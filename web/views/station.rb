# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # What a station's bench shows besides its own exercise: the others, the seat they share, what this one gave up for it.
      module Station
        module_function

        def of(meeting, gym)
          { exercises: meeting.exercises.keys.map { |name| exercise(meeting, gym, name) }, shared: meeting.shared, gave_up: gave_up(meeting), other: other(meeting, gym) }
        end

        # fitting_id: the draft that is open, if any.
        def exercise(meeting, gym, name)
          draft = gym.fittings.draft(meeting.client[:id], meeting.machine_row[:id], name)
          { name: name, title: Formats::Words.say("exercises.#{name}"), fitting_id: draft && draft[:id], active: name == meeting.exercise }
        end

        def gave_up(meeting)
          return if meeting.fitting[:state] != "draft" || !meeting.station_advice.gave_up?(meeting.exercise)

          alone = meeting.station_advice.alone[meeting.exercise]
          Formats::Words.say("station.gave_up", exercise: Formats::Words.say("exercises.#{meeting.exercise}"), marks: marks(meeting, alone.marks), alone: band(alone.evaluation.grade),
                                                shared: band(meeting.advice.evaluation.grade))
        end

        # Where the other exercise was accepted with another seat: said, since the seat is one.
        def other(meeting, gym)
          row = gym.fittings.sibling(meeting.client[:id], meeting.machine_row[:id], meeting.exercise)
          return if row.nil? || meeting.fitting[:state] != "draft" || meeting.shared.all? { |label| row[:marks].to_h[label] == meeting.fitting[:marks].to_h[label] }

          Formats::Words.say("station.other_#{row[:state]}", exercise: Formats::Words.say("exercises.#{row[:exercise]}"), marks: marks(meeting, row[:marks].to_h))
        end

        def marks(meeting, marks) = meeting.shared.map { |label| "#{label} #{marks[label]}" }.join(", ")
        def band(grade) = grade || Formats::Words.say("taping.untaped.grade")
        private_class_method :exercise, :gave_up, :other, :marks, :band
      end
    end
  end
end
