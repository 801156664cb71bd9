# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # A client's card today: cautions; benches of what was accepted, as it is set up again (Meeting); the gym's
      # machines in service by id; and the FloorCard, which knows what is worked out and was never tried.
      Card =
        Value.define(:client, :gym_row, :cautions, :benches, :machines, :floor_card) do
          def self.of(gym, client)
            accepted =
              Store::Queries::ClientCard.new(gym).call(client[:id]).select { |line| line[:state] == "accepted" }
            benches = accepted.map { |line| Meeting.again(gym, line[:id]) }
            new(
              client: client,
              gym_row: gym.row,
              cautions: gym.cautions.of(client[:id]),
              benches: benches.reject { |meeting| Described.off_the_floor?(meeting.machine_row) },
              machines: gym.machines.in_service.to_h { |machine| [machine[:id], machine] },
              floor_card: FloorCard.new(gym, client[:id])
            )
          end
        end
    end
  end
end
