# frozen_string_literal: true

module Verglas
  module Fitting
    # What is missing where a finding is off or worse, and what would mend it: data for words.
    #   by      how far the graded number lies outside the close band (mm or degrees)
    #   mend    what would bring it to its target, nil where the finding says that itself; amount in the same unit
    Shortfall =
      Value.define(:code, :by, :mend, :amount) do
        # Worst first, of an Evaluation.
        def self.all(evaluation)
          evaluation
            .findings
            .select { |finding| finding.severity > 1 }
            .sort_by { |finding| [-finding.severity, -finding.cost] }
            .map { |finding| of(finding, evaluation) }
        end

        def self.of(finding, evaluation)
          kind = evaluation.kind(finding.code)
          (too_small, too_large), missing =
            kind.plane? ? larger(kind, evaluation.place_of(kind.code)) : [kind.mends, finding.graded - kind.band.target]
          new(
            code: finding.code,
            by: kind.band.shortfall(finding.graded),
            mend: missing.negative? ? too_small : too_large,
            amount: missing.abs
          )
        end

        # Of a place in a plane the larger of the two errors is the one to mend.
        def self.larger(kind, place)
          place.s.abs >= place.n.abs ? [kind.mends.first, place.s] : [kind.mends.last, place.n]
        end
        private_class_method :of, :larger
      end
  end
end
