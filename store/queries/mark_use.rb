# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # How often does each mark of a machine stand on somebody's card? Counts the latest fitting of each client among
      # the LATEST that were accepted there, and the latest marks that people who were erased left with it.
      class MarkUse
        LATEST = 500

        def initialize(gym)
          @gym = gym
        end

        # Rows {exercise:, label:, mark:, count:}.
        def call(machine_id)
          lately =
            @gym
              .fittings
              .dataset
              .where(machine_id: machine_id, state: "accepted")
              .order(Sequel.desc(:accepted_at))
              .limit(LATEST)
              .select(:client_id, :exercise, :marks, :accepted_at)
          latest =
            @gym.db[:lately]
              .distinct(:client_id, :exercise)
              .order(:client_id, :exercise, Sequel.desc(:accepted_at))
              .select(:exercise, :marks)
          nameless =
            @gym.db[:nameless_fittings]
              .where(machine_id: machine_id, gym_id: @gym.id)
              .order(Sequel.desc(:month))
              .limit(LATEST)
              .select(:exercise, :marks)
              .from_self
          cards = @gym.db[:latest].union(nameless, all: true, from_self: false)
          @gym.db[:cards]
            .with(:lately, lately)
            .with(:latest, latest)
            .with(:cards, cards)
            .cross_join(Sequel.function(:json_each_text, :marks).lateral.as(:chosen, %i[label mark]))
            .group_and_count(:exercise, :label, :mark)
            .order(:exercise, :label, Sequel.desc(:count))
            .all
        end
      end
    end
  end
end
