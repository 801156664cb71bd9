# frozen_string_literal: true

require "time"
require "yaml"

module Verglas
  module Demo
    # Fills an empty database with The Net Loft: staff, machines, cushions, clients with readings, accepted fittings, one left open.
    class Loader
      FILE = File.join(__dir__, "net_loft.yml")
      SIGN_IN = { email: "maren@netloft.example", password: "mend the nets" }.freeze

      def initialize(db)
        @db = db
        @data = YAML.safe_load_file(FILE)
      end

      # Answers the gym's id.
      def load
        @db.transaction do
          @gym = Store::Gym.new(@db, @db[:gyms].returning(:id).insert(@data["gym"].transform_keys(&:to_sym)).first[:id])
          @staff = @data["staff"].map { |person| account(person) }
          @gym.equipment.replace(@data["equipment"])
          @gym.equipment.replace_plates(@data["plates"])
          @machines = @data["machines"].to_h { |machine| [machine["name"], @gym.machines.find(machine_id(machine))] }
          @data["clients"].each { |person| client(person) }
          @data["queues"].each { |machine, names| queue(@machines.fetch(machine), names) }
          @gym.id
        end
      end

      private

      def account(person)
        id = @db[:accounts].insert(person.transform_keys(&:to_sym).merge(gym_id: @gym.id))
        @db[:account_password_hashes].insert(id: id, password_hash: Web::SignIn.password_hash(SIGN_IN[:password]))
        id
      end

      def machine_id(machine)
        facts = machine.transform_keys(&:to_sym)
        description = facts.slice(:constants, :adjusters, :exercises)
        @gym.machines.insert(description: { **description, taped: taped(machine) }, by: @staff.first, **facts.except(*description.keys))
      end

      # The lead taped every length that is known.
      def taped(machine)
        parts = { nil => machine, **machine.fetch("exercises", {}) }
        names = parts.flat_map { |exercise, part| part.fetch("constants", {}).keys.map { |name| [exercise, name].compact.join("/") } }
        names.to_h { |name| [name, { by: @staff.first, at: Time.now.utc.iso8601 }] }
      end

      def client(person)
        row = @gym.clients.insert(person.slice("name", "detail", "sex", "birth_date", "body_mass_kg").transform_keys(&:to_sym))
        person["readings"].each do |observation, value|
          @gym.readings.put(client_id: row[:id], observation: observation, value_mm: value, unit: "cm", confirmed: false, taken_by: @staff.first)
        end
        person.fetch("cautions", {}).each do |caution, fields|
          @gym.cautions.put(row[:id], caution, version: nil, by: @staff.first, **Web::Inputs::Caution.fields(fields.transform_keys(&:to_sym)))
        end
        limits(row, person.fetch("limits", {}))
        loads = person.fetch("loads", {})
        person.fetch("fitted", []).each { |name| accept(row, name, **work(loads[name])) }
        person.fetch("checked", []).each { |name| accept(row, name, knee_off_mm: 0, roller_seen: true, **work(loads[name])) }
        person.fetch("open", []).each { |name| begin_draft(row, name) }
      end

      def limits(client, measured)
        limits = measured.to_h { |name, reading| [name, { deg: Fitting::Limits.fetch(name).degrees(reading).round(1), reading: reading, by: "Maren Oldcastle", at: Time.now.utc.iso8601 }] }
        @gym.clients.measure(client[:id], version: client[:version], limits: limits) if limits.any?
      end

      # A load in kg, as it was lifted on the machine.
      def work(load_kg)
        load_kg ? { work: { **Web::Sheet::NO_WORK, "load_kg" => load_kg, "repetitions" => 10, "sets" => 2, "last" => "clean", "felt" => "worked" }, cue: "Slow first, knees still." } : {}
      end

      def queue(machine, names)
        ids = names.map { |name| @gym.clients.dataset.where(name: name).get(:id) }
        @gym.queues.put(machine[:id], "", clients: ids, version: 0, by: @staff.first)
      end

      # Left open by somebody who had begun.
      def begin_draft(client, name)
        draft, = open_draft(client, name)
        @gym.fittings.save(draft[:id], version: draft[:version], by: @staff.last, marks: draft[:marks].to_h)
      end

      def accept(client, name, **seen)
        draft, bench = open_draft(client, name)
        marks = draft[:marks].to_h
        seen[:load] = Web::Views::Loads.printed(bench.rig, seen[:work]["load_kg"]) if seen.key?(:work)
        @gym.fittings.accept(draft[:id], version: draft[:version], result: bench.result(marks, draft[:aids].to_h), computed_from: bench.computed_from, by: @staff.first, marks: marks, **seen)
      end

      # name: of the machine; on a station followed by its exercise, as in "Station 1, curl".
      def open_draft(client, name)
        machine, exercise = name.split(", ")
        bench = Web::Bench.new(@gym, client: client, machine_row: @machines.fetch(machine), exercise: exercise.to_s)
        sheet = Web::Sheet.at_opening(bench, last: nil, sibling: nil)
        draft, = @gym.fittings.open(client_id: client[:id], machine_id: bench.machine_row[:id], exercise: exercise.to_s, description_number: bench.machine_row[:number], by: @staff.last,
                                    **sheet)
        [draft, bench]
      end
    end
  end
end
