# frozen_string_literal: true

require "yaml"

module Verglas
  module Demo
    # Fills an empty database with The Net Loft: staff, machines, clients with readings, some accepted fittings, one left open.
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
        @gym.machines.insert(**machine.slice("family", "name", "place", "constants", "adjusters").transform_keys(&:to_sym), taped_by: @staff.first)
      end

      def client(person)
        row = @gym.clients.insert(person.slice("name", "detail", "sex", "birth_date", "body_mass_kg").transform_keys(&:to_sym))
        person["readings"].each do |observation, value|
          @gym.readings.put(client_id: row[:id], observation: observation, value_mm: value, unit: "cm", confirmed: false, taken_by: @staff.first)
        end
        person.fetch("fitted", []).each { |name| accept(row, @machines.fetch(name)) }
        person.fetch("open", []).each { |name| open_draft(row, @machines.fetch(name)) }
      end

      def accept(client, machine)
        draft, bench = open_draft(client, machine)
        marks = draft[:marks].to_h
        @gym.fittings.accept(draft[:id], version: draft[:version], marks: marks, result: bench.result(marks), computed_from: bench.computed_from, by: @staff.first)
      end

      def open_draft(client, machine)
        bench = Web::Bench.new(client: client, readings: @gym.readings.of(client[:id]), machine_row: machine)
        draft, = @gym.fittings.open(client_id: client[:id], machine_id: machine[:id], description_number: machine[:number], marks: bench.advice.marks, by: @staff.last)
        [draft, bench]
      end
    end
  end
end
