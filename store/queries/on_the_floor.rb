# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # Who is on a machine just now, from what was written last; and who waits where.
      class OnTheFloor
        # After its last set somebody is taken to have gone.
        GONE_AFTER_S = 30 * 60
        MOST = 20

        def initialize(gym)
          @gym = gym
        end

        # Visits that go on, the latest first, with how many sets stand in each.
        def visits(now = Time.now)
          rows =
            @gym
              .visits
              .dataset
              .where { last_at > now - GONE_AFTER_S }
              .order(Sequel.desc(:last_at))
              .limit(MOST)
              .from_self(alias: :visits)
          rows
            .join(:clients, id: Sequel[:visits][:client_id])
            .join(:machines, id: Sequel[:visits][:machine_id])
            .order(Sequel.desc(:last_at))
            .select(
              Sequel[:visits][:fitting_id],
              Sequel[:visits][:client_id],
              Sequel[:visits][:machine_id],
              :exercise,
              :last_at,
              :stopped,
              Sequel[:clients][:name].as(:client_name),
              Sequel[:machines][:name].as(:machine_name),
              sets.as(:sets)
            )
            .all
        end

        # {machine_id:, machine_name:, exercise:, clients: [{id:, name:}] in their order} of each queue in which
        # somebody waits.
        def queues
          rows =
            @gym.db[:machine_queues]
              .where(Sequel[:machine_queues][:gym_id] => @gym.id)
              .where(Sequel.lit("json_array_length(clients) > 0"))
              .join(:machines, id: :machine_id)
              .select(:machine_id, :exercise, :clients, Sequel[:machines][:name].as(:machine_name))
              .order(:machine_name, :exercise)
              .all
          names =
            @gym.clients.dataset.where(id: rows.flat_map { |row| row[:clients].to_a }.uniq).select_hash(:id, :name)
          rows.map do |row|
            row.merge(clients: row[:clients].to_a.filter_map { |id| names[id] && { id: id, name: names[id] } })
          end
        end

        private

        # How many stand in a visit.
        def sets = @gym.db[:sets].where(visit_id: Sequel[:visits][:id], taken_back_at: nil).select { count.function.* }
      end
    end
  end
end
