# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A machine's marks for everybody who was fitted on it: which columns, in which order, and names as the gym wants
      # them on a wall.
      module WallSheet
        MOST = 500
        # How people are called on a wall: {id => name} of several, no two alike.
        NAMES = {
          "full" => ->(people) { Client.told_apart(people) { |row, _| row[:name] } },
          "initial" => ->(people) do
            Client.told_apart(people) { |row, letters| Client.initialled(row[:name], letters) }
          end,
          "number" => ->(people) { people.to_h { |row| [row[:id], Client.number(row)] } }
        }.freeze

        module_function

        # sheet: Questions::WallSheet; columns: labels of adjusters, and LOAD; nil for all. sort: "name" or a label.
        # names: how, nil for the gym's own way.
        def of(sheet, columns: nil, sort: "name", names: nil)
          row = sheet.machine_row
          labels = labels(row, sheet.exercise)
          chosen = [*labels, LOAD] & (columns || [*labels, LOAD])
          lines = lines(sheet, NAMES.fetch(names || sheet.gym_row[:wall_names]))
          {
            machine: Told::Names.machine(row[:name], sheet.exercise),
            place: row[:place],
            gym: sheet.gym_row[:name],
            of: sheet.people,
            labels: labels.map { |label| column(label) },
            columns: chosen.map { |label| column(label) },
            rows:
              sorted(lines, row, sheet.exercise, sort).map do |line|
                { id: line[:id], name: line[:name], cells: chosen.map { |column| line[:cells].fetch(column, "–") } }
              end
          }
        end

        LOAD = "@load"

        def column(label) = { label: label, name: column_name(label) }

        def column_name(label)
          return Formats::Words.say("paper.load") if label == LOAD

          if label.start_with?("@")
            Formats::Words.say("aids.#{label.delete_prefix("@")}.tag")
          else
            Formats::Words.adjuster(label)
          end
        end

        # The same for Formats::Paper.
        def to_print(sheet, day)
          {
            **sheet.slice(:machine, :place, :gym),
            day: Card.dated(day),
            columns: sheet[:columns].map { |column| column[:name] },
            rows:
              sheet[:rows].map do |line|
                { name: Formats::Paper::Letters.printed_name(line[:name], Client.number(line)), cells: line[:cells] }
              end
          }
        end

        def lines(sheet, name)
          named = name.call(sheet.benches.map { |meeting, _| meeting.client.slice(:id, :name) })
          sheet.benches.map do |meeting, fitting|
            id = meeting.client[:id]
            cells = { **marks(fitting), LOAD => load(meeting.rig, sheet.loads[id], fitting) }
            { id: id, name: named.fetch(id), cells: cells.reject { |_, text| text.empty? } }
          end
        end

        def marks(fitting)
          Told::Names
            .tags(fitting[:marks].to_h, Application::Aids.of(fitting[:aids].to_h))
            .to_h { |tag| tag.values_at(:label, :mark) }
        end

        # As it was lifted last, else as it was written at the fitting.
        def load(rig, lifted, fitting) = rig && lifted ? Told::Load.printed(rig, lifted[:load_kg]) : fitting[:load]

        # By the marks in the order in which they are printed; people at one mark by name.
        def sorted(lines, row, exercise, sort)
          adjuster = adjusters(row, exercise).find { |one| one["label"] == sort }
          by_name = lines.sort_by { |line| [line[:name].unicode_normalize(:nfkd).downcase, line[:id]] }
          if adjuster
            by_name.sort_by.with_index do |line, index|
              [adjuster["marks"].index(line[:cells][sort]) || adjuster["marks"].size, index]
            end
          else
            by_name
          end
        end

        def labels(row, exercise)
          [*adjusters(row, exercise).map { |adjuster| adjuster["label"] }, *placed(row, exercise)]
        end

        # What is placed on such a machine and read like a mark.
        def placed(row, exercise)
          choices = Verglas::Machines::Families.fetch(row[:family]).exercise(exercise).choices.keys
          choices.select { |name| Formats::Words.known?("aids.#{name}.tag") }.map { |name| "@#{name}" }
        end

        def adjusters(row, exercise)
          [*row[:adjusters].to_a, *row[:exercises].to_h.fetch(exercise, {}).fetch("adjusters", [])]
        end
        private_class_method :column, :column_name, :lines, :marks, :placed, :load, :sorted, :labels, :adjusters
      end
    end
  end
end
