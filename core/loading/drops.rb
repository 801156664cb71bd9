# frozen_string_literal: true

module Verglas
  module Loading
    # What a set goes on with when it cannot go on: the next loads that exist, each about a fifth less than the one
    # before it.
    module Drops
      FIGURES = Tables[:loads][:drop]

      module_function

      # choices: Stack or Plates; from_kg: what was lifted. Lighter and lighter, at most so many; none below the
      # lightest.
      def of(choices, from_kg)
        FIGURES[:most]
          .to_i
          .times
          .each_with_object([]) do |_, drops|
            last = drops.last&.mass_kg || from_kg
            lighter =
              choices.choices.select { |one| one.mass_kg < last - Choices::ROUNDING_KG && one.mass_kg.positive? }
            break drops if lighter.empty?

            drops << lighter.min_by { |one| [(one.mass_kg - (last * FIGURES[:share])).abs.round(6), one.mass_kg] }
          end
      end
    end
  end
end
