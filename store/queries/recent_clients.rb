# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # Who was fitted last in this gym? For the floor page, where most people who come back came lately.
      class RecentClients
        # Of so many of the gym's latest fittings.
        LATEST = 120

        def initialize(gym)
          @gym = gym
        end

        def call(limit: 6)
          latest =
            @gym
              .fittings
              .dataset
              .where(state: "accepted")
              .order(Sequel.desc(:accepted_at))
              .limit(LATEST)
              .select(:client_id, :accepted_at)
          rows =
            @gym.db[:latest]
              .with(:latest, latest)
              .join(:clients, id: :client_id, away_since: nil)
              .select_group(Sequel[:clients][:id], Sequel[:clients][:name], Sequel[:clients][:detail_cipher])
              .select_append { max(accepted_at).as(fitted_at) }
              .order(Sequel.desc(:fitted_at), :name)
              .limit(limit)
              .all
          Sealed.open_all(:clients, rows)
        end
      end
    end
  end
end
