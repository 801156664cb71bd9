# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # A sample of the gym's clients who are not put away, with their readings, in two round trips: for questions about
      # everybody.
      class ClientsWithReadings
        def initialize(gym)
          @gym = gym
        end

        # limit: how many at most, drawn by their random ids. {rows: [[client, readings]], of: how many there are}.
        def call(limit:)
          here = @gym.clients.dataset.where(away_since: nil)
          clients = Sealed.open_all(:clients, here.order(:id).limit(limit).all)
          readings = readings(clients)
          { rows: clients.map { |client| [client, readings.fetch(client[:id], [])] }, of: here.count }
        end

        # {client id => readings} of some, in the order in which they were taken.
        def readings(clients)
          @gym.db[:readings]
            .where(gym_id: @gym.id, client_id: clients.map { |client| client[:id] })
            .order(:taken_at, :observation)
            .to_hash_groups(:client_id)
        end
      end
    end
  end
end
