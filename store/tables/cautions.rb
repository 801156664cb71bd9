# frozen_string_literal: true

module Verglas
  module Store
    module Tables
      # The cautions of one gym's clients, at most one of a kind each.
      class Cautions
        WRITABLE = %i[side since cleared_by cleared_on bend_from_deg bend_to_deg].freeze

        def initialize(gym)
          @gym = gym
        end

        # Asked at every step of an adjuster: planned once a connection.
        def of(client_id)
          statement = @gym.db.prepared_statement(:cautions_of) ||
                      @gym.db[:client_cautions].where(client_id: Sequel.cast(:$client_id, :uuid)).left_join(:accounts, id: :set_by).order(:caution)
                          .select_all(:client_cautions).select_append(Sequel[:accounts][:name].as(:by_name)).prepare(:select, :cautions_of)
          statement.call(client_id: client_id)
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
