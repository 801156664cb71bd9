# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # Everybody's settings on a machine that takes another's place, some people at a time.
      module Replacement
        module_function

        # replacing: Application::Replacing; instead: the other's id, nil while nobody chose; from: the first person's
        # place.
        def of(replacing, instead, from)
          others = replacing.others.map { |row| row.slice(:id, :name, :place, :state) }
          return { others: others, lines: [], of: 0, following: nil } unless instead

          answer = replacing.settings(instead, from)
          { others: others, lines: answer.lines.map { |line| line(line) }, of: answer.of, following: answer.following }
        end

        # line: Application::Replacing::Line.
        def line(line)
          meeting = line.meeting
          {
            client: Told::Names.client(meeting.client),
            before: Told::Names.tags(line.fitting[:marks].to_h),
            exercise: meeting.exercise,
            **advised(line),
            keeps_off: line.keeps_off,
            load: load(line),
            check: line.check?,
            tried: !line.tried.nil?
          }
        end

        NOTHING = { grade: nil, likely: false, marks: [], aids: [], sure: nil, unsure: [] }.freeze

        # What was accepted there beats what is computed.
        def advised(line)
          meeting = line.meeting
          return NOTHING.merge(marks: Told::Names.tags(line.tried[:marks].to_h)) if line.tried
          return NOTHING if line.keeps_off.any? || meeting.advice.status.nil?

          {
            grade: meeting.advice.evaluation.grade,
            likely: meeting.advice.evaluation.likely?,
            marks: Told::Names.tags(Advice.advised_marks(meeting.advice), meeting.advised_aids),
            aids: Application::Aids.says(meeting.advised_aids),
            sure: line.sure.values.min&.round(2),
            unsure: line.unsure
          }
        end

        # With which they would begin; "" where nothing is told.
        def load(line) = line.first ? Told::Load.printed(line.meeting.rig, line.first.choice.mass_kg) : ""
        private_class_method :line, :advised, :load
      end
    end
  end
end
