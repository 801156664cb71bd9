# frozen_string_literal: true

module Verglas
  module Store
    module Tables
      # One gym's choice of a school of each contested question, and what was chosen otherwise for a client.
      class Rules
        def initialize(gym)
          @gym = gym
        end

        # {question => school} of the gym and of one client, in one round trip: asked at every step of an adjuster.
        def chosen(client_id)
          rows = prepared.call(client_id: client_id, gym_id: @gym.id)
          own, gyms = rows.partition { |row| row[:own] }
          { gym: schools(gyms), client: schools(own) }
        end

        def of_gym = schools(dataset.all)

        # With reason and by whom.
        def of_client(client_id)
          Sealed.open_all(
            :client_rules,
            client_rules
              .where(client_id: client_id)
              .left_join(:accounts, id: :set_by)
              .select(:question, :school, :reason_cipher, :set_at, Sequel[:accounts][:name].as(:by_name))
              .order(:question)
              .all
          )
        end

        def set(question, school, by:)
          fields = { school: school, set_by: by, set_at: Sequel::CURRENT_TIMESTAMP }
          @gym.db[:gym_rules].insert_conflict(target: %i[gym_id question], update: fields).insert(
            gym_id: @gym.id,
            question: question,
            **fields
          )
        end

        # school nil: as the gym has it.
        def set_for_client(client_id, question, school, reason:, by:)
          return client_rules.where(client_id: client_id, question: question).delete unless school

          fields = {
            school: school,
            **Sealed.columns(:client_rules, { reason: reason }),
            set_by: by,
            set_at: Sequel::CURRENT_TIMESTAMP
          }
          @gym.db[:client_rules].insert_conflict(target: %i[client_id question], update: fields).insert(
            client_id: client_id,
            question: question,
            **fields
          )
        end

        # {client id => {question => school}} of several clients, in one statement.
        def of_many(client_ids)
          @gym.db[:client_rules]
            .where(client_id: client_ids)
            .to_hash_groups(:client_id)
            .transform_values { |rows| schools(rows) }
        end

        private

        def dataset = @gym.db[:gym_rules].where(gym_id: @gym.id)
        def client_rules = @gym.db[:client_rules].where(client_id: @gym.clients.dataset.select(:id))
        def schools(rows) = rows.to_h { |row| [row[:question].to_sym, row[:school].to_sym] }

        def prepared = Planned.of(@gym.db, :rules_chosen, :select) { both }

        def both
          gyms =
            @gym.db[:gym_rules].where(gym_id: Sequel.cast(:$gym_id, :uuid)).select(
              :question,
              :school,
              Sequel.as(false, :own)
            )
          own =
            @gym.db[:client_rules].where(client_id: Sequel.cast(:$client_id, :uuid)).select(
              :question,
              :school,
              Sequel.as(true, :own)
            )
          gyms.union(own, all: true)
        end
      end
    end
  end
end
