# frozen_string_literal: true

module Verglas
  module Store
    module Tables
      # Named lists of exercises for an aim: the gym's own, and those of one client.
      # days: [{"name", "exercises" => [{"action", "part", "sets"}]}]
      class Programmes
        include Versioned

        STALE = :programme
        FIELDS = %i[name aim weeks begins_on].freeze
        MOST = 60

        def initialize(gym)
          @gym = gym
        end

        def dataset = @gym.db[:programmes].where(gym_id: @gym.id)
        def find(id) = dataset.first(id: id)

        # The gym's own, and a client's; by name.
        def of(client_id = nil)
          none = { client_id: nil }
          dataset.where(client_id ? Sequel.|(none, { client_id: client_id }) : none).order(:name, :id).all
        end

        def add(client_id:, days:, by:, **fields)
          raise Invalid.new(:programmes_full, most: MOST) if dataset.where(client_id: client_id).count >= MOST

          ConstraintErrors.translate do
            dataset
              .returning
              .insert(
                gym_id: @gym.id,
                client_id: client_id,
                days: Sequel.pg_json(days),
                updated_by: by,
                **fields.slice(*FIELDS)
              )
              .first
          end
        end

        # Over the version which the writer saw; raises Stale with what stands there otherwise.
        def change(id, version:, by:, days:, **fields)
          revised(id, version: version, by: by, days: Sequel.pg_json(days), **fields.slice(*FIELDS))
        end

        def remove(id, version:) = removed(id, version: version)
      end
    end
  end
end
