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
          @machines = @data["machines"].to_h { |machine| [machine["name"], @gym.machines.find(machine_id(machine))] }
          @data["clients"].each { |person| client(person) }
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
        person.fetch("fitted", []).each { |name| accept(row, name) }
        person.fetch("checked", []).each { |name| accept(row, name, knee_off_mm: 0, roller_seen: true) }
        person.fetch("open", []).each { |name| open_draft(row, name) }
      end

      def accept(client, name, **seen)
        draft, bench = open_draft(client, name)
        marks = draft[:marks].to_h
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
