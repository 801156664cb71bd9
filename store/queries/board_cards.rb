# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # Who was here lately, and on which machines does each of them have settings? Two statements, however many
      # machines there are.
      class BoardCards
        # Of so many of the gym's latest fittings and visits; so many people.
        LATEST = 3000
        MOST = 100

        def initialize(gym)
          @gym = gym
        end

        # since: Time. {people: rows with :seen_at, latest first; cards: {[client id, machine id, exercise] => row}}
        def call(since:)
          people = Sealed.open_all(:clients, seen(since).all)
          cards =
            @gym
              .fittings
              .dataset
              .where(state: "accepted", client_id: people.map { |row| row[:id] })
              .distinct(:client_id, :machine_id, :exercise)
              .order(:client_id, :machine_id, :exercise, Sequel.desc(:accepted_at))
              .select(:id, :client_id, :machine_id, :exercise, :accepted_at)
              .all
          { people: people, cards: cards.to_h { |row| [row.values_at(:client_id, :machine_id, :exercise), row] } }
        end

        private

        # First who, then their names: so few that each is found by its key.
        def seen(since)
          here =
            lately(@gym.fittings.dataset.where(state: "accepted"), :accepted_at, since).union(
              lately(@gym.visits.dataset, :last_at, since),
              all: true
            )
          seen =
            @gym.db[:here]
              .group(:client_id)
              .select(:client_id) { max(:at).as(:seen_at) }
              .order(Sequel.desc(:seen_at), :client_id)
              .limit(MOST)
          @gym.db[:seen]
            .with(:here, here)
            .with(:seen, seen, materialized: true)
            .join(:clients, id: :client_id, away_since: nil)
            .select(Sequel[:clients][:id], Sequel[:clients][:name], Sequel[:clients][:detail_cipher], :seen_at)
            .order(Sequel.desc(:seen_at), :name)
        end

        def lately(rows, column, since)
          rows
            .where(Sequel[column] >= since)
            .order(Sequel.desc(column))
            .limit(LATEST)
            .select(:client_id, Sequel[column].as(:at))
            .from_self
        end
      end
    end
  end
end
