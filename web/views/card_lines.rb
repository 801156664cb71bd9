# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A line of a client's card.
      module CardLines
        module_function

        # line: Application::CardLines::Line.
        def line(line)
          row = line.row
          draft = row[:state] == "draft" ? row : row[:draft]
          {
            machine: {
              id: row[:machine_id],
              name: row[:machine_name],
              place: row[:machine_place],
              replaced_by: row[:replaced_by]
            },
            exercise: row[:exercise],
            accepted: row[:state] == "accepted" ? accepted(line) : nil,
            outdated: line.outdated,
            draft: draft && { id: draft[:id], by: draft[:by_name], updated_at: Told.time(draft[:updated_at]) }
          }
        end

        # As it is set today.
        def accepted(line)
          stands = line.stands
          marks = stands && { marks: Told::Names.tags(stands[:marks], Application::Aids.of(stands[:aids])) }
          { **Fitting.history_line(line.row), **marks.to_h, load: line.load }
        end
        private_class_method :accepted
      end
    end
  end
end
