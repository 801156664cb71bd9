# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # What was chosen for one client alone (own: {question => row}) beside what the gym chose.
      ClientRules =
        Value.define(:client, :own, :of_gym) do
          def self.of(gym, client)
            own = gym.rules.of_client(client[:id]).to_h { |row| [row[:question].to_sym, row] }
            new(client: client, own: own, of_gym: gym.rules.of_gym)
          end
        end
    end
  end
end
