# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # What a station's bench shows besides its own exercise: the others, the seat they share, what this one gave up
      # for it.
      module Station
        module_function

        def of(meeting)
          other = other(meeting)
          {
            exercises: meeting.exercises.keys.map { |name| exercise(meeting, name) },
            shared: meeting.shared,
            gave_up: (gave_up(meeting) unless other),
            other: other
          }
        end

        # fitting_id: the draft that is open, if any.
        def exercise(meeting, name)
          draft = meeting.rows.draft(name)
          {
            name: name,
            title: Application::Told::Names.exercise(name),
            fitting_id: draft && draft[:id],
            active: name == meeting.exercise
          }
        end

        # What sharing costs this exercise; nothing where it costs no grade. No second place is named beside the advised
        # one.
        def gave_up(meeting)
          return if meeting.fitting[:state] != "draft"

          alone, shared =
            [meeting.station_advice.alone[meeting.exercise], meeting.advice].map { |advice| advice.evaluation.grade }
          return if alone == shared
          Formats::Words.say(
            "station.gave_up",
            exercise: Application::Told::Names.exercise(meeting.exercise),
            alone: band(alone),
            shared: band(shared)
          )
        end

        def band(grade) = grade == "fault" ? Formats::Words.say("station.fault") : grade

        # Where the other exercise was accepted with another seat: said, since the seat is one.
        def other(meeting)
          row = meeting.rows.sibling
          if row.nil? || meeting.fitting[:state] != "draft" ||
               meeting.shared.all? { |label| row[:marks].to_h[label] == meeting.fitting[:marks].to_h[label] }
            return
          end

          Formats::Words.say(
            "station.other_#{row[:state]}",
            exercise: Application::Told::Names.exercise(row[:exercise]),
            marks: marks(meeting, row[:marks].to_h)
          )
        end

        def marks(meeting, marks) = meeting.shared.map { |label| "#{label} #{marks[label]}" }.join(", ")
        private_class_method :exercise, :gave_up, :other, :band, :marks
      end
    end
  end
end
