# frozen_string_literal: true

module Verglas
  module Planning
    # The cheapest order of every set of a few things that follow one another, by dynamic programming over subsets.
    # Things are numbered from 0; a subset is an Integer with a bit a thing. Of orders that cost the same the one whose
    # numbers come first, place by place. Costs are exact numbers (Integer or Rational), so that ties are ties.
    #   between  [[cost of going from row to column]]
    #   ranks    [rank]: one of a smaller rank never follows one of a greater
    #   first    [cost of beginning with each]; last: [cost of ending with each]
    class Orders
      def initialize(between, ranks: nil, first: nil, last: nil)
        @between = between
        @size = between.size
        @ranks = ranks || Array.new(@size, 0)
        @first = first || Array.new(@size, 0)
        @last = last || Array.new(@size, 0)
        # [subset][thing]: the cheapest way on from that thing, which the subset holds, through all of it; nil where
        # none may begin so.
        @onward = Array.new(1 << @size)
        1.upto((1 << @size) - 1) { |subset| @onward[subset] = onward(subset) }
      end

      # What the cheapest order of a subset costs: 0 of the empty one.
      def cost(subset)
        return 0 if subset.zero?

        beginnings(subset).map { |thing| @first[thing] + @onward[subset][thing] }.min
      end

      # The cheapest order, [thing].
      def order(subset)
        return [] if subset.zero?

        thing = beginnings(subset).min_by { |one| [@first[one] + @onward[subset][one], one] }
        [thing, *after(subset, thing)]
      end

      private

      def beginnings(subset) = @onward[subset].each_index.select { |thing| @onward[subset][thing] }

      def after(subset, thing)
        rest = subset ^ (1 << thing)
        return [] if rest.zero?

        following = beginnings(rest).min_by { |one| [@between[thing][one] + @onward[rest][one], one] }
        [following, *after(rest, following)]
      end

      def onward(subset)
        least = nil
        @size.times { |thing| least = [least || @ranks[thing], @ranks[thing]].min if subset[thing] == 1 }
        Array.new(@size) { |thing| from(thing, subset ^ (1 << thing)) if subset[thing] == 1 && @ranks[thing] == least }
      end

      # The loop that all time goes to: no blocks within.
      def from(thing, rest)
        return @last[thing] if rest.zero?

        costs = @between[thing]
        onward = @onward[rest]
        least = nil
        following = 0
        while following < @size
          if (way = onward[following])
            way += costs[following]
            least = way if least.nil? || way < least
          end
          following += 1
        end
        least
      end
    end
  end
end
