# frozen_string_literal: true

module Verglas
  module Loading
    # A set as it tells of strength: in which week, on which machine, of which action, with which effective load (kg),
    # how many repetitions, and how the last one went (:clean, :easy, :not_reached).
    Lifted =
      Value.define(:week, :machine, :action, :load_kg, :repetitions, :last) do
        def clean? = last == :clean

        # What it reads of ln(kg) at ten clean, hard repetitions: a value, or a bound of one.
        def reading
          figures = Lifted::SET
          full = [repetitions, figures[:full_repetitions]].min
          past = [repetitions - figures[:full_repetitions], 0].max
          counted = full + (figures[:past_share] * past) + in_hand - figures[:at_repetitions]
          Math.log(load_kg) + (figures[:a_repetition] * counted)
        end

        # Of the reading's own noise; a bound's is the set's alone.
        def variance
          own = Lifted::SET[:sd]**2
          clean? ? own + ((Lifted::SET[:a_repetition] * Lifted::SET[:clean_in_hand_sd])**2) : own
        end

        # +1 where it says at least so much, -1 at most, 0 where it says how much.
        def bound = { easy: 1, not_reached: -1, clean: 0 }.fetch(last)

        private

        def in_hand = Lifted::SET[:"#{last}_in_hand"]
      end

    Lifted::SET = Tables[:strength][:set]
  end
end
