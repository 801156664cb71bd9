# frozen_string_literal: true

module Verglas
  module Loading
    # How a machine is loaded, read from plain data in the unit that is printed on it. docs/model.md section 11.
    #   kind         :stack, :plates or :sled        unit         :kg or :lb, as printed
    #   choices      Stack or Plates, in kg          ratio        of a stack's lever, nil when nobody knows it
    #   incline_deg  of a sled's rail from level, nil where there is none
    Rig =
      Value.define(:kind, :unit, :choices, :ratio, :incline_deg) do
        const_set(:KINDS, %w[stack plates sled].freeze)

        # data: {"kind", "unit", "masses", "addons", "ratio", "bare", "horns", "incline_deg"}, masses as printed; pairs:
        # {kg => pairs of plates the gym has}.
        def self.read(data, pairs: {})
          unit = data.fetch("unit").to_sym
          kg = ->(printed) { Units.kg(printed, unit) }
          new(
            kind: data.fetch("kind").to_sym,
            unit: unit,
            ratio: data["ratio"],
            incline_deg: data["incline_deg"],
            choices: made(data, kg, pairs)
          )
        end

        def self.made(data, kilograms, pairs)
          unless data["kind"] == "stack"
            return Plates.new(pairs: pairs, bare_kg: kilograms.call(data.fetch("bare", 0)), horns: data["horns"] || 2)
          end

          Stack.new(stack_kg: data.fetch("masses").map(&kilograms), addons_kg: data.fetch("addons", []).map(&kilograms))
        end
        private_class_method :made

        # The number printed for a mass.
        def printed(mass_kg) = (unit == :lb ? Units.lb(mass_kg) : mass_kg).round(2)

        # What the legs push against (N): along a sled's rail without friction, or behind a stack's lever; nil where
        # nothing is known.
        def force_n(mass_kg)
          return mass_kg * Linkages::STANDARD_GRAVITY * Math.sin(Geometry::Angle.radians(incline_deg)) if incline_deg

          ratio && (mass_kg * Linkages::STANDARD_GRAVITY * ratio)
        end

        # What would press the legs as much by its bare weight (kg); nil where nothing is known.
        def felt_kg(mass_kg) = force_n(mass_kg)&./(Linkages::STANDARD_GRAVITY)
      end
  end
end
