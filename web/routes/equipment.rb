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
              gym.equipment.replace(Store::Tables::Equipment::KINDS.to_h { |kind| [kind, input[kind.to_sym]] })
              gym.equipment.sizes
            end
          end

          app.get("/api/plates") { reply(plates: plates) }

          app.put("/api/plates") do
            write_once do
              kilograms = input[:plates].to_h { |plate| [Loading::Units.kg(plate["mass"], plate["unit"].to_sym).round(3), plate["pairs"]] }
              raise Invalid.new(:mass_repeated, path: "/plates") unless kilograms.size == input[:plates].size

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
