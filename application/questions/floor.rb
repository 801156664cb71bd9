# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # What the floor opens with: who is on a machine (visits), who waits (queues), what was left open or discarded,
      # who was here last, how the machines stand.
      Floor =
        Value.define(:visits, :queues, :open, :discarded, :recent, :machines) do
          def self.of(gym)
            floor = Store::Queries::OnTheFloor.new(gym)
            new(
              visits: floor.visits,
              queues: floor.queues,
              open: Store::Queries::OpenFittings.new(gym).call,
              discarded: Store::Queries::DiscardedFittings.new(gym).call,
              recent: Store::Queries::RecentClients.new(gym).call,
              machines: Machines.of(gym)
            )
          end
        end
    end
  end
end
