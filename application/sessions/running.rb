# frozen_string_literal: true

module Verglas
  module Application
    module Sessions
      # A session as far as it has come: its plan, what was done of it since it began, and what the day has closed.
      class Running
        attr_reader :row, :now

        # row: of a session; known: Possibilities.
        def initialize(gym, row, known, today, programme: nil)
          @gym = gym
          @row = row
          @known = known
          @today = today
          @now = today.now
          @programme = programme
        end

        def wishes = @wishes ||= Wishes.of_row(@row)

        # The plan as it was made, with what is still possible of it.
        def planned
          @planned ||= Planned.new(@known, wishes, @today, day: @programme, made: made, without: closed)
        end

        # {key => sets' rows}, as they were done since it began.
        def done
          @done ||=
            since
              .visits(client_id)
              .each_with_object({}) do |(visit, sets), all|
                (all[since.key(visit)] ||= []).concat(sets) if sets.any? || visit[:stopped]
              end
        end

        # Keys of machines on which somebody was fitted since it began: light set, load and watched repetitions are
        # part of that.
        def fitted = @fitted ||= since.fitted(client_id)

        # How many sets of a member of a block are still to be done: none of what is closed.
        def left(block, member) = closed.key?(member.key) ? 0 : [block.sets - done_of(member), 0].max

        # The block that is worked on, or comes next; nil where nothing is left.
        def current = planned.blocks.find { |block| block.members.any? { |member| left(block, member).positive? } }

        # {key => why}, of all that was possible (Closed).
        def closed = @closed ||= day.of(client_id, @known)

        # Whether a stop sign ended it.
        def stopped? = closed.value?(:stopped)

        # Seconds since it began; 0 before.
        def elapsed_s
          return 0 unless @row[:begun_at]

          ((@row[:ended_at] || @now) - @row[:begun_at]).floor
        end

        # How far the plan is ahead of the clock; less than nothing where it is behind.
        def ahead_s = worked_s - elapsed_s

        # Whether the plan still holds what was stopped meanwhile, so that the rest has to be planned anew.
        def outdated?
          planned.blocks.any? { |block| block.members.any? { |one| closed.key?(one.key) && done_of(one) < block.sets } }
        end

        # The same under other wishes: what was begun stays, the rest is planned anew in the time that is left.
        def anew(wishes)
          begun = made.select { |keys, _| keys.any? { |one| begun?(one) } }
          rest =
            Planned.new(
              @known,
              wishes,
              @today,
              day: @programme,
              budget_s: wishes.budget_s - elapsed_s - going_on_s,
              done: begun.flat_map(&:first),
              without: closed,
              at: last_place,
              also: made.flat_map(&:first)
            )
          [begun.map { |keys, sets| [keys, closed.key?(keys.first) ? most_done(keys) : sets] }, rest]
        end

        # Why something beside the plan was left out.
        LEFT = { no_time: "time", left_out: "by_hand", hurt: "hurt", stopped: "stopped" }.freeze
        private_constant :LEFT

        # [{"key", "name", "why"}] of what was planned and is not done whole, if it ended now.
        def left_out
          short = planned.blocks.flat_map { |block| block.members.select { |one| done_of(one) < block.sets } }
          beside = planned.beside.select { |one| LEFT.key?(one.why) }
          [
            *short.map { |one| { "key" => one.key, "name" => one.name, "why" => why_left(one) } },
            *beside.map { |one| { "key" => one.key, "name" => one.name, "why" => LEFT[one.why] } }
          ].uniq { |one| one["key"] }
        end

        private

        def made = @row[:blocks].to_a.map { |one| [one["keys"], one["sets"]] }
        def client_id = @row[:client_id]

        # Since it began: nothing of one that has not.
        def since
          @since ||= Closed.new(@gym, [client_id], since: @row[:begun_at] || @now, upto: @row[:ended_at])
        end

        # Of the day: what hurt before it began counts too.
        def day = @day ||= Closed.new(@gym, [client_id], since: (@row[:begun_at] || @now) - Closed::DAY_S)

        def why_left(one)
          return closed.fetch(one.key).to_s if closed.key?(one.key)

          wishes.taken.include?(one.key) ? "taken" : "time"
        end

        def begun?(key) = done.key?(key) || fitted.include?(key)

        # A fitting is worth one set.
        def done_of(member) = done.fetch(member.key, []).size + (fitted.include?(member.key) ? 1 : 0)
        def most_done(keys) = [keys.map { |key| done.fetch(key, []).size }.max, 1].max

        # What is left of a block that was begun.
        def going_on_s
          begun = planned.blocks.select { |block| block.keys.any? { |one| begun?(one) } }
          begun.sum do |block|
            most = block.members.map { |one| left(block, one) }.max
            most * (block.exercise.set_s + block.exercise.rest_s)
          end
        end

        def last_place
          block = planned.blocks.reverse.find { |one| one.keys.any? { |key| begun?(key) } }
          block && block.members.last.place
        end

        # As long as what was done should have taken.
        def worked_s
          planned.blocks.sum do |block|
            sets = block.members.map { |one| done_of(one) }.max
            next 0 if sets.zero?

            whole = sets >= block.sets || block.members.all? { |one| left(block, one).zero? }
            block.hop_s + (whole ? block.seconds : block.exercise.alone_s(sets) - block.exercise.out_s)
          end
        end
      end
    end
  end
end
