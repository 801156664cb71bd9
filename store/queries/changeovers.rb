# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # How long did it take from the end of a client's last set on one machine until the next one stood for them, and
      # what was moved there? Among the last so many visits of the last so many days, the latest first.
      class Changeovers
        DAYS = 180
        MOST = 5000
        # A set that ends with the set-up was written down afterwards.
        AT_ONCE_S = 5

        def initialize(gym)
          @gym = gym
        end

        # [{machine_id:, exercise:, left_id: (the machine before), marks:, stood: (those at which it stood before),
        # seconds:}], from ... to that many seconds.
        def call(longest_s:)
          seconds = Sequel.extract(:epoch, Sequel[:begun_at] - Sequel[:left_at])
          neighbours
            .from_self(alias: :visits)
            .join(:fittings, { id: Sequel[:visits][:fitting_id] }, table_alias: :here)
            .join(:fittings, { id: Sequel[:visits][:before_id] }, table_alias: :before)
            .exclude(Sequel[:left_id] => Sequel[:visits][:machine_id])
            .where(seconds => AT_ONCE_S..longest_s)
            .where(first_set_s => AT_ONCE_S..)
            .reverse(:begun_at)
            .select(
              *%i[machine_id exercise left_id].map { |name| Sequel[:visits][name] },
              Sequel[:here][:marks],
              Sequel[:before][:marks].as(:stood),
              Sequel.cast(seconds, Float).as(:seconds)
            )
            .all
        end

        private

        # Every visit with the client's own one before it, and with the one that stood at this machine before.
        def neighbours
          of_client = { partition: :client_id, order: :begun_at }
          of_machine = { partition: %i[machine_id exercise], order: :begun_at }
          @gym
            .visits
            .latest(MOST, days: DAYS)
            .from_self
            .select(
              :id,
              :machine_id,
              :exercise,
              :begun_at,
              :fitting_id,
              Sequel.function(:lag, :last_at).over(**of_client).as(:left_at),
              Sequel.function(:lag, :machine_id).over(**of_client).as(:left_id),
              Sequel.function(:lag, :fitting_id).over(**of_machine).as(:before_id)
            )
        end

        def first_set_s
          first = @gym.db[:sets].where(visit_id: Sequel[:visits][:id], taken_back_at: nil).select { min(:done_at) }
          Sequel.extract(:epoch, first - Sequel[:visits][:begun_at])
        end
      end
    end
  end
end
