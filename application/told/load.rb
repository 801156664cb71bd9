# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # A load as it is made on a machine.
      module Load
        module_function

        # nil where there is none. text: as printed; how: what is done for it.
        def one(rig, choice)
          choice &&
            {
              kg: choice.mass_kg.round(3),
              text: "#{number(rig.printed(choice.mass_kg))} #{rig.unit}",
              how: how(rig, choice)
            }
        end

        # As it stands on a card; "" where nothing was loaded.
        def printed(rig, load_kg) = load_kg ? one(rig, rig.choices.nearest(load_kg))[:text] : ""

        def number(value) = format("%.10g", value.to_f.round(2))

        def how(rig, choice)
          return pinned(rig, choice) if rig.kind == :stack
          return words(:no_plates) if choice.side_kg.empty?

          words(
            rig.choices.horns == 1 ? :plates_on_one_horn : :plates,
            plates: choice.side_kg.map { |kg| number(kg) }.join(" + ")
          )
        end

        def pinned(rig, choice)
          pin = number(rig.printed(choice.pin_kg))
          if choice.addon_kg.positive?
            words(:pin_and_addon, pin: pin, addon: number(rig.printed(choice.addon_kg)))
          else
            words(:pin, pin: pin)
          end
        end

        def words(key, **params) = Formats::Words.say("loads.#{key}", **params)
        private_class_method :how, :pinned, :words
      end
    end
  end
end
