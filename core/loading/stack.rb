# frozen_string_literal: true

module Verglas
  module Loading
    # A weight stack with its add-ons: what can be pinned. Masses in kg, irregular ones allowed. docs/model.md section
    # 11.
    class Stack
      include Choices

      # One way to reach a mass: the pin's mass and the add-on's.
      Pinned = Struct.new(:mass_kg, :pin_kg, :addon_kg)

      # stack_kg: the mass at each mark; addons_kg: what a dial or a loose plate may add (0 is always possible).
      def initialize(stack_kg:, addons_kg: [])
        raise Invalid.new(:no_masses, path: "/stack") if stack_kg.empty?
        unless stack_kg.all?(&:positive?) && addons_kg.none?(&:negative?)
          raise Invalid.new(:mass_not_positive, path: "/stack")
        end

        pairs = stack_kg.product([0, *addons_kg].uniq).map { |pin, addon| Pinned.new(pin + addon, pin, addon) }
        @choices =
          pairs.sort_by { |pinned| [pinned.mass_kg, pinned.addon_kg] }.uniq { |pinned| pinned.mass_kg.round(6) }.freeze
        freeze
      end

      attr_reader :choices
    end
  end
end
