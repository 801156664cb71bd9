# frozen_string_literal: true

module Verglas
  module Loading
    # Next time's load from how the last repetition went. docs/model.md section 11.
    module Progress
      MOVES = { easy: :next_up, clean: :hold, not_reached: :next_down }.freeze

      # machine: Stack or Plates. The load to try next (kg), the same where the machine has nothing further.
      def self.next_kg(machine, load_kg, last_repetition)
        move = MOVES.fetch(last_repetition) { raise Invalid.new(:unknown_outcome, path: "/last_repetition", known: MOVES.keys) }
        return load_kg if move == :hold

        found = machine.public_send(move, load_kg)
        found.respond_to?(:mass_kg) ? found.mass_kg : found || load_kg
      end
    end
  end
end
