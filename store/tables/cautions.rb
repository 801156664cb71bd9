# frozen_string_literal: true

require "date"

module Verglas
  module Store
    module Tables
      # The cautions of one gym's clients, at most one of a kind each. One that was written by mistake is taken out with
      # a reason and kept, until it is put back or written anew. Which caution it is lies encrypted with all that is
      # said of it; that there is one of a kind only is held by a keyed digest. Who writes holds the client's row, so
      # that nobody evaluates meanwhile.
      class Cautions
        WRITABLE = %i[side joint since cleared_by cleared_on degrees named load_to_kg].freeze
        DATES = %i[since cleared_on].freeze
        STANDING = { removed_at: nil, removed_by: nil, removal_cipher: nil }.freeze

        def initialize(gym)
          @gym = gym
        end

        # By name, with by whom, and whether the gym is stricter with it than the table (stricter). Asked at every step
        # of an adjuster: planned once a connection.
        def of(client_id) = opened(prepared.call(client_id: client_id, gym_id: @gym.id))

        # {client id => rows} of several clients, in one statement.
        def of_many(client_ids) = opened(with_names(client_ids, @gym.id).all).group_by { |row| row[:client_id] }

        # Names of the cautions with which this gym is stricter.
        def stricter = @gym.db[:gym_cautions].where(gym_id: @gym.id).select_map(:caution)

        def set_stricter(caution, stricter, by:)
          return @gym.db[:gym_cautions].where(gym_id: @gym.id, caution: caution).delete unless stricter

          @gym.db[:gym_cautions].insert_conflict.insert(gym_id: @gym.id, caution: caution, set_by: by)
        end

        # Those that were taken out, the latest first, with by whom.
        def removed(client_id)
          opened(
            dataset
              .exclude(removed_at: nil)
              .where(client_id: client_id)
              .left_join(:accounts, id: :removed_by)
              .select_all(:client_cautions)
              .select_append(Sequel[:accounts][:name].as(:removed_by_name))
              .all
          ).sort_by { |row| row[:removed_at] }.reverse
        end

        # version: that the writer saw, nil where none stands. Raises Stale with what stands there otherwise.
        def put(client_id, caution, version:, by:, note:, **fields)
          body = { caution: caution, side: "", cleared_by: "", degrees: {}, **fields.slice(*WRITABLE) }
          fields = {
            **Sealed.columns(:client_cautions, { body: written(body), note: note }),
            set_by: by,
            set_at: Sequel::CURRENT_TIMESTAMP
          }
          @gym.clients.hold_to_write(client_id)
          ConstraintErrors.translate do
            version ? change(standing, client_id, caution, version, fields) : add(client_id, caution, fields)
          end
        end

        # One and the same, without a word about it, for clients who have none of its kind.
        def add_to_all(client_ids, caution, by:)
          columns = %i[client_id caution_digest set_by body_cipher]
          body =
            Sealed.columns(
              :client_cautions,
              { body: written({ caution: caution, side: "", cleared_by: "", degrees: {} }) }
            ).values
          ConstraintErrors.translate do
            Copy.rows(
              @gym.db,
              :client_cautions,
              columns,
              client_ids.map { |id| [id, self.class.digests(id, caution).first, by, *body] }
            )
          end
        end

        def remove(client_id, caution, version:, by:, reason:)
          @gym.clients.hold_to_write(client_id)
          change(
            standing,
            client_id,
            caution,
            version,
            removed_at: Sequel::CURRENT_TIMESTAMP,
            removed_by: by,
            **Sealed.columns(:client_cautions, { removal: reason })
          )
        end

        def put_back(client_id, caution, version:)
          @gym.clients.hold_to_write(client_id)
          change(dataset.exclude(removed_at: nil), client_id, caution, version, STANDING)
        end

        # Two records are one person's: what is said of one is said of the other from now on, but what of its kind is
        # said there already. ids: of those that go alone. Answers the ids of those that went.
        def hand_over(from, into, ids: nil)
          of_one = @gym.db[:client_cautions].where(client_id: from)
          rows = (ids ? of_one.where(id: ids) : of_one).all.map { |row| self.class.opened(row) }
          free =
            rows.select do |row|
              @gym.db[:client_cautions].where(
                client_id: into,
                caution_digest: self.class.digests(into, row[:caution])
              ).empty?
            end
          free.each do |row|
            digest = self.class.digests(into, row[:caution]).first
            of_one.where(id: row[:id]).update(client_id: into, caution_digest: digest)
          end
          free.map { |row| row[:id] }
        end

        # What a digest is made of.
        def self.digests(client_id, caution) = Secrets.digests("#{client_id}:#{caution}", :caution_kind)

        # A row as it lies there with all that is said in it.
        def self.opened(row)
          body = Sealed.open(:client_cautions, row).delete(:body).transform_keys(&:to_sym)
          DATES.each { |name| body[name] &&= Date.iso8601(body[name]) }
          row.merge!({ since: nil, cleared_on: nil, load_to_kg: nil, **body })
        end

        private

        def opened(rows)
          rows.each do |row|
            self.class.opened(row)
            row[:stricter] = row.delete(:stricter_names).to_s.split(",").include?(row[:caution]) if row.key?(
              :stricter_names
            )
          end
          rows.sort_by { |row| row[:caution] }
        end

        # Days as ISO 8601, kilograms to a tenth.
        def written(body)
          body.merge(load_to_kg: body[:load_to_kg]&.round(1), **DATES.to_h { |name| [name, body[name]&.to_s] })
        end

        def prepared = Planned.of(@gym.db, :cautions_of, :select) { with_names }

        # stricter_names: of the gym's cautions with which it is stricter.
        def with_names(client = Sequel.cast(:$client_id, :uuid), gym = Sequel.cast(:$gym_id, :uuid))
          stricter = @gym.db[:gym_cautions].where(gym_id: gym).select { string_agg(:caution, ",") }
          @gym.db[:client_cautions]
            .where(:client_id => client, Sequel[:client_cautions][:removed_at] => nil)
            .left_join(:accounts, id: Sequel[:client_cautions][:set_by])
            .select_all(:client_cautions)
            .select_append(Sequel[:accounts][:name].as(:by_name), stricter.as(:stricter_names))
        end

        def dataset = @gym.db[:client_cautions].where(client_id: @gym.clients.dataset.select(:id))
        def standing = dataset.where(removed_at: nil)
        def of_kind(among, client_id, caution)
          among.where(client_id: client_id, caution_digest: self.class.digests(client_id, caution))
        end

        def row(client_id, caution)
          found = of_kind(dataset, client_id, caution).first
          found && self.class.opened(found)
        end

        # In the place of one that was taken out, where there is one.
        def add(client_id, caution, fields)
          again = { **fields, **STANDING, version: Sequel[:client_cautions][:version] + 1 }
          taken_out = of_kind(dataset.exclude(removed_at: nil), client_id, caution).returning.update(again).first
          made = taken_out || (of_kind(dataset, client_id, caution).empty? && insert(client_id, caution, fields))
          made || raise(Stale, row(client_id, caution))
        end

        def insert(client_id, caution, fields)
          @gym.db[:client_cautions]
            .insert_conflict
            .returning
            .insert(client_id: client_id, caution_digest: self.class.digests(client_id, caution).first, **fields)
            .first
        end

        def change(among, client_id, caution, version, fields)
          rows =
            of_kind(among, client_id, caution)
              .where(version: version)
              .returning
              .update(**fields, version: Sequel[:version] + 1)
          rows.first || raise(Stale, row(client_id, caution))
        end
      end
    end
  end
end
