# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # Who was fitted on a machine, latest first?
      class MachineFittings
        LIMIT = 50
        LATEST = 1000

        def initialize(gym)
          @gym = gym
        end

        def call(machine_id)
          rows =
            accepted(machine_id)
              .order(Sequel.desc(:accepted_at))
              .limit(LIMIT)
              .select(
                Sequel[:fittings][:id],
                :client_id,
                :exercise,
                :marks,
                :accepted_at,
                :grade,
                Sequel[:clients][:name].as(:client_name),
                Sequel[:clients][:detail_cipher].as(:client_detail_cipher),
                Sequel[:accounts][:name].as(:by_name)
              )
              .all
          Sealed.open_all(:clients, rows, prefix: "client_")
        end

        # The clients of the LATEST fittings on it: whose settings stand on a card, whoever was fitted last first.
        def clients(machine_id, limit:)
          lately =
            @gym
              .fittings
              .dataset
              .where(machine_id: machine_id, state: "accepted")
              .order(Sequel.desc(:accepted_at))
              .limit(LATEST)
              .select(:client_id, :accepted_at)
          ids = @gym.db[:lately].with(:lately, lately).group(:client_id)
          latest = ids.order(Sequel.desc(Sequel.function(:max, :accepted_at))).limit(limit).select(:client_id)
          {
            rows: Sealed.open_all(:clients, @gym.clients.dataset.where(id: latest).order(:search_name).all),
            of: ids.select(:client_id).count
          }
        end

        private

        def accepted(machine_id)
          @gym
            .fittings
            .dataset
            .where(machine_id: machine_id, state: "accepted")
            .join(:clients, id: Sequel[:fittings][:client_id])
            .join(:accounts, id: Sequel[:fittings][:accepted_by])
        end
      end
    end
  end
end
