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
        first = both.sum(&:change_s) + light_s
        last = both.sum { |each| each.out_s + Exercise::WRITE_DOWN_S }
        first + (sets * work_s) + (((2 * sets) - 1) * walk_s) + ((sets - 1) * waits_s) + last
      end

      # One after the other.
      def one_after_another_s(sets) = @one.alone_s(sets) + @one.hop_s(@other) + @other.alone_s(sets)

      # Seconds that are saved; nil where it is not offered: a common muscle, or nothing to save. Whether a caution or
      # age speaks against it is asked by Pair.open?.
      def saves_s(sets)
        saved = one_after_another_s(sets) - in_turn_s(sets)
        saved if apart? && saved.positive?
      end

      # The two as one exercise of a session: what it takes alone is what they take in turn.
      def as_one
        Exercise.new(
          id: both.map(&:id).join("+"),
          works: both.flat_map(&:works).uniq,
          rank: both.map(&:rank).max,
          place: @one.place,
          worth: both.sum(&:worth),
          kept: both.any?(&:kept),
          most: both.map(&:most).min,
          **seconds_as_one
        )
      end

      # For whom two in turn are offered. cautions: names of those that stand; years: nil where not known; a newcomer
      # whose age nobody knows is held for an old one.
      def self.open?(cautions:, years:, newcomer:)
        return false if cautions.intersect?(IN_TURN[:without])

        !newcomer || (!years.nil? && years < IN_TURN[:newcomers_from_years])
      end

      private

      def both = [@one, @other]
      def walk_s = @one.walk_s(@other)
      def work_s = both.sum { |each| each.set_s + each.in_s }
      def waits_s = wait_s(@one, @other) + wait_s(@other, @one)

      # Both light sets, with the walk between them.
      def light_s = both.sum(&:light_s) + (both.any? { |each| each.light_s.positive? } ? walk_s : 0)

      def seconds_as_one
        {
          set_s: work_s + walk_s,
          rest_s: walk_s + waits_s,
          light_s: light_s,
          change_s: both.sum(&:change_s),
          in_s: 0,
          out_s: both.sum(&:out_s) + Exercise::WRITE_DOWN_S
        }
      end

      # What is left to rest of an exercise once the other's turn is over.
      def wait_s(rested, worked)
        [0, rested.rest_s - ((2 * walk_s) + worked.in_s + worked.set_s + rested.in_s)].max
      end
    end
  end
end
