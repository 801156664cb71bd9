# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A machine as a line of a list, and as the bench knows it.
      module Machine
        module_function

        def summary(row)
          {
            id: row[:id],
            name: row[:name],
            code: row[:code],
            place: row[:place],
            family: row[:family],
            family_name: Formats::Words.say("families.#{row[:family]}"),
            state: row[:state],
            state_note: row[:state_note],
            taped: taped(row),
            adjusters: adjusters(row[:adjusters].to_a),
            exercises: Application::Described.exercises(row).compact.map { |name| exercise(row, name) }
          }
        end

        # Every machine with how it stands and when somebody was last fitted on it. machines: Questions::Machines.
        def list(machines)
          machines.rows.map do |row|
            standing =
              machines
                .standing
                .fetch(row[:id], {})
                .sort
                .map { |exercise, marks| { exercise: exercise, marks: Told::Names.tags(marks) } }
            { **summary(row), standing: standing, fitted_at: Told.time(machines.fitted_at[row[:id]]) }
          end
        end

        # An exercise of a station, with the shared adjusters and its own.
        def exercise(row, name)
          own = row[:exercises].to_h.fetch(name)["adjusters"]
          { name: name, title: Formats::Words.say("exercises.#{name}"), adjusters: adjusters([*row[:adjusters], *own]) }
        end

        # One exercise's machine: its own adjusters, the shared ones first. aids: sizes to choose from.
        def on_bench(meeting)
          row = meeting.machine_row
          {
            id: row[:id],
            name: Told::Names.machine(row[:name], meeting.exercise),
            place: row[:place],
            family: row[:family],
            family_name: Formats::Words.say("families.#{row[:family]}"),
            state: row[:state],
            taped: taped(row),
            slack_from_deg: row[:slack_from_deg]&.to_f,
            signs: signs(meeting.machine),
            aids: aids(meeting.aid_sizes),
            one_leg: row[:one_leg],
            loaded: !row[:loading].nil?,
            adjusters: Application::Told::Together.of(meeting.machine).map { |one| set(one) }
          }
        end

        # What is set by itself, with what takes its mark.
        def set(together)
          also = together.adjusters.drop(1).map(&:marks).uniq - [together.marks]
          { label: together.label, name: together.name, marks: together.marks, also: also }
        end

        # Cushions and pads to choose from.
        def aids(sizes)
          sizes.map { |name, list| { name: name, title: Formats::Words.say("aids.#{name}.title"), sizes: list } }
        end

        def signs(machine)
          Verglas::Guidance::Signs
            .of(machine)
            .map do |sign|
              {
                name: sign,
                title: Formats::Words.say("signs.#{sign}"),
                never: Verglas::Guidance::Signs.never([sign]).any?
              }
            end
        end

        def taped(row) = Application::Described.how_far(row)

        def adjusters(list)
          list.map do |adjuster|
            { label: adjuster["label"], name: Formats::Words.adjuster(adjuster["label"]), marks: adjuster["marks"] }
          end
        end

        private_class_method :set, :aids, :signs, :exercise
      end
    end
  end
end
