# frozen_string_literal: true

module Verglas
  module Web
    module Routes
      # What the gym owns besides machines: cushions, pads, plates, bands.
      module Equipment
        def self.registered(app)
          app.get("/api/equipment") { reply(Views::Equipment.cushions(Questions::Cushions.of(gym))) }

          app.put("/api/equipment") do
            write_once do
              sizes = Inputs::Equipment.sizes(input)
              gym.revise(:equipment, version: input[:version]) { gym.equipment.replace(sizes) }
              Views::Equipment.cushions(Questions::Cushions.of(gym))
            end
          end

          app.get("/api/plates") { reply(Views::Equipment.plates(Questions::Plates.of(gym))) }

          app.put("/api/plates") do
            write_once do
              kilograms = Inputs::Equipment.plates(input[:plates])
              gym.revise(:plates, version: input[:version]) { gym.equipment.replace_plates(kilograms) }
              Views::Equipment.plates(Questions::Plates.of(gym))
            end
          end

          app.get("/api/bands") { reply(Views::Equipment.bands(Questions::Bands.of(gym))) }

          app.put("/api/bands") do
            write_once do
              bands = Inputs::Equipment.bands(input[:bands])
              gym.revise(:bands, version: input[:version]) { gym.equipment.replace_bands(bands) }
              Views::Equipment.bands(Questions::Bands.of(gym))
            end
          end
        end
      end
    end
  end
end
