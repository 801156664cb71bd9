# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # When was a client last on each machine, and how do the machines stand now?
      class LastVisits
        def initialize(gym)
          @gym = gym
        end

        # {[machine id, exercise] => Time of the latest set-up}
        def call(client_id)
          @gym
            .visits
            .dataset
            .where(client_id: client_id)
            .group(:machine_id, :exercise)
            .select(:machine_id, :exercise, Sequel.function(:max, :last_at).as(:last_at))
            .all
            .to_h { |row| [row.values_at(:machine_id, :exercise), row[:last_at]] }
        end

        # {[machine id, exercise] => how many wait there}
        def waiting
          @gym.db[:machine_queues]
            .where(gym_id: @gym.id)
            .select(:machine_id, :exercise, :clients)
            .all
            .to_h { |row| [row.values_at(:machine_id, :exercise), row[:clients].to_a.size] }
        end

        # How many sets of theirs stand.
        def sets_of(client_id)
          visits = @gym.visits.dataset.where(client_id: client_id).select(:id)
          @gym.db[:sets].where(visit_id: visits, taken_back_at: nil).count
        end

        # {[machine id, exercise] => {label => mark}} of every machine of which it is known.
        def standing
          @gym.db[:machine_queues]
            .where(gym_id: @gym.id)
            .exclude(standing: nil)
            .select(:machine_id, :exercise, :standing)
            .all
            .to_h { |row| [row.values_at(:machine_id, :exercise), row[:standing].to_h] }
        end
      end
    end
  end
end
