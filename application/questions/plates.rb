# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # Plates that the gym owns, {kg => pairs}.
      Plates =
        Value.define(:pairs, :version) do
          def self.of(gym) = new(pairs: gym.equipment.plates, version: gym.versions[:plates])
        end
    end
  end
end
