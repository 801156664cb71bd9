# frozen_string_literal: true

module Verglas
  module Loading
    # What is asked of anything that can be loaded in steps. Its `choices` are sorted and know their mass_kg.
    module Choices
      ROUNDING_KG = 1e-6

      def lightest = choices.first

      # The heaviest that is not above; nil below the lightest.
      def at_most(kg) = choices.reverse.find { |choice| choice.mass_kg <= kg + ROUNDING_KG }

      # The lighter of two that are as near.
      def nearest(kg) = choices.min_by { |choice| [(choice.mass_kg - kg).abs.round(6), choice.mass_kg] }

      # nil where the machine has nothing further.
      def next_up(kg) = choices.find { |choice| choice.mass_kg > kg + ROUNDING_KG }
      def next_down(kg) = choices.reverse.find { |choice| choice.mass_kg < kg - ROUNDING_KG }
    end
  end
end
