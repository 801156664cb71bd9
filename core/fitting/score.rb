# frozen_string_literal: true

module Verglas
  module Fitting
    # How good a set of findings is, smaller first: worst severity, how many findings have it (0 when the worst is 0),
    # summed cost. Scores of disjoint sets of findings add up. docs/model.md section 9.
    Score =
      Struct.new(:worst, :number, :cost) do
        include Comparable

        def self.of(findings)
          worst = findings.map(&:severity).max || 0
          new(worst, worst.zero? ? 0 : findings.count { |finding| finding.severity == worst }, findings.sum(&:cost))
        end

        def +(other)
          worst = [self.worst, other.worst].max
          number = (self.worst == worst ? self.number : 0) + (other.worst == worst ? other.number : 0)
          Score.new(worst, number, cost + other.cost)
        end

        # Costs that differ only by rounding are equal, so that the machine's printed order decides.
        def key = [worst, number, cost.round(9)]
        def <=>(other) = key <=> other.key
      end
  end
end
