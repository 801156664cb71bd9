# frozen_string_literal: true

module Verglas
  module Application
    # Everything that is kept about one client, as plain data in an order that stays: what a person is given who asks
    # for it. docs/formats/person.md
    class PersonArchive
      FORMAT = "verglas.person"
      VERSION = 1

      def initialize(gym, client)
        @gym = gym
        @client = client
        @id = client[:id]
      end

      def to_h
        {
          format: FORMAT,
          version: VERSION,
          client: client,
          readings: readings,
          limits: @client[:limits],
          cautions: cautions,
          house_rules: rules,
          fittings: fittings,
          visits: visits,
          sessions: sessions,
          programmes: programmes,
          groups: groups,
          put_off: put_off,
          shown_to: shown_to,
          own_card: own_card,
          joined: joined,
          trail: trail
        }
      end

      private

      def plain(row, *names) = row.slice(*names).transform_values { |value| value_of(value) }

      def value_of(value)
        case value
        when Time
          Told.time(value)
        when Date
          value.iso8601
        when BigDecimal
          value.to_f
        when Sequel::Postgres::JSONHash, Sequel::Postgres::JSONArray
          JSON.parse(JSON.generate(value))
        else
          value
        end
      end

      def client
        plain(
          @client,
          :id,
          :name,
          :detail,
          :sex,
          :birth_date,
          :body_mass_kg,
          :cautions_asked_on,
          :teaches,
          :consented_on,
          :consent_text,
          :consent_withdrawn_on,
          :away_since,
          :created_at,
          :updated_at
        )
      end

      def readings
        @gym
          .readings
          .signed(@id)
          .map do |row|
            { **plain(row, :observation, :value_mm, :unit, :confirmed, :taken_at), taken_by: row[:taken_by_name] }
          end
      end

      CAUTION = %i[caution side joint since cleared_by cleared_on degrees named load_to_kg note set_at].freeze
      FITTING = %i[
        id
        exercise
        state
        marks
        aids
        knee_off_mm
        roller_seen
        creep
        load
        signs
        work
        trail
        note
        cue
        reason
        stop_sign
        taken_back
        movement
        created_at
        accepted_at
      ].freeze
      private_constant :CAUTION, :FITTING

      # Those that were taken out too, with why.
      def cautions
        removed =
          @gym.cautions.removed(@id).map { |row| { **plain(row, *CAUTION, :removed_at), why_removed: row[:removal] } }
        [*@gym.cautions.of(@id).map { |row| plain(row, *CAUTION) }, *removed]
      end

      def rules
        @gym
          .rules
          .of_client(@id)
          .map { |row| { **plain(row, :question, :school, :reason, :set_at), set_by: row[:by_name] } }
      end

      # Every one, drafts and those that were let go too.
      def fittings
        rows =
          Store::Sealed.open_all(:fittings, @gym.fittings.dataset.where(client_id: @id).order(:created_at, :id).all)
        rows.map do |row|
          { **plain(row, *FITTING), machine: machines[row[:machine_id]], **row.slice(:result, :computed_from) }
        end
      end

      def visits
        rows = @gym.visits.dataset.where(client_id: @id).order(:begun_at, :id).all
        sets = @gym.visits.sets_of(rows.map { |row| row[:id] }, movements: true)
        rows.map do |row|
          own = sets.fetch(row[:id], []).map { |set| set(set) }
          {
            **plain(row, :id, :exercise, :fitting_id, :planned_kg, :stopped, :begun_at),
            machine: machines[row[:machine_id]],
            sets: own
          }
        end
      end

      def set(row)
        {
          **plain(row, :number, :load_kg, :repetitions, :leg, :kind, :helped, :done_at),
          how: row[:how],
          movement: row[:movement],
          watched_by: row[:watched_by_name]
        }
      end

      def sessions
        rows =
          Store::Sealed.open_all(:sessions, @gym.sessions.dataset.where(client_id: @id).order(:created_at, :id).all)
        rows.map do |row|
          planned =
            row[:blocks].to_a.map { |one| { machines: one["keys"].map { |key| named(key) }, sets: one["sets"] } }
          {
            **plain(row, :id, :state, :minutes, :aim, :created_at, :begun_at, :ended_at),
            planned: planned,
            left_out: row[:left_out].map { |one| one.slice("name", "why") }
          }
        end
      end

      # Their own, not the gym's.
      def programmes
        rows = @gym.programmes.dataset.where(client_id: @id).order(:name, :id).all
        rows.map { |row| plain(row, :id, :name, :aim, :weeks, :begins_on, :days, :updated_at) }
      end

      # Names of groups that they go in.
      def groups = @gym.circles.of(@id).map { |row| plain(row, :id, :name) }

      def named(key)
        machine_id, exercise = key.split("/", 2)
        Told::Names.machine(machines.fetch(machine_id, ""), exercise.to_s)
      end

      def put_off
        Store::Sealed
          .open_all(:refit_snoozes, @gym.db[:refit_snoozes].where(client_id: @id).order(:machine_id, :exercise).all)
          .map { |row| { **plain(row, :exercise, :until, :reason, :snoozed_at), machine: machines[row[:machine_id]] } }
      end

      # Clinicians who see them, and since when.
      def shown_to
        @gym.shares.standing(@id).map { |row| { clinician: row[:name], shared_at: Told.time(row[:shared_at]) } }
      end

      # Links to their own card: when each was made, and opened.
      def own_card = @gym.client_links.of(@id).map { |row| plain(row, :made_at, :opened_at, :opened) }

      # What stayed with records that were joined into this one, each whole.
      def joined
        @gym
          .joins
          .of(@id)
          .map { |row| { joined_at: Told.time(row[:joined_at]), record: self.class.new(@gym, row).to_h } }
      end

      # By whom and when; what, by its name. The latest first.
      def trail = Store::Queries::AuditTrail.new(@gym).all(of: @id).map { |row| plain(row, :at, :action, :by) }

      def machines = @machines ||= @gym.machines.dataset.select_hash(:id, :name)
    end
  end
end
