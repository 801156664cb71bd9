# frozen_string_literal: true

module Verglas
  module Telling
    # A pad on a lever over the knees, as sentences (Says).
    class KneeLever < Voice
      def ends
        low =
          Says.of(heel_drop_deg.positive? ? "allowed.heels_down" : "allowed.heels_level", deg: at_most(heel_drop_deg))
        [
          low,
          (
            if mechanics.top_deg > Mechanisms::KneeLever::TOP_DEG
              Says.of("allowed.heels_up", deg: at_most(-mechanics.top_deg))
            end
          )
        ].compact
      end

      def step_numbers = { drop_deg: at_most(heel_drop_deg) }

      def short(_decision)
        slack = mechanics.slack_mm(place)
        Says.of(slack.negative? ? "short.knee_pad.high" : "short.knee_pad.low", mm: slack.abs.round)
      end

      private

      def says(finding)
        mm = finding.value.abs.round
        return Says.of("says.catch_clear.#{clearance(finding)}", mm: mm) if finding.code == :catch_clear
        return Says.of("says.pad_slack.leaves_the_thighs", mm: mm) if finding.fault

        Says.of(finding.severity.zero? ? "says.pad_slack.right" : "says.pad_slack.low", mm: mm)
      end

      def heel_drop_deg = mechanics.bottom_deg

      def clearance(finding)
        return :right if finding.severity.zero?

        finding.value.negative? ? :short : :tight
      end
    end
  end
end
