# frozen_string_literal: true

module Verglas
  module Loading
    # Next time's load from how the last repetition went. docs/model.md section 11.
    module Progress
      MOVES = { easy: :next_up, clean: :nearest, not_reached: :next_down }.freeze

      # Where repetitions are kept in hand.
      IN_HAND = { **MOVES, easy: :nearest, clean: :next_down }.freeze

      # choices: Stack or Plates; in_hand: whether a caution keeps repetitions in hand. What to try next; where the
      # machine has nothing further, what is nearest to the load.
      def self.next(choices, load_kg, last_repetition, in_hand: false)
        move =
          (in_hand ? IN_HAND : MOVES).fetch(last_repetition) do
            raise Invalid.new(:unknown_outcome, path: "/last_repetition", known: MOVES.keys)
          end
        choices.public_send(move, load_kg) || choices.nearest(load_kg)
      end
    end
  end
end
