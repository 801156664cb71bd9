# frozen_string_literal: true

module Verglas
  module Fitting
    # What is missing where a finding is off or worse, and what would mend it: data for words.
    #   by      how far the graded number lies outside the close band (mm or degrees)
    #   mend    what would bring it to its target; amount in the same unit
    Shortfall = Value.define(:code, :by, :mend, :amount) do
      # Worst first. mechanism: whose findings these are; quantities: their numbers.
      def self.all(mechanism, findings, quantities)
        findings.select { |finding| finding.severity > 1 }
                .sort_by { |finding| [-finding.severity, -finding.cost] }
                .map { |finding| of(mechanism, finding, quantities) }
      end

      def self.of(mechanism, finding, quantities)
        mend, amount = mend(mechanism, finding, quantities)
        new(code: finding.code, by: mechanism::BANDS[finding.code].shortfall(finding.graded), mend: mend, amount: amount.abs)
      end

      def self.mend(mechanism, finding, quantities)
        return mechanism.joint_mend(quantities[:knee_s_mm], quantities[:knee_n_mm]) if finding.code == :offset

        missing = finding.graded - mechanism::BANDS[finding.code].target
        too_small, too_large = mechanism::MENDS.fetch(finding.code)
        [missing.negative? ? too_small : too_large, missing]
      end
      private_class_method :of, :mend
    end
  end
end
