# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # What a gym owns besides machines, each with the version over which it is changed.
      module Equipment
        module_function

        def cushions(gym) = { **gym.equipment.sizes, version: gym.versions[:equipment] }
        def plates(gym) = { plates: gym.equipment.plates.map { |kg, pairs| { mass_kg: kg, pairs: pairs } }, version: gym.versions[:plates] }
      end
    end
  end
end
