# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # What the gym owns besides machines: cushions, pads, plates.
      module Equipment
        def self.registered(app)
          app.get("/api/equipment") { reply(gym.equipment.sizes) }

          app.put("/api/equipment") do
            write_once do
              gym.equipment.replace(Inputs::Equipment.sizes(input))
              gym.equipment.sizes
            end
          end

          app.get("/api/plates") { reply(plates: plates) }

          app.put("/api/plates") do
            write_once do
              kilograms = Inputs::Equipment.plates(input[:plates])

              gym.equipment.replace_plates(kilograms)
              { plates: plates }
            end
          end
          app.helpers Helpers
        end

        # What these routes share.
        module Helpers
          def plates = gym.equipment.plates.map { |kg, pairs| { mass_kg: kg, pairs: pairs } }
        end
      end
    end
  end
end
