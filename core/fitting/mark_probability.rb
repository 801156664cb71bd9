# frozen_string_literal: true

module Verglas
  module Fitting
    # How likely each mark is the right one, for a required position ~ N(mean, sd^2). Each mark owns the interval
    # half-way to its neighbours, an end mark half of its local step outwards as well. docs/model.md section 8.
    MarkProbability =
      Value.define(:marks, :below, :above) do
        const_set(:SINGLE_HALF_WIDTH, 12.5)

        # positions: one a mark, in any order, distinct; the unit of mean and sd. marks answers in the order given.
        def self.of(positions:, mean:, sd:)
          order = positions.each_index.sort_by { |index| positions[index] }
          edges = edges(positions.values_at(*order))
          shares = edges.each_cons(2).map { |low, high| Statistics::Gaussian.between(low, high, mean: mean, sd: sd) }
          new(
            marks: positions.each_index.map { |index| shares[order.index(index)] },
            below: Statistics::Gaussian.cumulative(edges.first, mean: mean, sd: sd),
            above: 1 - Statistics::Gaussian.cumulative(edges.last, mean: mean, sd: sd)
          )
        end

        def self.edges(sorted)
          return sorted.first - self::SINGLE_HALF_WIDTH, sorted.first + self::SINGLE_HALF_WIDTH if sorted.size == 1

          between = sorted.each_cons(2).map { |low, high| (low + high) / 2.0 }
          [(2 * sorted.first) - between.first, *between, (2 * sorted.last) - between.last]
        end
        private_class_method :edges

        def none = below + above
      end
  end
end
