# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # Who was fitted last in this gym? For the floor page, where most people who come back came lately.
      class RecentClients
        def initialize(gym)
          @gym = gym
        end

        def call(limit: 6)
          @gym.fittings.dataset.where(state: "accepted").join(:clients, id: Sequel[:fittings][:client_id])
              .select_group(Sequel[:clients][:id], Sequel[:clients][:name], Sequel[:clients][:detail])
              .select_append { max(accepted_at).as(fitted_at) }
              .order(Sequel.desc(:fitted_at), :name).limit(limit).all
        end
      end
    end
  end
end
