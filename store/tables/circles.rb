# frozen_string_literal: true

module Verglas
  module Store
    module Tables
      # Groups of one gym that rotate over machines. people: ids of clients in the order in which they follow one
      # another; stations: [{"machine_id", "exercise"}]; round: 0 before it begins.
      class Circles
        include Versioned

        MOST = 100
        STALE = :circle

        def initialize(gym)
          @gym = gym
        end

        def dataset = @gym.db[:circles].where(gym_id: @gym.id)
        def find(id) = dataset.first(id: id)
        def all = dataset.order(Sequel.desc(:updated_at), :id).limit(MOST).all

        def add(name:, work_s:, stations:, people:, by:)
          raise Invalid.new(:circles_full, most: MOST) if dataset.count >= MOST

          ConstraintErrors.translate do
            dataset
              .returning
              .insert(
                gym_id: @gym.id,
                name: name,
                work_s: work_s,
                stations: Sequel.pg_json(stations),
                people: Sequel.pg_json(people),
                updated_by: by
              )
              .first
          end
        end

        # Over the version which the writer saw; raises Stale with what stands there otherwise.
        def change(id, version:, by:, **given)
          lists = given.slice(:stations, :people).transform_values { |list| Sequel.pg_json(list) }
          revised(id, version: version, by: by, **given.slice(:name, :work_s), **lists)
        end

        # round: 0 ends it.
        def turn(id, round:, version:, by:)
          revised(id, version: version, by: by, round: round, round_at: (Sequel::CURRENT_TIMESTAMP if round.positive?))
        end

        def remove(id, version:) = removed(id, version: version)

        # Those that a client goes in.
        def of(client_id)
          with(client_id).order(:name, :id).all
        end

        # Somebody is erased: no group names them any more, their place passes through empty.
        def leave(client_id) = put_for(client_id) { nil }

        # Two records became one: the kept one trains where the other did, once.
        def hand_over(from, into)
          put_for(from) { |people| people.include?(into) ? nil : into }
        end

        private

        def put_for(client_id)
          with(client_id)
            .select(:id, :people)
            .all
            .each do |row|
              dataset.where(id: row[:id]).update(
                people: Sequel.pg_json(row[:people].to_a.map { |id| id == client_id ? yield(row[:people]) : id }),
                version: Sequel[:version] + 1
              )
            end
        end

        def with(client_id)
          dataset.where(Sequel.lit("people::jsonb @> ?::jsonb", ::JSON.generate([client_id])))
        end
      end
    end
  end
end
