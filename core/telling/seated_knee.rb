# frozen_string_literal: true

module Verglas
  module Telling
    # A seat with a back pad: gap, pinch, kneecap and the pad on the thigh, as sentences (Says).
    class SeatedKnee < PivotArm
      # Less than this a pad only rests.
      RESTING_BELOW_MM = 3

      def by_hand(code) = code == :thigh_press && rests? ? Says.of("says.thigh_press.by_hand_resting") : super

      def short(decision)
        case decision
        when :crease
          short_gap(mechanics.crease_gap_mm(place))
        when :thigh_press
          short_press(mechanics.thigh_press_mm(place))
        when :kneecap
          Says.of("short.kneecap", mm: mechanics.kneecap_gap_mm(place).round)
        else
          super
        end
      end

      private

      def says(finding)
        case finding.code
        when :crease_gap
          says_gap(finding)
        when :kneecap_gap
          says_kneecap_gap(finding)
        when :thigh_press
          says_thigh_press(finding)
        else
          super
        end
      end

      def says_gap(finding)
        if finding.severity.zero? && finding.value <= mechanics.band(:crease_gap).in_line.max
          return Says.of("says.crease_gap.snug")
        end

        Says.of(finding.value.negative? ? "says.crease_gap.pinch" : "says.crease_gap.gap", mm: finding.value.abs.round)
      end

      def says_kneecap_gap(finding)
        return Says.of("says.kneecap_gap.on_the_kneecap") if finding.fault
        return Says.of("says.kneecap_gap.right") if finding.severity.zero?

        Says.of(
          finding.value < mechanics.band(:kneecap_gap).target ? "says.kneecap_gap.near" : "says.kneecap_gap.far",
          mm: finding.value.round
        )
      end

      def says_thigh_press(finding)
        return Says.of("says.thigh_press.#{rests? ? :resting : :right}") if finding.severity.zero?

        Says.of(
          finding.value.negative? ? "says.thigh_press.loose" : "says.thigh_press.hard",
          mm: finding.value.abs.round
        )
      end

      # Whether the pad shall only rest on the thigh.
      def rests? = wishes[:thigh_press_mm] < RESTING_BELOW_MM

      def short_gap(gap) = Says.of(gap.negative? ? "short.crease_gap.pinch" : "short.crease_gap.gap", mm: gap.abs.round)
      def short_press(press) = Says.of(press.negative? ? "short.thigh_clear" : "short.thigh_press", mm: press.abs.round)
    end
  end
end
