# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # How do the machines of a gym stand, and when was somebody last fitted on each? By machine id, in two statements.
      class MachinesAtAGlance
        def initialize(gym)
          @gym = gym
        end

        # {machine id => {standing: {exercise => marks}, fitted_at:}}; nothing where nobody said so yet.
        def call
          stands = standing
          lately = fitted.to_hash(:id, :accepted_at)
          (stands.keys | lately.keys).to_h { |id| [id, { standing: stands.fetch(id, {}), fitted_at: lately[id] }] }
        end

        private

        def standing
          rows =
            @gym.db[:machine_queues]
              .where(gym_id: @gym.id)
              .exclude(standing: nil)
              .select(:machine_id, :exercise, :standing)
              .all
          rows
            .group_by { |row| row[:machine_id] }
            .transform_values { |own| own.to_h { |row| [row[:exercise], row[:standing].to_h] } }
        end

        # The latest of each, from the index of a machine's fittings.
        def fitted
          latest =
            @gym.db[:fittings]
              .where(Sequel[:fittings][:machine_id] => Sequel[:machines][:id], :state => "accepted")
              .order(Sequel.desc(:accepted_at))
              .limit(1)
              .select(:accepted_at)
          @gym
            .db
            .from(@gym.machines.dataset.select(:id).as(:machines))
            .cross_join(latest.lateral.as(:latest))
            .select(:id, :accepted_at)
        end
      end
    end
  end
end
