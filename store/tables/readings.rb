# frozen_string_literal: true

module Verglas
  module Store
    module Tables
      # Tape readings: at most one an observation and client, in the order in which they were taken.
      class Readings
        def initialize(gym)
          @gym = gym
        end

        # Asked at every step of an adjuster: planned once a connection.
        def of(client_id)
          statement =
            Planned.of(@gym.db, :readings_of, :select) do
              ordered(Sequel.cast(:$client_id, :uuid), Sequel.cast(:$gym_id, :uuid))
            end
          statement.call(client_id: client_id, gym_id: @gym.id)
        end

        # With the name of who took each.
        def signed(client_id)
          ordered(client_id)
            .select_all(:readings)
            .select_append(Sequel[:accounts][:name].as(:taken_by_name))
            .join(:accounts, id: Sequel[:readings][:taken_by])
            .all
        end

        # {client id => {observation => row}} of several clients, in one statement.
        def of_many(client_ids)
          return {} if client_ids.empty?

          dataset
            .where(client_id: client_ids)
            .all
            .group_by { |row| row[:client_id] }
            .transform_values { |rows| rows.to_h { |row| [row[:observation], row] } }
        end

        COLUMNS = %i[client_id observation value_mm unit confirmed taken_by taken_at].freeze

        # Many at once, of clients who have none of these yet; taken_at nil: now.
        def add_all(rows, by:)
          now = Time.now
          ConstraintErrors.translate do
            Copy.rows(
              @gym.db,
              :readings,
              [:gym_id, *COLUMNS],
              rows.map do |row|
                [@gym.id, *{ taken_by: by, **row, taken_at: row[:taken_at] || now }.values_at(*COLUMNS)]
              end
            )
          end
        end

        # Many at once, each in the place of what stood there.
        def put_all(rows)
          return if rows.empty?

          values =
            rows.map do |row|
              [@gym.id, *row.merge(taken_at: row[:taken_at] || Sequel.function(:clock_timestamp)).values_at(*COLUMNS)]
            end
          update = (COLUMNS - %i[client_id observation]).to_h { |name| [name, Sequel[:excluded][name]] }
          ConstraintErrors.translate do
            @gym.db[:readings].insert_conflict(target: %i[client_id observation], update: update).import(
              [:gym_id, *COLUMNS],
              values
            )
          end
        end

        # Takes the place of an earlier reading of the same observation.
        def put(client_id:, observation:, value_mm:, unit:, confirmed:, taken_by:)
          fields = {
            value_mm: value_mm,
            unit: unit,
            confirmed: confirmed,
            taken_by: taken_by,
            taken_at: Sequel.function(:clock_timestamp)
          }
          ConstraintErrors.translate do
            dataset.insert_conflict(target: %i[client_id observation], update: fields).insert(
              client_id: client_id,
              gym_id: @gym.id,
              observation: observation,
              **fields
            )
          end
        end

        def delete(client_id:, observation:) = dataset.where(client_id: client_id, observation: observation).delete

        private

        def ordered(client_id, gym_id = @gym.id)
          of_gym = @gym.db[:clients].where(gym_id: gym_id).select(:id)
          @gym.db[:readings]
            .where(client_id: of_gym)
            .where(client_id: client_id)
            .order(Sequel[:readings][:taken_at], Sequel[:readings][:observation])
        end

        # Never without the gym: a client of another one has no readings here.
        def dataset = @gym.db[:readings].where(client_id: @gym.clients.dataset.select(:id))
      end
    end
  end
end
