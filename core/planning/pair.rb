# frozen_string_literal: true

module Verglas
  module Planning
    # Two exercises done in turn: while one works, what the other worked rests. docs/model.md section 15
    class Pair
      IN_TURN = Tables[:session][:in_turn]

      def initialize(one, other)
        @one = one
        @other = other
      end

      # Whether they have no meant muscle in common.
      def apart? = !@one.works.intersect?(@other.works)

      # Of as many sets of each, sets >= 1: seconds in turn.
      def in_turn_s(sets)
        both = [@one, @other]
        first = both.sum { |each| each.change_s + each.light_s } + (both.any? { |e| e.light_s.positive? } ? walk_s : 0)
        work = sets * both.sum { |each| each.set_s + each.in_s }
        waits = (sets - 1) * (wait_s(@one, @other) + wait_s(@other, @one))
        first + work + (((2 * sets) - 1) * walk_s) + waits + both.sum { |each| each.out_s + Exercise::WRITE_DOWN_S }
      end

      # One after the other.
      def one_after_another_s(sets) = @one.alone_s(sets) + @one.hop_s(@other) + @other.alone_s(sets)

      # Seconds that are saved; nil where it is not offered: a common muscle, or nothing to save. Whether a caution or
      # age speaks against it is asked by Pair.open?.
      def saves_s(sets)
        saved = one_after_another_s(sets) - in_turn_s(sets)
        saved if apart? && saved.positive?
      end

      # For whom two in turn are offered. cautions: names of those that stand; years: nil where not known; a newcomer
      # whose age nobody knows is held for an old one.
      def self.open?(cautions:, years:, newcomer:)
        return false if cautions.intersect?(IN_TURN[:without])

        !newcomer || (!years.nil? && years < IN_TURN[:newcomers_from_years])
      end

      private

      def walk_s = @one.walk_s(@other)

      # What is left to rest of an exercise once the other's turn is over.
      def wait_s(rested, worked)
        [0, rested.rest_s - ((2 * walk_s) + worked.in_s + worked.set_s + rested.in_s)].max
      end
    end
  end
end
