# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A machine as a line of a list, and as the bench knows it.
      module Machine
        module_function

        def summary(row)
          exercises = Store::Tables::Machines.exercises(row)
          { id: row[:id], name: row[:name], code: row[:code], place: row[:place], family: row[:family], family_name: Formats::Words.say("families.#{row[:family]}"),
            state: row[:state], state_note: row[:state_note], taped: taped(row),
            adjusters: adjusters(row[:adjusters].to_a),
            exercises: exercises.compact.map { |name| { name: name, title: Formats::Words.say("exercises.#{name}"), adjusters: adjusters([*row[:adjusters], *row[:exercises].to_h.fetch(name)["adjusters"]]) } } }
        end

        # One exercise's machine: its own adjusters, the shared ones first.
        def on_bench(bench)
          row = bench.machine_row
          name = exercise_name(row[:name], bench.exercise)
          { id: row[:id], name: name, place: row[:place], family: row[:family], family_name: Formats::Words.say("families.#{row[:family]}"), state: row[:state],
            taped: taped(row), up: Verglas::Fitting::Mechanisms.of(bench.machine)::UP, signs: Verglas::Fitting::Signs.of(bench.machine).map { |sign| { name: sign, title: Formats::Words.say("signs.#{sign}") } },
            adjusters: adjusters(bench.machine.adjusters.map { |adjuster| { "label" => adjuster.label, "marks" => adjuster.marks } }), aids: aids(bench) }
        end

        # Sizes to choose from, where the gym owns some and the machine takes them.
        def aids(bench)
          return {} if bench.fitting[:state] == "accepted"

          sizes = bench.equipment
          return { hip_pad_mm: sizes["hip_pad"] } if bench.machine.family.mechanism == :lying_knee && !bench.machine.hinged?
          return {} unless bench.machine_row[:cushions_allowed] && bench.machine.family.mechanism == :seated_knee

          { cushion_back_mm: sizes["cushion_back"], cushion_seat_mm: sizes["cushion_seat"] }
        end

        # How far it is taped: untaped (nothing can be told), partly, taped.
        def taped(row)
          machines = Store::Tables::Machines.exercises(row).map { |exercise| Store::Tables::Machines.value(row, exercise: exercise) }
          told = machines.zip(families(row)).map { |machine, family| told(machine, family) }
          return "taped" if told.all?(:all)

          told.all?(:nothing) ? "untaped" : "partly"
        end

        def told(machine, family)
          return :all if machine.family == family

          machine.family.findings.empty? ? :nothing : :some
        end

        def families(row) = Machines::Families.fetch(row[:family]).exercises.values

        def adjusters(list)
          list.map { |adjuster| { label: adjuster["label"], name: Formats::Words.adjuster(adjuster["label"]), marks: adjuster["marks"] } }
        end

        # Marks as a person reads them: the adjuster's name and its mark, in the machine's order.
        def tags(marks) = marks.map { |label, mark| { label: label, name: Formats::Words.adjuster(label), mark: mark } }

        def exercise_name(name, exercise) = exercise.empty? ? name : "#{name}: #{Formats::Words.say("exercises.#{exercise}").downcase}"
        private_class_method :aids, :families, :told
      end
    end
  end
end
