# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # A gym's rows for its tables (docs/formats/csv.md), in an order that stays: of one moment, and nothing is held
      # but some rows at a time.
      class TablesOut
        FETCHED = 500

        def initialize(gym)
          @gym = gym
        end

        def clients
          each(
            :clients,
            @gym
              .clients
              .dataset
              .order(:search_name, :id)
              .select(:id, :name, :detail_cipher, :sex, :birth_date, :body_mass_kg)
          )
        end

        def readings
          rows = of_clients(:readings).left_join(:accounts, id: Sequel[:readings][:taken_by])
          each(
            nil,
            rows.order(*by_client, Sequel[:readings][:taken_at], :observation).select(
              :client_id,
              *who,
              :observation,
              :value_mm,
              :unit,
              :confirmed,
              :taken_at,
              Sequel[:accounts][:email].as(:taken_by)
            )
          )
        end

        def fittings
          rows =
            on_machines(:fittings).where(Sequel[:fittings][:state] => "accepted").left_join(
              :accounts,
              id: Sequel[:fittings][:accepted_by]
            )
          own = %i[exercise marks grade knee_off_mm roller_seen load_cipher work_cipher accepted_at]
          each(
            :fittings,
            rows.order(*by_client, :accepted_at, Sequel[:fittings][:id]).select(
              Sequel[:fittings][:id],
              :client_id,
              *who,
              :machine_id,
              *what,
              *own,
              Sequel[:accounts][:email].as(:accepted_by)
            )
          )
        end

        # A row a set that stands; one for a visit without any.
        def visits
          own =
            %i[load_kg repetitions leg kind helped how_cipher clean sends_back done_at].map do |name|
              Sequel[:sets][name]
            end
          rows = with_staff(on_machines(:visits).left_join(standing_sets, visit_id: Sequel[:visits][:id]))
          each(
            :sets,
            rows.order(*by_client, :begun_at, Sequel[:visits][:id], Sequel[:sets][:number]).select(
              Sequel[:visits][:id].as(:visit_id),
              :fitting_id,
              :client_id,
              *who,
              :machine_id,
              *what,
              :exercise,
              :begun_at,
              :planned_kg,
              Sequel[:sets][:number],
              *own,
              Sequel[:watched][:email].as(:watched_by),
              Sequel[:done][:email].as(:done_by)
            )
          )
        end

        # What a phone read of accepted fittings, and of sets that stand: one row each.
        def movements
          read = ->(table, rows, **own) do
            each(
              table,
              rows
                .exclude(Sequel[table][:movement_cipher] => nil)
                .order(*by_client, Sequel[table][:id])
                .select(
                  :client_id,
                  *who,
                  :machine_id,
                  *what,
                  :exercise,
                  Sequel[table][:movement_cipher],
                  *own.map { |name, from| Sequel.as(from, name) }
                )
            )
          end
          fittings = on_machines(:fittings).where(Sequel[:fittings][:state] => "accepted")
          visits = on_machines(:visits).join(:sets, visit_id: Sequel[:visits][:id], taken_back_at: nil)
          sets = Sequel[:sets]
          own = { number: sets[:number], leg: sets[:leg], done_at: sets[:done_at] }
          read.call(:fittings, fittings, fitting_id: Sequel[:fittings][:id], done_at: :accepted_at) +
            read.call(:sets, visits, visit_id: Sequel[:visits][:id], fitting_id: :fitting_id, **own)
        end

        private

        def standing_sets
          @gym.db[:sets]
            .where(taken_back_at: nil)
            .select(
              :visit_id,
              :number,
              :load_kg,
              :repetitions,
              :leg,
              :kind,
              :helped,
              :how_cipher,
              :clean,
              :sends_back,
              :watched_by,
              :done_by,
              :done_at
            )
            .as(:sets)
        end

        # Who watched, and who wrote it down: of a visit without a set, who began it.
        def with_staff(rows)
          done = Sequel.function(:coalesce, Sequel[:sets][:done_by], Sequel[:visits][:begun_by])
          rows.left_join(Sequel[:accounts].as(:watched), id: Sequel[:sets][:watched_by]).left_join(
            Sequel[:accounts].as(:done),
            id: done
          )
        end

        # What stayed with a record that was joined into another is nobody's.
        def of_clients(table)
          rows = @gym.db[table].where(Sequel[table][:gym_id] => @gym.id)
          rows.join(:clients, id: Sequel[table][:client_id], joined_into: nil)
        end
        def on_machines(table) = of_clients(table).join(:machines, id: Sequel[table][:machine_id])
        def by_client = [Sequel[:clients][:search_name], Sequel[:clients][:id]]
        def who = [Sequel[:clients][:name].as(:client)]
        def what = [Sequel[:machines][:name].as(:machine)]

        def each(sealed, rows)
          Enumerator.new do |told|
            @gym
              .db
              .transaction(isolation: :repeatable, read_only: true) do
                @gym.allow(Archive::TAKEN_MS)
                rows
                  .use_cursor(rows_per_fetch: FETCHED)
                  .each { |row| told << (sealed ? Sealed.open(sealed, row) : row) }
              end
          end
        end
      end
    end
  end
end
