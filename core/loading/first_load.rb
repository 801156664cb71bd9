# frozen_string_literal: true

module Verglas
  module Loading
    # What somebody would lift on a machine on which they never were: ln of kg as printed there, and the load to begin
    # with. docs/model.md section 13
    class FirstLoad
      FIRST = Tables[:strength][:first]

      # strength: Strength; cautions: whether any stands.
      def initialize(strength, machine:, action:, person:, cautions: false)
        @strength = strength
        @machine = machine
        @action = action
        @person = person
        @cautions = cautions
      end

      def mean = @strength.mean(@action) - factor.first
      def sd = Math.sqrt(@strength.variance(@action) + factor.last + (Tables[:strength][:set][:sd]**2))

      # Whether nothing is told: the lightest, one step a set.
      def silent? = sd > FIRST[:most_sd] || @cautions || (!@strength.clean? && unproved?)

      # kg: the heaviest choice with three repetitions in hand and hardly ever too heavy; else the lightest.
      def load_kg(choices_kg)
        most = Math.exp(mean - (FIRST[:sds] * sd) - FIRST[:in_hand])
        (choices_kg.select { |kg| kg <= most }.max unless silent?) || choices_kg.min
      end

      private

      def factor = @strength.factor(@machine)

      def unproved?
        age = @person.age_years
        @person.mass_kg.nil? || age.nil? || age >= FIRST[:below_years] || age < FIRST[:from_years]
      end
    end
  end
end
