# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # Which fittings that somebody had begun were let go within their week, and can be opened again? The latest first;
      # of one client, or of the gym.
      class DiscardedFittings
        LIMIT = 5

        def initialize(gym)
          @gym = gym
        end

        # of: {client_id:}, or nothing.
        def call(**of)
          rows = joined(**of).all
          Sealed.open_all(:clients, rows, prefix: "client_")
        end

        private

        def joined(**of)
          @gym
            .fittings
            .discarded(limit: LIMIT, **of)
            .join(:machines, id: Sequel[:fittings][:machine_id])
            .join(:clients, id: Sequel[:fittings][:client_id])
            .join(:accounts, id: Sequel[:fittings][:updated_by])
            .select(
              Sequel[:fittings][:id],
              :client_id,
              :exercise,
              Sequel[:fittings][:version],
              Sequel[:fittings][:updated_at],
              Sequel[:clients][:name].as(:client_name),
              Sequel[:clients][:detail_cipher].as(:client_detail_cipher),
              Sequel[:machines][:name].as(:machine_name),
              Sequel[:accounts][:name].as(:by_name)
            )
        end
      end
    end
  end
end
