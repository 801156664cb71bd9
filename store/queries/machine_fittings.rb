# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # Who was fitted on a machine, latest first?
      class MachineFittings
        LIMIT = 50

        def initialize(gym)
          @gym = gym
        end

        def call(machine_id)
          accepted(machine_id).order(Sequel.desc(:accepted_at)).limit(LIMIT)
                              .select(Sequel[:fittings][:id], :client_id, :exercise, :marks, :accepted_at, Sequel.lit("result->>'grade'").as(:grade),
                                      Sequel[:clients][:name].as(:client_name), Sequel[:clients][:detail].as(:client_detail), Sequel[:accounts][:name].as(:by_name)).all
        end

        # The clients whose settings on it stand on a card or are being made, whoever was fitted last first.
        def clients(machine_id, limit:)
          ids = @gym.fittings.dataset.where(machine_id: machine_id).group(:client_id).order(Sequel.desc(Sequel.function(:max, :updated_at)))
          { rows: @gym.clients.dataset.where(id: ids.limit(limit).select(:client_id)).order(:search_name).all, of: ids.select(:client_id).count }
        end

        private

        def accepted(machine_id)
          @gym.fittings.dataset.where(machine_id: machine_id, state: "accepted")
              .join(:clients, id: Sequel[:fittings][:client_id]).join(:accounts, id: Sequel[:fittings][:accepted_by])
        end
      end
    end
  end
end
