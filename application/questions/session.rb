# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # A kept session as far as it has come.
      Session =
        Value.define(:running, :asked) do
          # row: of a session.
          def self.of(gym, row)
            client = gym.clients.find(row[:client_id])
            running = Sessions::Making.running(gym, row)
            new(running: running, asked: ClientSession.whole(gym, client, running.planned))
          end
        end
    end
  end
end
