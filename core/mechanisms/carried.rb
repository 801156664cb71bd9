# frozen_string_literal: true

module Verglas
  module Mechanisms
    # What is carried where body weight is the load: the client's own mass, as weighed or as the stature makes likely
    # (kg), a weight held at the chest, and an elastic band from the foot plate that helps or works against (N).
    # docs/model.md section 6.
    module Carried
      FIGURES = Tables[:hinge]

      def mass_kg = weighed? ? wishes[:mass_kg] : FIGURES[:mass][:kg_per_m2] * ((body.stature / 1000.0)**2)
      def weighed? = wishes[:mass_kg].positive?
      def held_kg = wishes[:held_kg]

      # What the band takes off (N); less than nothing where it works against.
      def band_n = family.choices.key?(:band_help_n) ? wishes[:band_help_n] - wishes[:band_against_n] : 0.0

      # Of what is added, from nothing upwards; of what is placed as the mechanism has it.
      def span(choice, place)
        family.choices.fetch(choice).added? ? [0, family.choices.fetch(choice).most] : span_of(choice, place)
      end

      # Whether anything is carried beside body weight, or taken off it.
      def added? = !(held_kg.zero? && band_n.zero?)

      # N m as the screen has them, never less than nothing.
      def whole(torque_nm) = [torque_nm, 0.0].max.round
    end
  end
end
