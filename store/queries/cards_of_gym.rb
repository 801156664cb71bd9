# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # What stands on the cards of a gym? One row a client, machine and exercise among its LATEST accepted fittings:
      # whoever was fitted last first.
      class CardsOfGym
        LATEST = 2000

        def initialize(gym)
          @gym = gym
        end

        # {rows:, of:}; of: how many cards those fittings are, all: whether they are all there is.
        def call(limit:)
          lately =
            @gym
              .fittings
              .dataset
              .where(state: "accepted")
              .order(Sequel.desc(:accepted_at))
              .limit(LATEST)
              .select(:client_id, :machine_id, :exercise, :accepted_at)
          latest =
            @gym.db[:lately]
              .select_group(:client_id, :machine_id, :exercise)
              .select_append { max(accepted_at).as(accepted_at) }
          cards = @gym.db[:latest].with(:lately, lately).with(:latest, latest)
          { rows: cards.order(Sequel.desc(:accepted_at)).limit(limit).all, of: cards.count }
        end
      end
    end
  end
end
