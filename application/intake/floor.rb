# frozen_string_literal: true

module Verglas
  module Application
    class Intake
      # Which of the gym's machines a row means: by id, name or code; and its exercise.
      class Floor
        def initialize(gym)
          rows = gym.machines.all
          @by_id = rows.to_h { |row| [row[:id], row] }
          @by_name = [
            *rows.reject { |row| row[:code].empty? }.map { |row| [row[:code].downcase, row] },
            *rows.map { |row| [row[:name].downcase, row] }
          ].to_h
        end

        # The machine's row; raises Invalid where none is meant.
        def find(values)
          if values[:machine_id]
            @by_id.fetch(values[:machine_id]) { unknown("_id") }
          else
            @by_name.fetch(values[:machine].to_s.downcase) { unknown }
          end
        end

        # The name of the exercise as rows have it: "" where the machine has one.
        def exercise(row, values)
          names = Described.all_exercises(row).map(&:to_s)
          named = values.fetch(:exercise, "")
          named = names.first if named.empty?
          unless names.include?(named)
            raise(Invalid.new(:unknown_exercise, path: "/exercise", exercise: named, known: names.join(", ")))
          end
          named
        end

        # {label => marks} of an exercise's adjusters, as it is described now.
        def marks(row, exercise)
          (@marks ||= {})[[row[:id], exercise]] ||= begin
            data = Described.data(row)
            own = Verglas::Machines::Families.fetch(row[:family]).exercise_data(data, exercise.empty? ? nil : exercise)
            own.fetch("adjusters").to_h { |adjuster| [adjuster["label"], adjuster["marks"]] }
          end
        end

        private

        def unknown(kind = "") = raise(Invalid.new(:machine_unknown, path: "/machine#{kind}"))
      end
    end
  end
end
