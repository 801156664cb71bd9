# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # What stands on all cards of a gym? One row a client, machine and exercise: the latest accepted, whoever was fitted last first.
      class CardsOfGym
        def initialize(gym)
          @gym = gym
        end

        # {rows:, of:}
        def call(limit:)
          latest = @gym.fittings.dataset.where(state: "accepted").distinct(:client_id, :machine_id, :exercise)
                       .order(:client_id, :machine_id, :exercise, Sequel.desc(:accepted_at)).select(:client_id, :machine_id, :exercise, :accepted_at)
          cards = @gym.db[:latest].with(:latest, latest)
          { rows: cards.order(Sequel.desc(:accepted_at)).limit(limit).all, of: cards.count }
        end
      end
    end
  end
end
