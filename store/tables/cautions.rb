# frozen_string_literal: true

module Verglas
  module Store
    module Tables
      # The cautions of one gym's clients, at most one of a kind each.
      class Cautions
        WRITABLE = %i[side since cleared_by cleared_on bend_from_deg bend_to_deg load_to_kg].freeze

        def initialize(gym)
          @gym = gym
        end

        # With by whom, and whether the gym is stricter with it than the table (stricter). Asked at every step of an adjuster:
        # planned once a connection.
        def of(client_id) = prepared.call(client_id: client_id, gym_id: @gym.id)

        # Names of the cautions with which this gym is stricter.
        def stricter = @gym.db[:gym_cautions].where(gym_id: @gym.id).select_map(:caution)

        def set_stricter(caution, stricter, by:)
          return @gym.db[:gym_cautions].where(gym_id: @gym.id, caution: caution).delete unless stricter

          @gym.db[:gym_cautions].insert_conflict.insert(gym_id: @gym.id, caution: caution, set_by: by)
        end

        # version: that the writer saw, nil where there was none. Raises Stale with what stands there otherwise.
        def put(client_id, caution, version:, by:, note:, **fields)
          fields = { **fields.slice(*WRITABLE), note_cipher: Secrets.lock(note, :caution), set_by: by, set_at: Sequel::CURRENT_TIMESTAMP }
          ConstraintErrors.translate { version ? change(client_id, caution, version, fields) : add(client_id, caution, fields) }
        end

        def delete(client_id, caution, version:)
          dataset.where(client_id: client_id, caution: caution, version: version).delete.positive? || raise(Stale, row(client_id, caution))
        end

        private

        def prepared
          @gym.db.prepared_statement(:cautions_of) || with_names.prepare(:select, :cautions_of)
        end

        def with_names
          @gym.db[:client_cautions].where(client_id: Sequel.cast(:$client_id, :uuid)).order(Sequel[:client_cautions][:caution])
              .left_join(:accounts, id: Sequel[:client_cautions][:set_by])
              .left_join(:gym_cautions, caution: Sequel[:client_cautions][:caution], gym_id: Sequel.cast(:$gym_id, :uuid))
              .select_all(:client_cautions).select_append(Sequel[:accounts][:name].as(:by_name), Sequel.~(Sequel[:gym_cautions][:caution] => nil).as(:stricter))
        end

        def dataset = @gym.db[:client_cautions].where(client_id: @gym.clients.dataset.select(:id))
        def row(client_id, caution) = dataset.first(client_id: client_id, caution: caution)

        def add(client_id, caution, fields)
          made = @gym.db[:client_cautions].insert_conflict.returning.insert(client_id: client_id, caution: caution, **fields).first
          made || raise(Stale, row(client_id, caution))
        end

        def change(client_id, caution, version, fields)
          rows = dataset.where(client_id: client_id, caution: caution, version: version).returning.update(**fields, version: Sequel[:version] + 1)
          rows.first || raise(Stale, row(client_id, caution))
        end
      end
    end
  end
end
