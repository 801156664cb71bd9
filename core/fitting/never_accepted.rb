# frozen_string_literal: true

module Verglas
  module Fitting
    # What cannot be accepted, whatever the reason given: a machine barred by a caution, a thigh pad on the kneecap, a joint
    # past its limit. Everything else an instructor may accept, what is off or wrong with a reason that stays on the record.
    module NeverAccepted
      FAULTS = %i[on_the_kneecap past_knee_bend_limit past_straight_limit].freeze

      # Whether a reason is asked for.
      def self.reason_needed?(evaluation) = evaluation.score.worst >= SEVERITIES.index("off")

      # Codes, worst first; empty when it may be accepted. evaluation: at the marks; barred: whether anything keeps the client off.
      def self.reasons(evaluation, barred:)
        faults = evaluation.findings.map(&:fault) & FAULTS
        [*(:barred if barred), *faults]
      end
    end
  end
end
