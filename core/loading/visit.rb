# frozen_string_literal: true

module Verglas
  module Loading
    # One visit of a client to a machine: its sets in the order in which they were done, never none; pad: {label =>
    # mark} of what says where the load met the leg, empty where nothing is set there: loads compare only at one of
    # them.
    Visit =
      Value.define(:sets, :pad) do
        # What counts of a visit, worst first: range comes before load.
        const_set(:OUTCOMES, %i[joint sign short not_reached unsaid clean easy].freeze)

        def clean? = sets.all?(&:clean?)
        def sends_back? = sets.any?(&:sends_back?)
        def load_kg = sets.last.load_kg

        # What was lifted last decides: those sets, on one leg or on both as the last one was; and what hurt or was seen
        # at any of them.
        def deciding = sets.select { |one| [one.load_kg, one.one_leg] == [sets.last.load_kg, sets.last.one_leg] }

        def outcome
          counting = [*deciding, *sets.select { |one| one.joint || one.sign }]
          self.class::OUTCOMES.find { |outcome| counting.any? { |one| one.outcome == outcome } }
        end

        # Those of one leg, or of both; nil where there are none.
        def on(one_leg:)
          own = sets.select { |one| one.one_leg == one_leg }
          with(sets: own) if own.any?
        end

        # The lightest that was not reached: no step up goes there at once.
        def failed_kg = sets.select { |one| one.last == :not_reached }.filter_map(&:load_kg).min
      end
  end
end
