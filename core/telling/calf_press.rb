# frozen_string_literal: true

module Verglas
  module Telling
    # Calf work on a press, as sentences (Says).
    class CalfPress < Rail
      def ends
        drop = at_most(aimed_deg)
        [
          Says.of(drop.positive? ? "allowed.heels_down" : "allowed.heels_level", deg: drop),
          Says.of(knees_bent? ? "allowed.knees_stay_bent" : "allowed.knees_stay_straight", deg: at_least(knee_deg))
        ]
      end

      def starts = nil

      def motion
        return unless mechanics.told?

        word = %w[from_above level down][at_most(bottom_deg).<=>(0) + 1]
        up = at_most(-mechanics.heels_up_deg(place))
        { ending: Says.of("motion.heels.#{word}", down: Mechanisms.whole_deg(bottom_deg).abs, up: up) }
      end

      def short(decision)
        case decision
        when :recline
          Says.of("short.calf_recline", hip: at_most(mechanics.stopped(place).hip_bend_deg))
        when :reach
          super
        else
          slack = mechanics.slack_mm(place)
          Says.of(slack.negative? ? "short.calf_stop.past" : "short.calf_stop.clear", mm: slack.abs.round)
        end
      end

      def step_numbers = { drop_deg: at_most(aimed_deg), knee_deg: at_least(knee_deg) }
      def step_words(decision) = decision == :recline ? super : :"calf_#{decision}"

      private

      def says(finding)
        return latch_says(finding) if finding.code == :latch_room

        numbers = { mm: finding.value.abs.round, **limit_numbers(finding.fault) }
        Says.of(
          "says.calf_slack.#{finding.fault || word_of(finding)}#{"_at_rest" unless mechanics.latches?}",
          **numbers
        )
      end

      def limit_numbers(fault)
        %i[past_hip_limit past_knee_limit].include?(fault) ? fault_numbers(fault, mechanics.stopped(place)) : {}
      end

      def word_of(finding)
        return finding.severity.zero? ? :right : :far if finding.value >= mechanics.band(:calf_slack).in_line.min

        finding.value.negative? ? :past : :near
      end

      def aimed_deg = mechanics.told? ? bottom_deg : wishes.clamp(:heel_drop, wishes[:heel_drop_deg])
      def bottom_deg = mechanics.bottom_deg(place)
      def knee_deg = mechanics.top_deg
      def knees_bent? = knee_deg > Linkages::ClosedLeg::TOP_BEND_DEG
    end
  end
end
