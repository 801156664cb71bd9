# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # A client's limits, and the cautions that no clinician has cleared (names).
      ClientLimits =
        Value.define(:client, :uncleared) do
          def self.of(gym, client)
            rows = gym.cautions.of(client[:id]).reject { |row| row[:cleared_on] }
            new(client: client, uncleared: rows.map { |row| row[:caution].to_sym })
          end
        end
    end
  end
end
