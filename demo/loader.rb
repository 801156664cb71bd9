# frozen_string_literal: true

require "date"
require "time"
require "yaml"
require_relative "visits"

module Verglas
  module Demo
    # Fills an empty database with The Net Loft: staff, machines, cushions, clients with readings, accepted fittings,
    # one left open.
    class Loader
      FILE = File.join(__dir__, "net_loft.yml")
      # When everybody was taped; fittings follow, one a day.
      READ_DAYS_AGO = 28
      EARLIER_DAYS_AGO = 60
      # Of the staff, who works the floor beside the lead.
      INSTRUCTOR = 1
      DAY_S = 86_400
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
          reviewed
          @gym.equipment.replace(@data["equipment"])
          @gym.equipment.replace_plates(@data["plates"])
          @gym.equipment.replace_bands(@data["bands"])
          @gym.tempos.replace(@data["tempos"].map { |row| row.transform_keys(&:to_sym) }, version: 1)
          @machines = @data["machines"].to_h { |machine| [machine["name"], @gym.machines.find(machine_id(machine))] }
          @data["clients"].each { |person| client(person) }
          planned
          @gym.id
        end
      end

      private

      # The clinician of the gym stands under the table of cautions, since before anybody was fitted.
      def reviewed
        clinician = @data["staff"].find { |person| person["role"] == "clinician" }
        @db[:gyms].where(id: @gym.id).update(
          cautions_reviewed_by: clinician["name"],
          cautions_reviewed_on: Date.today - EARLIER_DAYS_AGO
        )
      end

      # Who waits, what is done on which day, and who goes round with whom.
      def planned
        @data["queues"].each { |machine, names| queue(@machines.fetch(machine), names) }
        @data["programmes"].each { |programme| programme(programme.transform_keys(&:to_sym)) }
        @data["circles"].each { |circle| circle(circle.transform_keys(&:to_sym)) }
      end

      def programme(fields) = @gym.programmes.add(client_id: nil, **fields, by: @staff.first)

      # Put in the order in which the least is moved.
      def circle(fields)
        stations = fields[:stations].map { |name| "#{@machines.fetch(name)[:id]}/" }
        people = fields[:people].map { |name| @gym.clients.dataset.where(name: name).get(:id) }
        Application::Sessions::Gathering.add(
          @gym,
          { **fields, stations: stations, people: people },
          by: @staff[INSTRUCTOR]
        )
      end

      def account(person)
        id = @db[:accounts].insert(person.except("pin").transform_keys(&:to_sym).merge(gym_id: @gym.id))
        Store::Tablets.new(@db).put_pin(id, Web::SignIn.password_hash(person["pin"])) if person["pin"]
        @db[:account_password_hashes].insert(id: id, password_hash: Web::SignIn.password_hash(SIGN_IN[:password]))
        id
      end

      def machine_id(machine)
        facts = machine.transform_keys(&:to_sym)
        description = facts.slice(:constants, :adjusters, :exercises)
        @gym.machines.insert(
          description: {
            **description,
            taped: taped(machine)
          },
          by: @staff.first,
          **facts.except(*description.keys),
          moves: facts[:moves].transform_values { |names| Guidance::Moves.usually(names) }
        )
      end

      # The lead taped every length that is known.
      def taped(machine)
        parts = { nil => machine, **machine.fetch("exercises", {}) }
        names =
          parts.flat_map do |exercise, part|
            part.fetch("constants", {}).keys.map { |name| [exercise, name].compact.join("/") }
          end
        names.to_h { |name| [name, { by: @staff.first, at: Time.now.utc.iso8601 }] }
      end

      # Asked about cautions on the day of the tape, whoever was asked yet.
      def client(person)
        new =
          @gym.clients.insert(
            person.slice("name", "detail", "sex", "birth_date", "body_mass_kg").transform_keys(&:to_sym)
          )
        unless person["not_asked"]
          @gym.clients.asked(new[:id], on: (Time.now - (READ_DAYS_AGO * DAY_S)).to_date, version: new[:version])
        end
        row = @gym.clients.find(new[:id])
        known(row, person)
        remembered(@gym.clients.find(row[:id]), person)
        @db[:readings].where(client_id: row[:id], observation: person["read_anew"]).update(taken_at: Time.now - 3600)
      end

      # Tape, cautions, what was measured and shown.
      def known(row, person)
        readings(row, person["readings"])
        person
          .fetch("cautions", {})
          .each do |caution, fields|
            @gym.cautions.put(
              row[:id],
              caution,
              version: nil,
              by: @staff.first,
              **Web::Inputs::Caution.fields(fields.transform_keys(&:to_sym))
            )
          end
        limits(row, person.fetch("limits", {}), person.fetch("shown", []))
      end

      # Fittings, and what was lifted since.
      def remembered(client, person)
        fittings(client, person, person.fetch("loads", {}))
        accepted = @db[:fittings].where(client_id: client[:id]).exclude(accepted_at: nil)
        accepted.update(accepted_at: Time.now - (person["days_ago"] * DAY_S)) if person.key?("days_ago")
        person.fetch("visits", {}).each { |name, rows| visits(client, name, rows) }
      end

      def readings(client, values)
        values.each do |name, value|
          @gym.readings.put(
            client_id: client[:id],
            observation: name,
            value_mm: value,
            unit: "cm",
            confirmed: false,
            taken_by: @staff.first
          )
        end
        @db[:readings].where(client_id: client[:id]).update(taken_at: Time.now - (READ_DAYS_AGO * DAY_S))
      end

      def fittings(client, person, loads)
        person.fetch("earlier", {}).each { |name, marks| accept_earlier(client, name, marks) }
        person.fetch("fitted", []).each { |name| accept(client, name, **work(loads[name])) }
        person
          .fetch("checked", [])
          .each { |name| accept(client, name, knee_off_mm: 0, roller_seen: true, **work(loads[name])) }
        person.fetch("open", []).each { |name| begin_draft(client, name) }
      end

      # shown: names of the gates that went right.
      def limits(client, measured, shown)
        signed = { by: "Maren Oldcastle", at: Time.now.utc.iso8601 }
        limits =
          measured.to_h do |name, reading|
            [name, { deg: Guidance::Limits.fetch(name).degrees(reading).round(1), reading: reading, **signed }]
          end
        limits = limits.merge(shown.to_h { |gate| [gate, { right: true, **signed }] })
        @gym.clients.measure(client[:id], version: client[:version], limits: limits) if limits.any?
      end

      # A load in kg, as it was lifted on the machine; or how it went with body weight.
      def work(load_kg)
        if load_kg.is_a?(String)
          return(
            {
              work: {
                **Application::Sheet::NO_WORK,
                "repetitions" => 10,
                "sets" => 2,
                "last" => load_kg,
                "felt" => "worked"
              },
              cue: "Ribs in, eyes down."
            }
          )
        end

        if load_kg
          {
            work: {
              **Application::Sheet::NO_WORK,
              "load_kg" => load_kg,
              "repetitions" => 10,
              "sets" => 2,
              "last" => "clean",
              "felt" => "worked"
            },
            cue: "Slow first, knees still."
          }
        else
          {}
        end
      end

      def queue(machine, names)
        ids = names.map { |name| @gym.clients.dataset.where(name: name).get(:id) }
        @gym.queues.put(machine[:id], "", clients: ids, version: 0, by: @staff.first)
      end

      # Left open by somebody who had begun.
      def begin_draft(client, name)
        draft, = open_draft(client, name)
        @gym.fittings.save(draft[:id], version: draft[:version], by: @staff[INSTRUCTOR], marks: draft[:marks].to_h)
      end

      def visits(client, name, rows)
        machine, exercise = name.split(", ")
        Visits.new(@gym, by: @staff[INSTRUCTOR]).write(client, @machines.fetch(machine), exercise.to_s, rows)
      end

      # Long ago, at other marks than today's.
      def accept_earlier(client, name, marks)
        row = accept(client, name, marks: marks)
        at = Time.now - (EARLIER_DAYS_AGO * DAY_S)
        @db[:fittings].where(id: row[:id]).update(accepted_at: at, updated_at: at)
      end

      def accept(client, name, marks: {}, **seen)
        draft, meeting = open_draft(client, name)
        marks = draft[:marks].to_h.merge(marks)
        seen[:load] = Application::Told::Load.printed(meeting.rig, seen[:work]["load_kg"]) if seen.key?(:work) &&
          meeting.rig
        kept = { **Application::Record.of(meeting, marks, draft[:aids].to_h), marks: marks, **seen }
        lately(@gym.fittings.accept(draft[:id], version: draft[:version], by: @staff.first, **kept))
      end

      # Over the last weeks, the later ones nearer to today; each machine stands as it was left.
      def lately(row)
        @accepted = @accepted.to_i + 1
        at = Time.now - ((READ_DAYS_AGO - @accepted) * DAY_S)
        @db[:fittings].where(id: row[:id]).update(accepted_at: at, updated_at: at)
        @gym.queues.stands(row[:machine_id], row[:exercise], row[:marks].to_h, by: @staff.first)
        row
      end

      # name: of the machine; on a station followed by its exercise, as in "Station 1, curl".
      def open_draft(client, name)
        machine, exercise = name.split(", ")
        meeting =
          Application::Meeting.new(@gym, client: client, machine_row: @machines.fetch(machine), exercise: exercise.to_s)
        sheet = Application::Sheet.at_opening(meeting, last: nil, sibling: nil)
        draft, =
          @gym.fittings.open(
            client_id: client[:id],
            machine_id: meeting.machine_row[:id],
            exercise: exercise.to_s,
            description_number: meeting.machine_row[:number],
            by: @staff[INSTRUCTOR],
            **sheet
          )
        [draft, meeting]
      end
    end
  end
end
