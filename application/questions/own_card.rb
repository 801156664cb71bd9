# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # What a client carries on their phone: the card, and the session that was planned for today or runs
      # (Sessions::Running; nil for none).
      OwnCard =
        Value.define(:card, :session) do
          def self.of(gym, client, now: Time.now)
            row =
              gym
                .sessions
                .latest(client[:id], most: 3)
                .find { |one| one[:state] != "done" && one[:updated_at] > now - Store::Tables::Sessions::GOES_ON_S }
            new(card: Card.of(gym, client), session: row && Sessions::Making.running(gym, row, now: now))
          end
        end
    end
  end
end
