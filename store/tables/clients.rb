# frozen_string_literal: true

module Verglas
  module Store
    module Tables
      # The people of one gym, but records that were joined into others (Joins). Rows come with what lies encrypted
      # opened: what tells namesakes apart, limits.
      class Clients
        WRITABLE = %i[name detail sex birth_date body_mass_kg].freeze

        def initialize(gym)
          @gym = gym
        end

        # Of the folded text; of nothing it says so.
        def self.detail_digest(gym_id, detail)
          folded = Folded.of(detail)
          folded.empty? ? "" : Secrets.digest("#{gym_id}:#{folded}", :detail)
        end

        def dataset
          all = @gym.db[:clients].where(gym_id: @gym.id, joined_into: nil)
          @gym.shown_to ? all.where(id: @gym.shares.with(@gym.shown_to)) : all
        end
        def find(id) = Sealed.open(:clients, dataset.first(id: id))

        # Until the transaction ends nobody writes anything that belongs to this client; to look, or (as the writer) to
        # change.
        def hold(id) = dataset.where(id: id).for_share.get(:id)
        def hold_to_write(id) = dataset.where(id: id).lock_style(FOR_WRITING).get(:id)

        def insert(fields)
          ConstraintErrors.translate do
            Sealed.open(
              :clients,
              dataset.returning.insert(gym_id: @gym.id, **columns({ detail: "", **fields.slice(*WRITABLE) })).first
            )
          end
        end

        # Many at once; each with an id.
        def add_all(rows)
          names = [:gym_id, :id, *WRITABLE.map { |name| name == :detail ? :detail_cipher : name }, :detail_digest]
          values = rows.map { |row| columns(row).merge(gym_id: @gym.id).values_at(*names) }
          ConstraintErrors.translate { Copy.rows(@gym.db, :clients, names, values) }
        end

        # Writes only over the version which the writer saw; raises Stale otherwise.
        def update(id, version:, **fields)
          ConstraintErrors.translate { write(id, version, **fields.slice(*WRITABLE)) }
        end

        # limits: {name => {deg, reading, by, at}}, whole.
        def measure(id, version:, limits:) = write(id, version, limits: limits)

        # Somebody asked about cautions, all of them.
        def asked(id, on:, version:) = write(id, version, cautions_asked_on: on)

        # What they decided of what is kept of them (Application::ClientChoices).
        CHOSEN = %i[teaches consented_on consent_text consent_withdrawn_on away_since].freeze
        def choose(id, version:, **fields) = write(id, version, **fields.slice(*CHOSEN))

        # What they took over from another record of theirs, or gave back to it (Application::Joining).
        def take_over(id, version:, **fields) = write(id, version, **fields)

        # Ids of those whose fittings and sets teach nothing; whoever is here again is no longer put away.
        def untaught = @gym.db[:clients].where(gym_id: @gym.id, teaches: false).select(:id)
        def back(id) = dataset.where(id: id).exclude(away_since: nil).update(away_since: nil)

        # Marks a client as changed because something that belongs to them did; the same rule about versions.
        def touch(id, version:) = update(id, version: version)

        # Lets the block change this client's own rules, over the version which the writer saw.
        def revise_rules(id, version:)
          @gym.db.transaction do
            unless dataset.where(id: id, rules_version: version).update(rules_version: Sequel[:rules_version] + 1) == 1
              raise Stale, { rules_of: id }
            end

            yield
          end
        end

        private

        FOR_WRITING = "FOR NO KEY UPDATE"
        private_constant :FOR_WRITING

        def write(id, version, **fields)
          rows =
            dataset
              .where(id: id, version: version)
              .returning
              .update(**columns(fields), version: Sequel[:version] + 1, updated_at: Sequel::CURRENT_TIMESTAMP)
          Sealed.open(:clients, rows.first) || raise(Stale, find(id))
        end

        # Two of one name must not be told apart by the same words: of those a digest is kept.
        def columns(fields)
          fields = { **fields, detail_digest: self.class.detail_digest(@gym.id, fields[:detail]) } if fields.key?(
            :detail
          )
          Sealed.columns(:clients, fields)
        end
      end
    end
  end
end
