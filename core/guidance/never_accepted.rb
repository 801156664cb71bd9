# frozen_string_literal: true

module Verglas
  module Guidance
    # What cannot be accepted, whatever the reason given: a machine barred by a caution, a fault of which its family
    # says so (a thigh pad on the kneecap, a joint past its limit); and what was seen, which outranks what was computed:
    # a sign that says never, pain in a joint. Everything else an instructor may accept, what is off or wrong with a
    # reason that stays on the record.
    module NeverAccepted
      # Whether a reason is asked for.
      def self.reason_needed?(evaluation) = evaluation.score.worst >= Machines::SEVERITIES.index("off")

      # Codes, worst first; empty when it may be accepted. evaluation: at the marks; barred: whether anything keeps the
      # client off; signs: those seen (Symbols); in_a_joint: whether it is felt in one; cautioned: joints that a caution
      # is on.
      def self.reasons(evaluation, barred:, signs: [], in_a_joint: false, cautioned: [])
        faults =
          evaluation
            .findings
            .select { |finding| never?(evaluation.kind(finding.code), finding.fault, cautioned) }
            .map(&:fault)
        [
          *(:barred if barred),
          *(:joint_pain if in_a_joint),
          *Signs.never(signs).map { |sign| :"seen_#{sign}" },
          *faults
        ]
      end

      def self.never?(kind, fault, cautioned) = kind.never.include?(fault) || cautioned.include?(kind.guarded[fault])
      private_class_method :never?
    end
  end
end
