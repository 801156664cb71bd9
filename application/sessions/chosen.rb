# frozen_string_literal: true

module Verglas
  module Application
    module Sessions
      # Which of all possible exercises a session may hold: what a programme's day asks for, or what is on the card;
      # what stands for a machine that somebody is kept off; what somebody put in by hand.
      class Chosen
        # Of a programme's day that nothing here serves.
        Lacking = Struct.new(:action, :part)

        # known: Possibilities; day: a programme's, {"name", "exercises"}, nil for none; carried: keys of what
        # the last session left out for want of time: main work today; also: keys of what it was planned from before.
        def initialize(known, wishes, day: nil, carried: [], also: [])
          @carried = carried
          @also = also
          @known = known
          @wishes = wishes
          @day = day
        end

        # [Possible], each key once.
        def possible
          @possible ||=
            [*(@day ? of_day : of_card), *put_in].uniq(&:key).reject { |one| out?(one) }.map { |one| carried(one) }
        end

        # [[Possible, Possible]]: what is on the card and does the work of another that is in.
        def doubled
          return [] if @day

          taken = possible.to_h { |one| [one.action, one] }
          @known
            .fitted
            .reject { |one| out?(one) || possible.map(&:key).include?(one.key) }
            .filter_map { |one| [one, taken[one.action]] if taken[one.action] }
        end

        def first_visit? = @known.fitted.empty? && @known.kept_off.empty? && @known.others.any?

        # Of somebody who was fitted nowhere, the order in which what is learned early helps most; nil of anybody else.
        def teaching_order(standing)
          return unless first_visit? && @known.body

          pupils = possible.map { |one| one.pupil(standing[one.key]) }
          Planning::Teaching.order(@known.body, pupils)
        end

        # Machines that would fit, on which nobody fitted them, for work that nothing in it does: one an action.
        def spare
          done = possible.map(&:action)
          (Possible::RANKS.keys - done).flat_map { |action| worked_out(one_an_action(@known.others_of(action))) }
        end

        # What somebody left out by hand, and could put in again.
        def left_out = @wishes.out.filter_map { |key| find(key) }

        # [Lacking] of the day.
        def lacking
          possible
          @lacking.to_a
        end

        # By its key; nil where it is not possible today.
        def find(key) = own[key] || @known.other(key)

        private

        def own = @own ||= @known.fitted.to_h { |one| [one.key, one] }

        def out?(one) = @wishes.out.include?(one.key)
        def carried(one) = @carried.include?(one.key) ? one.with(part: :main) : one

        # One machine an action; what is kept off gives way to what stands for it best. Somebody who was fitted nowhere
        # has no card: whatever fits them is there to be fitted.
        def of_card
          return worked_out(one_an_action(@known.others)) if first_visit?

          open = @known.fitted.reject { |one| out?(one) }
          best = one_an_action(open)
          [*best, *stand_ins.reject { |one| best.any? { |other| other.action == one.action } }]
        end

        def one_an_action(some)
          in_it = some.reject { |one| out?(one) }
          in_it.group_by(&:action).map { |_, alike| alike.min_by { |one| before_others(one) } }
        end

        # [Possible] of others.
        def worked_out(others) = others.filter_map { |one| find(one.key) }

        # One that is free, on which they were fitted, and where they were last.
        def before_others(one)
          taken = @wishes.taken.include?(one.key) ? 1 : 0
          [taken, one.fitted? ? 0 : 1, -(one.last_at || one.fitted_at).to_f, one.fit, one.key]
        end

        def stand_ins
          @known.kept_off.filter_map do |off|
            found = off.instead.filter_map { |key| find(key) }.first
            found&.with(stands_for: off.name)
          end
        end

        def put_in = [*@wishes.kept, *@wishes.sequence, *@also].filter_map { |key| find(key) }

        # Each action of the day on the machine that serves this client best: one on which they were fitted, the latest
        # first.
        def of_day
          used = []
          @lacking = []
          @day["exercises"].filter_map do |row|
            found = serving(row["action"].to_sym, used)
            next (@lacking << Lacking.new(row["action"].to_sym, row["part"])) && nil unless found

            used << found.key
            found.with(part: row["part"].to_sym, sets: row["sets"])
          end
        end

        # Those on which they were fitted first, unless all of them are taken.
        def serving(action, used)
          best = best_of(@known.fitted, action, used)
          return best if best && !@wishes.taken.include?(best.key)

          found = [best, best_of(@known.others_of(action), action, used)].compact.min_by { |one| before_others(one) }
          found && find(found.key)
        end

        def best_of(some, action, used)
          of_action = some.select { |one| one.action == action && !used.include?(one.key) && !out?(one) }
          of_action.min_by { |one| before_others(one) }
        end
      end
    end
  end
end
