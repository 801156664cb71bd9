# frozen_string_literal: true

module Verglas
  module Fitting
    # What cannot be accepted, whatever the reason given: a machine barred by a caution, a thigh pad on the kneecap, a joint
    # past its limit. Everything else an instructor may accept.
    module NeverAccepted
      FAULTS = %i[on_the_kneecap past_knee_bend_limit].freeze

      # Codes, worst first; empty when it may be accepted. evaluation: at the marks; effect: Cautions::Effect.
      def self.reasons(evaluation, effect)
        faults = evaluation.findings.map(&:fault) & FAULTS
        [*(:barred if effect.barred?), *faults]
      end
    end
  end
end
