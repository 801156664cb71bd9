# frozen_string_literal: true

module Verglas
  module Application
    module Sessions
      # Why a block of a plan is there, and why it stands where it does: [[code, params]], to be worded.
      class Reasons
        # After so many days it is told when something was done last.
        LONG_DAYS = 7
        private_constant :LONG_DAYS

        # made: whether the plan was made before, so that what was done since is of this session.
        def initialize(wishes, today, made:)
          @wishes = wishes
          @today = today
          @made = made
        end

        # members: [Possible]; sets: of each; exercise: Planning::Exercise; before: the Block before it, nil for none.
        def of(members, sets, exercise, before)
          [
            *members.filter_map { |one| [:stands_for, { machine: one.stands_for }] if one.stands_for },
            *([[:in_turn, {}]] if members.size > 1),
            place_in_order(members.first),
            *(beside(members.first, before) if before),
            *(same_muscle(exercise, before) if before),
            *members.flat_map { |one| since(one) },
            *([[:time_ends, { sets: sets, most: exercise.most }]] if !@made && sets < exercise.most)
          ]
        end

        private

        def place_in_order(one)
          return :taken, { waiting: @today.waiting.fetch(one.key, 0) } if @wishes.taken.include?(one.key)
          return :moved, {} if @wishes.sequence.include?(one.key)
          return :kept, {} if @wishes.kept.include?(one.key)
          return :teaches, {} if one.lessons.any?

          [one.order, {}]
        end

        def beside(one, before)
          neighbour = before.members.last
          neighbour.place == one.place ? [[:beside, { machine: neighbour.name }]] : []
        end

        # Where a meant muscle comes twice in a row.
        def same_muscle(exercise, before)
          common = before.exercise.works & exercise.works
          common.any? ? [[:same_muscle, { muscle: common.first }]] : []
        end

        def since(one)
          return [[:first_time, first_time(one)]] unless one.fitted?
          return [[:never_lifted, {}]] unless one.last_at
          return @made ? [] : [[:done_lately, {}]] unless one.rested?(@today.now)

          days = ((@today.now - one.last_at) / 86_400).floor
          days >= LONG_DAYS ? [[:days_ago, { days: days }]] : []
        end

        # What it takes, seconds each: set up, looked at where they sit, the light set, watched, accepted.
        def first_time(one)
          { set_up_s: one.change_s(@today.standing[one.key]), light_s: one.seconds[:set_s], **one.first_fitting }
        end
      end
    end
  end
end
