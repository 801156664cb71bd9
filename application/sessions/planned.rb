# frozen_string_literal: true

module Verglas
  module Application
    module Sessions
      # A client's session as it is planned: blocks on a line of time, and what stands beside it.
      class Planned
        # Somebody who stands at a machine stays so long, and each who waits after them.
        TAKEN_S = 240
        LAST_RANK = Possible::RANKS.values.max
        # What has no set, or not all of them. why: :no_time, :more_sets, :same_action (as the other machine), :spare
        # (fits, nobody fitted them there), :left_out, :no_machine or what the day has closed; seconds: what one set
        # more would cost, nil where time is not what is missing.
        Beside = Struct.new(:key, :name, :why, :seconds, :other)
        # Two neighbours that would save time in turn, so many sets of each.
        Turn = Struct.new(:keys, :names, :sets, :in_turn_s, :now_s)

        # known: Possibilities, of which it is made.
        attr_reader :wishes, :known

        # known: Possibilities; today: Today; day: a programme's, nil for none; budget_s: what is left of the
        # time; done: keys that are done with; without: {key => why} of what the day has closed; at: the place where
        # somebody is, nil before the first machine; also: keys that may be in it beside the card's; made: [[keys,
        # sets]] of a plan that was made before, which is laid out as it stands.
        def initialize(
          known,
          wishes,
          today,
          day: nil,
          budget_s: wishes.budget_s,
          done: [],
          without: {},
          at: nil,
          also: [],
          made: nil
        ) # rubocop:disable Metrics/ParameterLists -- what a day may have changed
          @known = known
          @wishes = wishes
          @made = made
          @today = today
          @budget_s = budget_s
          @done = done
          @without = without
          @at = at
          @chosen = Chosen.new(known, wishes, day: day, carried: today.carried, also: also)
        end

        # [Block], as they come; none where not even what is kept fits.
        def blocks = @blocks ||= plan ? laid : []

        # Of the whole, and what it seldom takes more than.
        def seconds = blocks.last&.ends_s.to_i
        def seldom_s = (seconds + (Seconds::TIMES[:seldom_sds] * Math.sqrt(blocks.sum(&:variance)))).round

        # For one set of everything that is kept; nil where that fits.
        def missing_s = (session.missing_s unless @made)

        # [[keys, sets]], to be kept.
        def made = blocks.map { |block| [block.keys, block.sets] }

        # Whether nobody was fitted anywhere yet, and something is there to be fitted.
        def first_visit? = @chosen.first_visit?

        # [Beside]
        def beside
          [
            *left.map { |one| Beside.new(one.key, one.name, :no_time, cost_s(one)) },
            *blocks.select { |block| block.sets < block.exercise.most }.flat_map { |block| more(block) },
            *closed,
            *doubled,
            *spare,
            *@chosen.left_out.map { |one| Beside.new(one.key, one.name, :left_out, nil) },
            *@chosen.lacking.map { |one| Beside.new(nil, one.action, :no_machine, nil) }
          ]
        end

        # [Turn], where the client may and nothing is gained otherwise.
        def turns
          blocks.each_cons(2).filter_map { |one, other| turn(one, other) }
        end

        private

        # {id of a Planning::Exercise => [Possible]}
        def members
          @members ||=
            begin
              pairs = in_turn
              alone = open - pairs.flatten
              [*pairs, *alone.zip].to_h { |some| [some.map(&:called).join("+"), some] }
            end
        end

        # [[Possible, Possible]], nobody in two of them.
        def in_turn
          by_key = open.to_h { |one| [one.key, one] }
          asked = @made ? @made.map(&:first).select { |keys| keys.size > 1 } : @wishes.turns
          asked
            .map { |keys| by_key.values_at(*keys) }
            .each_with_object([]) { |pair, all| all << pair if in_turn?(*pair) && !all.flatten.intersect?(pair) }
        end

        # On two machines: the exercises of a station share its seat.
        def in_turn?(one, other) = @today.in_turn && one && other && one.machine_id != other.machine_id

        def open
          @open ||=
            if @made
              @made.flat_map(&:first).filter_map { |key| @chosen.find(key) }
            else
              @chosen.possible.reject { |one| @done.include?(one.key) || @without.key?(one.key) }
            end
        end
        def exercises = @exercises ||= members.transform_values { |some| exercise(some) }

        def exercise(some)
          one, other = some.map { |possible| single(possible) }
          other ? Planning::Pair.new(one, other).as_one : one
        end

        def single(possible)
          possible.planned(
            standing: @today.standing[possible.key],
            now: @today.now,
            kept: @wishes.kept.include?(possible.key),
            rank: taken?(possible.key) ? LAST_RANK : possible.rank
          )
        end

        def taken?(key) = @wishes.taken.include?(key)

        def session
          @session ||=
            Planning::Session.new(
              exercises.values,
              seconds: @budget_s,
              first: exercises.transform_values { |one| first_s(one) },
              sequence: sequence
            )
        end

        # Where it is the first: the walk there, and the wait where it is taken.
        def first_s(exercise)
          keys = members.fetch(exercise.id).map(&:key).select { |key| taken?(key) }
          hop = @at == exercise.place ? :within_s : :between_s
          walk = @at ? Planning::Exercise::HOP[hop] : 0
          walk + keys.sum { |key| TAKEN_S * (1 + @today.waiting.fetch(key, 0)) }
        end

        # By somebody's own hand; of a first visit, so that what is learned helps; nil where ranks and walks decide.
        def sequence
          return @chosen.teaching_order(@today.standing) if @wishes.sequence.empty?

          @wishes.sequence.filter_map { |key| members.find { |_, some| some.map(&:key).include?(key) }&.first }.uniq
        end

        def plan = @plan ||= @made ? as_made : session.plan

        # What is possible no more is not in it; two that may not be done in turn any more come one after the other.
        Made = Struct.new(:order, :sets)
        def as_made
          ids = members.transform_values { |some| some.map(&:key) }.invert
          there =
            @made
              .flat_map { |keys, sets| ids.key?(keys) ? [[keys, sets]] : keys.map { |key| [[key], sets] } }
              .select { |keys, _| ids.key?(keys) }
          Made.new(there.map { |keys, _| ids[keys] }, there.to_h { |keys, sets| [ids[keys], sets] })
        end

        def laid
          before = nil
          plan.order.map do |id|
            hop = before ? before.exercise.hop_s(exercises[id]) : first_s(exercises[id])
            before = block(id, hop, before)
          end
        end

        def block(id, hop, before)
          some = members.fetch(id)
          Block.new(
            members: some,
            sets: plan.sets.fetch(id),
            kept: some.any? { |one| @wishes.kept.include?(one.key) },
            hop_s: hop,
            starts_s: (before ? before.ends_s : 0) + hop,
            exercise: exercises[id],
            why: reasons.of(some, plan.sets.fetch(id), exercises[id], before)
          )
        end

        def reasons = @reasons ||= Reasons.new(@wishes, @today, made: !@made.nil?)
        def planned_keys = blocks.flat_map(&:keys)
        def left = open.reject { |one| planned_keys.include?(one.key) }

        def closed
          @chosen
            .possible
            .select { |one| @without.key?(one.key) }
            .map { |one| Beside.new(one.key, one.name, @without[one.key], nil) }
        end

        def doubled
          @chosen
            .doubled
            .reject { |one, _| @without.key?(one.key) }
            .map { |one, other| Beside.new(one.key, one.name, :same_action, nil, other.name) }
        end

        # Where there is time for another, and the day has not closed it.
        def spare
          return [] if @made || @budget_s - seconds < Possible::FIRST_FITTING.values.sum

          @chosen
            .spare
            .reject { |one| @without.key?(one.key) }
            .map { |one| Beside.new(one.key, one.name, :spare, cost_s(one)) }
            .select { |one| one.seconds <= @budget_s - seconds }
        end

        def more(block)
          block.members.map do |one|
            Beside.new(one.key, one.name, :more_sets, block.exercise.set_s + block.exercise.rest_s)
          end
        end

        # One set, put in where the walk is shortest and no rank falls.
        def cost_s(one)
          exercise = single(one)
          line = blocks.map(&:exercise)
          walks =
            (0..line.size).filter_map do |place|
              before = place.zero? ? nil : line[place - 1]
              after = line[place]
              if (before.nil? || before.rank <= exercise.rank) && (after.nil? || exercise.rank <= after.rank)
                walk(before, exercise) + walk(exercise, after) - walk(before, after)
              end
            end
          exercise.alone_s(1) + walks.min.to_i
        end

        def walk(one, other) = one && other ? one.hop_s(other) : 0

        def turn(one, other)
          return unless [one, other].all? { |block| block.members.size == 1 }
          return unless in_turn?(one.members.first, other.members.first)

          pair = Planning::Pair.new(one.exercise, other.exercise)
          sets = [[one.sets, other.sets].max, one.exercise.most, other.exercise.most].min
          return unless pair.saves_s(sets)

          Turn.new(
            [*one.keys, *other.keys],
            [*one.members, *other.members].map(&:name),
            sets,
            pair.in_turn_s(sets),
            pair.one_after_another_s(sets)
          )
        end
      end
    end
  end
end
