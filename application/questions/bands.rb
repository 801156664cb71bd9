# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # Elastic bands that the gym owns, {N => what each is called}.
      Bands =
        Value.define(:bands, :version) do
          def self.of(gym) = new(bands: gym.equipment.bands, version: gym.versions[:bands])
        end
    end
  end
end
