# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # A client's cautions as they stand, those that were taken out, and when somebody asked.
      ClientCautions =
        Value.define(:client, :standing, :removed, :asking) do
          def self.of(gym, client)
            new(
              client: client,
              standing: gym.cautions.of(client[:id]),
              removed: gym.cautions.removed(client[:id]),
              asking: Asking.new(gym, client)
            )
          end
        end
    end
  end
end
