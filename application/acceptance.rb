# frozen_string_literal: true

module Verglas
  module Application
    # Whether a client may get on a machine at some marks, and what of it is allowed: what bars, what was never shown,
    # what is never accepted, what is too heavy.
    class Acceptance
      def initialize(meeting)
        @meeting = meeting
      end

      # Codes for which nobody gets on at these marks, whatever the reason; empty when one may. sheet: what was seen
      # there.
      def refusals(evaluation, sheet = {}) = [*unacceptable(evaluation, sheet), *to_be_shown]

      # Nothing is asked of whom a bar keeps off.
      def to_be_shown
        @meeting.bars.any? ? [] : @meeting.safety.unseen(@meeting.machine.family).map { |gate| :"unseen_#{gate}" }
      end

      # Those of the marks themselves and of what was seen: what is still to be shown can be.
      def unacceptable(evaluation, sheet = {})
        signs = sheet.fetch(:signs, []).map(&:to_sym)
        forbidden =
          @meeting.caution_effect.without.any? { |name| evaluation.wishes.values.fetch(name, 0.0).to_f.positive? }
        [
          *(:forbidden_aid if forbidden),
          *Guidance::NeverAccepted.reasons(
            evaluation,
            barred: @meeting.bars.any?,
            signs: signs,
            in_a_joint: sheet[:work].to_h["felt"] == "joint",
            cautioned: @meeting.caution_effect.cautioned
          )
        ]
      end

      # Of what lay there before, what a caution leaves: a block or a mat that is forbidden by now is not carried on.
      def left_of(aids) = aids.reject { |name, _| @meeting.caution_effect.without.include?(name.to_sym) }

      # Whether more was loaded than a clinician allows.
      def overloaded?(work)
        limit = @meeting.load_limit_kg
        !limit.nil? &&
          work
            .values_at("load_kg", "left_kg", "right_kg")
            .compact
            .any? { |kg| kg > limit + Loading::Choices::ROUNDING_KG }
      end
    end
  end
end
