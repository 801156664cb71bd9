# frozen_string_literal: true

module Verglas
  module Store
    module Tables
      # The people of one gym.
      class Clients
        WRITABLE = %i[name detail sex birth_date body_mass_kg].freeze

        def initialize(gym)
          @gym = gym
        end

        def dataset = @gym.db[:clients].where(gym_id: @gym.id)
        def find(id) = dataset.first(id: id)

        def insert(fields)
          ConstraintErrors.translate { dataset.returning.insert(gym_id: @gym.id, **fields.slice(*WRITABLE)).first }
        end

        # Writes only over the version which the writer saw; raises Stale otherwise.
        def update(id, version:, **fields)
          ConstraintErrors.translate { write(id, version, **fields.slice(*WRITABLE)) }
        end

        # limits: {name => {deg, reading, by, at}}, whole.
        def measure(id, version:, limits:) = write(id, version, limits: Sequel.pg_json(limits))

        # Marks a client as changed because something that belongs to them did; the same rule about versions.
        def touch(id, version:) = update(id, version: version)

        private

        def write(id, version, **fields)
          rows = dataset.where(id: id, version: version).returning.update(**fields, version: Sequel[:version] + 1, updated_at: Sequel::CURRENT_TIMESTAMP)
          rows.first || raise(Stale, find(id))
        end
      end
    end
  end
end
