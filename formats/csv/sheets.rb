# frozen_string_literal: true

module Verglas
  module Formats
    module Csv
      # The tables in which a gym's data goes out and comes in. docs/formats/csv.md
      module Sheets
        include Types

        LENGTHS = { "mm" => 1.0, "cm" => 10.0, "m" => 1000.0, "in" => 25.4 }.freeze
        MASSES = { "kg" => 1.0, "lb" => Loading::Units::KG_PER_LB }.freeze
        READINGS = Body::Observation::ALL.keys.map(&:to_s).freeze
        # What people call the reading that everybody knows.
        CALLED = { "stature" => %w[height body_height] }.freeze

        length = ->(range) { Number.new(range, LENGTHS, 1) }
        mass = ->(range) { Number.new(range, MASSES, 3) }
        id = Id
        reading = length.call(20..2500)
        # By its id, or by what it is called.
        client =
          lambda do |sheet|
            sheet.column :client_id, id
            sheet.column :client, Text.new(80), also: %w[name client_name]
            sheet.column :client_detail, Text.new(80), also: %w[detail], written: false
          end
        machine =
          lambda do |sheet|
            sheet.column :machine_id, id
            sheet.column :machine, Text.new(80), also: %w[machine_name]
            sheet.column :exercise, Text.new(40)
          end
        who = Text.new(254)

        CLIENTS =
          Sheet.new(:clients) do |sheet|
            sheet.column :id, id
            sheet.column :name, Text.new(80), also: %w[client full_name], needed: true
            sheet.column :detail, Text.new(80), also: %w[note told_apart_by]
            sheet.column :sex,
                         Choice.new(
                           %w[man woman],
                           { "m" => "man", "male" => "man", "f" => "woman", "w" => "woman", "female" => "woman" }
                         )
            sheet.column :birth_date, Day, also: %w[born date_of_birth birthday]
            sheet.column :body_mass, Number.new(20..400, MASSES, 2), also: %w[mass weight body_weight]
            READINGS.each { |name| sheet.column name.to_sym, reading, also: CALLED.fetch(name, []), written: false }
          end

        READINGS_OF_CLIENTS =
          Sheet.new(:readings) do |sheet|
            client.call(sheet)
            sheet.column :reading,
                         Choice.new(
                           READINGS,
                           CALLED.flat_map { |name, others| others.map { |other| [other, name] } }.to_h
                         ),
                         also: %w[observation measure],
                         needed: true
            sheet.column :value, reading, needed: true
            sheet.column :unit, Choice.new(%w[cm in])
            sheet.column :confirmed, YesNo
            sheet.column :taken_at, Moment, also: %w[taken date]
            sheet.column :taken_by, who
          end

        MACHINES =
          Sheet.new(:machines) do |sheet|
            sheet.column :id, id
            sheet.column :name, Text.new(80), also: %w[machine], needed: true
            sheet.column :family, Choice.new(Machines::Families.all.map { |family| family.id.to_s }), also: %w[kind]
            sheet.column :code, Text.new(20)
            sheet.column :place, Text.new(80)
            sheet.column :state, Choice.new(%w[in_use out_of_order retired considered])
            %i[state_note getting_in getting_out left_behind].each do |name|
              sheet.column name, Text.new(name == :state_note ? 200 : 400)
            end
            sheet.column :slack_from_deg, Number.new(-60..180, nil, 1)
            sheet.column :user_mass_limit, Number.new(40..400, MASSES, 1)
            sheet.column :least_age_years, Count.new(8..100)
            %i[cushions_allowed belt one_leg].each { |name| sheet.column name, YesNo }
            sheet.column :loading, Data
            sheet.column :lengths, Pairs.new(true)
          end

        MARKS =
          Sheet.new(:marks) do |sheet|
            machine.call(sheet)
            sheet.column :adjuster, Text.new(40), needed: true
            sheet.column :mark, Text.new(20), needed: true
            sheet.column :travel, Number.new(-3000..3000, nil, 3), also: %w[position]
            sheet.column :moves, Pairs.new(true)
            sheet.column :side, Text.new(20)
            sheet.column :handle, Text.new(40)
            sheet.column :unlocks, Text.new(40)
            sheet.column :reachable_seated, YesNo
            sheet.column :weight_off_first, YesNo
            sheet.column :both_sides, YesNo
            sheet.column :same_as, Text.new(40)
          end

        FITTINGS =
          Sheet.new(:fittings) do |sheet|
            sheet.column :id, id
            client.call(sheet)
            machine.call(sheet)
            sheet.column :marks, Pairs.new(false), needed: true
            sheet.column :grade, Text.new(40)
            sheet.column :knee_off_mm, Number.new(-100..100, nil, 1)
            sheet.column :roller_seen, YesNo
            sheet.column :load, Text.new(40)
            sheet.column :load_mass, mass.call(0..1000), also: %w[working_load]
            sheet.column :repetitions, Count.new(1..200), also: %w[reps]
            sheet.column :sets, Count.new(1..20)
            sheet.column :last, Choice.new(%w[easy clean not_reached])
            sheet.column :accepted_at, Moment, also: %w[date fitted_at fitted], needed: true
            sheet.column :accepted_by, who, also: %w[fitted_by]
          end

        VISITS =
          Sheet.new(:visits) do |sheet|
            sheet.column :visit_id, id
            sheet.column :fitting_id, id
            client.call(sheet)
            machine.call(sheet)
            sheet.column :begun_at, Moment, also: %w[date], needed: true
            sheet.column :planned, mass.call(0..1000)
            sheet.column :set, Count.new(1..50), also: %w[number]
            sheet.column :load, mass.call(0..1000)
            sheet.column :repetitions, Count.new(1..200), also: %w[reps]
            sheet.column :leg, Choice.new(%w[left right])
            sheet.column :help, Choice.new(%w[drop partner lowering self])
            sheet.column :helped, Count.new(1..50)
            sheet.column :last, Choice.new(%w[easy clean not_reached])
            sheet.column :range, Number.new(0..1, nil, 3), also: %w[range_reached]
            sheet.column :counts, Choice.new(%w[clean held back])
            sheet.column :watched_by, who
            sheet.column :done_by, who
            sheet.column :done_at, Moment
          end

        # Repetitions that a phone read; they go out and are not taken in.
        seconds = Number.new(0..600, nil, 2)
        share = Number.new(-2..3, nil, 3)
        MOVEMENTS =
          Sheet.new(:movements) do |sheet|
            sheet.column :fitting_id, id
            sheet.column :visit_id, id
            client.call(sheet)
            machine.call(sheet)
            sheet.column :done_at, Moment
            sheet.column :set, Count.new(1..50)
            sheet.column :leg, Choice.new(%w[left right])
            sheet.column :repetition, Count.new(1..200)
            %i[low top].each { |name| sheet.column name, share }
            %i[up_s hold_s down_s pause_s].each { |name| sheet.column name, seconds }
            %i[whole fell_onto_stop phone_slipped].each { |name| sheet.column name, YesNo }
          end

        ALL =
          [CLIENTS, READINGS_OF_CLIENTS, MACHINES, MARKS, FITTINGS, VISITS, MOVEMENTS].to_h do |sheet|
              [sheet.name, sheet]
            end
            .freeze

        def self.fetch(name)
          ALL.fetch(name.to_s.to_sym) { raise Invalid.new(:not_allowed, path: "/kind", expected: ALL.keys.join(", ")) }
        end
      end
    end
  end
end
