# frozen_string_literal: true

module Verglas
  module Planning
    # The best session that fits into some seconds: how many sets of which exercises, and in which order. Exact: of all
    # numbers of sets, each with the cheapest order of its exercises, the one of most worth; of equal worth the one that
    # takes less time; then the one with more sets of the exercise whose id comes first. docs/model.md section 15
    class Session
      # order: ids as they are done; sets: {id => number} of those; seconds: of the whole; worth: Rational;
      # left_out: ids of what has no set, in their order.
      Plan = Struct.new(:order, :sets, :seconds, :worth, :left_out)
      MOST = Tables[:session][:most][:exercises]

      # exercises: [Exercise], ids of their own; sequence: ids in the order in which somebody wants them done, nil where
      # ranks and walks decide; first: {id => seconds} of beginning with it (a walk there, a wait). Raises Invalid where
      # two have one id, or more are kept than can be weighed.
      def initialize(exercises, seconds:, sequence: nil, first: {})
        check(exercises)
        @seconds = seconds
        @all = exercises.sort_by(&:id)
        @weighed = @all.size > MOST ? weightiest : @all
        first_s = @weighed.map { |one| first.fetch(one.id, 0) }
        @orders = sequence ? Sequence.new(@weighed, sequence, first: first_s) : Session.orders(@weighed, first: first_s)
        @unit = @weighed.flat_map { |one| (1..one.most).map { |sets| one.worth_of(sets).denominator } }.inject(1, :lcm)
      end

      # Hops between exercises, by their places in the list; ids in their order.
      def self.orders(exercises, first: nil)
        between = exercises.map { |from| exercises.map { |to| from.hop_s(to) } }
        Orders.new(between, ranks: exercises.map(&:rank), first: first)
      end

      # Seconds that are missing for one set of each exercise that is kept; nil where those fit.
      def missing_s
        kept = @weighed.each_index.select { |index| @weighed[index].kept }
        least = kept.sum { |index| @weighed[index].alone_s(1) } + @orders.cost(kept.sum { |index| 1 << index })
        least - @seconds if least > @seconds
      end

      # The best Plan; nil where not even what is kept fits.
      def plan
        return if missing_s

        @best = nil
        @most_onward = Array.new(@weighed.size + 1) { |from| @weighed.drop(from).sum { |one| units(one, one.most) } }
        decide(0, 0, [[0, 0, 0]])
        told(*@best)
      end

      private

      def check(exercises)
        twice = exercises.map(&:id).tally.find { |_, count| count > 1 }
        raise Invalid.new(:exercise_twice, path: "/exercises", id: twice.first) if twice
        raise Invalid.new(:too_many_kept, path: "/exercises", most: MOST) if exercises.count(&:kept) > MOST
      end

      # What is kept, then what is worth most; ties by id.
      def weightiest = @all.sort_by { |one| [one.kept ? 0 : 1, -one.worth, one.id] }.take(MOST).sort_by(&:id)

      # Takes the exercises one after another. chosen: those that are in, as bits; ways: [[worth, seconds without hops,
      # numbers of sets as the digits of one number]] of which none is worse than another in both.
      def decide(index, chosen, ways)
        return compare(chosen, ways) if index == @weighed.size
        return if @best && ways.last[0] + @most_onward[index] < @best[0]

        exercise = @weighed[index]
        with = extended(exercise, ways)
        decide(index + 1, chosen | (1 << index), with) if with.any?
        return if exercise.kept

        decide(index + 1, chosen, ways.map { |worth, seconds, sets| [worth, seconds, sets * DIGIT] })
      end

      # The first digit is the first exercise's, so that a greater number has more sets of it.
      DIGIT = Exercise::MOST_SETS + 1
      private_constant :DIGIT

      # Worth as a whole number of the smallest parts there are: those add up and compare fast.
      def units(exercise, sets) = (exercise.worth_of(sets) * @unit).to_i

      def extended(exercise, ways)
        each =
          (1..exercise.most).flat_map do |sets|
            more_worth = units(exercise, sets)
            more_s = exercise.alone_s(sets)
            ways.map { |worth, seconds, digits| [worth + more_worth, seconds + more_s, (digits * DIGIT) + sets] }
          end
        undominated(each.select { |_, seconds, _| seconds <= @seconds })
      end

      # Those that no other beats: shortest and least worth first.
      def undominated(ways)
        most = nil
        ways
          .sort_by { |worth, seconds, digits| [seconds, -worth, -digits] }
          .select { |worth, _, _| (most.nil? || worth > most) && (most = worth) }
      end

      def compare(chosen, ways)
        hops = @orders.cost(chosen)
        ways.each do |worth, seconds, digits|
          whole = seconds + hops
          next if whole > @seconds

          found = [worth, -whole, digits, chosen]
          @best = found if @best.nil? || (found <=> @best).positive?
        end
      end

      def told(worth, minus_s, digits, chosen)
        last = @weighed.size - 1
        numbers = Array.new(@weighed.size) { |index| digits / (DIGIT**(last - index)) % DIGIT }
        sets = @weighed.map(&:id).zip(numbers).to_h.select { |_, number| number.positive? }
        order = @orders.order(chosen).map { |index| @weighed[index].id }
        Plan.new(order, sets, -minus_s, Rational(worth, @unit), @all.map(&:id) - order)
      end
    end
  end
end
