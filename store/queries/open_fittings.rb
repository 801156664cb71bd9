# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # Which fittings that somebody began were left open in this gym, and by whom? The latest first.
      class OpenFittings
        LIMIT = 30

        def initialize(gym)
          @gym = gym
        end

        def call
          Sealed.open_all(
            :clients,
            joined.order(Sequel.desc(Sequel[:fittings][:updated_at])).limit(LIMIT).all,
            prefix: "client_"
          )
        end

        private

        def joined
          @gym
            .fittings
            .dataset
            .where(Sequel[:fittings][:state] => "draft", :touched => true)
            .join(:machines, id: Sequel[:fittings][:machine_id])
            .join(:clients, id: Sequel[:fittings][:client_id])
            .join(:accounts, id: Sequel[:fittings][:updated_by])
            .select(
              Sequel[:fittings][:id],
              :client_id,
              :machine_id,
              :exercise,
              Sequel[:fittings][:marks],
              Sequel[:fittings][:updated_at],
              Sequel[:clients][:name].as(:client_name),
              Sequel[:clients][:detail_cipher].as(:client_detail_cipher),
              Sequel[:machines][:name].as(:machine_name),
              Sequel[:machines][:place].as(:machine_place),
              Sequel[:accounts][:name].as(:by_name)
            )
        end
      end
    end
  end
end
