# frozen_string_literal: true

module Verglas
  module Telling
    # What a press says besides: calf work on its plate.
    class LegPress < Rail
      def asides(without: [])
        return [Says.of("calf_work.barred")] if without.include?(:calf_work)

        slack = mechanics.calf_slack_mm(place) or return []
        word = slack >= Mechanisms::LegPress::TABLE[:calf_work][:off_the_stop_mm] ? "clear" : "caught"
        [
          Says.of(
            mechanics.latches? ? "calf_work.#{word}" : "calf_work.#{word}_at_rest",
            mm: slack.abs.round,
            deg: mechanics.calf_drop_deg.round
          )
        ]
      end
    end
  end
end
