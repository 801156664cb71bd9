# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # Cushions and pads that the gym owns, {kind => sizes in mm}.
      Cushions =
        Value.define(:sizes, :version) do
          def self.of(gym) = new(sizes: gym.equipment.sizes, version: gym.versions[:equipment])
        end
    end
  end
end
