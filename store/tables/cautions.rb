# frozen_string_literal: true

module Verglas
  module Store
    module Tables
      # The cautions of one gym's clients, at most one of a kind each. One that was written by mistake is taken out with a reason
      # and kept, until it is put back or written anew.
      class Cautions
        WRITABLE = %i[side since cleared_by cleared_on load_to_kg].freeze
        STANDING = { removed_at: nil, removed_by: nil, removal_cipher: nil }.freeze

        def initialize(gym)
          @gym = gym
        end

        # With by whom, and whether the gym is stricter with it than the table (stricter). Asked at every step of an adjuster:
        # planned once a connection.
        def of(client_id) = prepared.call(client_id: client_id, gym_id: @gym.id)

        # {client id => rows} of several clients, in one statement.
        def of_many(client_ids) = with_names(client_ids, @gym.id).to_hash_groups(:client_id)

        # Names of the cautions with which this gym is stricter.
        def stricter = @gym.db[:gym_cautions].where(gym_id: @gym.id).select_map(:caution)

        def set_stricter(caution, stricter, by:)
          return @gym.db[:gym_cautions].where(gym_id: @gym.id, caution: caution).delete unless stricter

          @gym.db[:gym_cautions].insert_conflict.insert(gym_id: @gym.id, caution: caution, set_by: by)
        end

        # Those that were taken out, the latest first, with by whom.
        def removed(client_id)
          dataset.exclude(removed_at: nil).where(client_id: client_id).order(Sequel.desc(:removed_at))
                 .left_join(:accounts, id: :removed_by).select_all(:client_cautions).select_append(Sequel[:accounts][:name].as(:removed_by_name)).all
        end

        # version: that the writer saw, nil where none stands. Raises Stale with what stands there otherwise.
        def put(client_id, caution, version:, by:, note:, degrees: {}, **fields)
          fields = { **fields.slice(*WRITABLE), degrees: Sequel.pg_json(degrees), note_cipher: Secrets.lock(note, :caution), set_by: by, set_at: Sequel::CURRENT_TIMESTAMP }
          ConstraintErrors.translate { version ? change(standing, client_id, caution, version, fields) : add(client_id, caution, fields) }
        end

        def remove(client_id, caution, version:, by:, reason:)
          change(standing, client_id, caution, version, removed_at: Sequel::CURRENT_TIMESTAMP, removed_by: by, removal_cipher: Secrets.lock(reason, :caution_removal))
        end

        def put_back(client_id, caution, version:) = change(dataset.exclude(removed_at: nil), client_id, caution, version, STANDING)

        private

        def prepared
          @gym.db.prepared_statement(:cautions_of) || with_names.prepare(:select, :cautions_of)
        end

        def with_names(client = Sequel.cast(:$client_id, :uuid), gym = Sequel.cast(:$gym_id, :uuid))
          @gym.db[:client_cautions].where(:client_id => client, Sequel[:client_cautions][:removed_at] => nil).order(Sequel[:client_cautions][:caution])
              .left_join(:accounts, id: Sequel[:client_cautions][:set_by])
              .left_join(:gym_cautions, caution: Sequel[:client_cautions][:caution], gym_id: gym)
              .select_all(:client_cautions).select_append(Sequel[:accounts][:name].as(:by_name), Sequel.~(Sequel[:gym_cautions][:caution] => nil).as(:stricter))
        end

        def dataset = @gym.db[:client_cautions].where(client_id: @gym.clients.dataset.select(:id))
        def standing = dataset.where(removed_at: nil)
        def row(client_id, caution) = dataset.first(client_id: client_id, caution: caution)

        # In the place of one that was taken out, where there is one.
        def add(client_id, caution, fields)
          again = { **fields, **STANDING, version: Sequel[:client_cautions][:version] + 1 }
          made = @gym.db[:client_cautions].insert_conflict(target: %i[client_id caution], update: again, update_where: Sequel.~(Sequel[:client_cautions][:removed_at] => nil))
                     .returning.insert(client_id: client_id, caution: caution, **fields).first
          made || raise(Stale, row(client_id, caution))
        end

        def change(among, client_id, caution, version, fields)
          rows = among.where(client_id: client_id, caution: caution, version: version).returning.update(**fields, version: Sequel[:version] + 1)
          rows.first || raise(Stale, row(client_id, caution))
        end
      end
    end
  end
end
