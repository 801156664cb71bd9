# frozen_string_literal: true

module Verglas
  module Telling
    # What an abduction or adduction machine says of itself.
    class SeatedHip < Voice
      def short(decision)
        case decision
        when :hip_pivot
          Says.of("short.hip_pivot.#{place.joint.s.negative? ? :behind : :ahead}", mm: place.joint.s.abs.round)
        when :spread_start
          Says.of(
            "short.spread_start.#{way(mechanics.contacts(place).first.shin_deg)}",
            deg: mechanics.contacts(place).first.shin_deg.abs.round
          )
        else
          Says.of(
            "short.thigh_level.#{mechanics.thigh_slope_deg(place).negative? ? :lower : :higher}",
            deg: mechanics.thigh_slope_deg(place).abs.round
          )
        end
      end

      # The start of an adduction where the client's own range says so.
      def starts = opens? ? nil : Says.of("allowed.spread_start", deg: at_most(start_target_deg))

      def ends
        return Says.of("allowed.spread_to", deg: at_most(end_target_deg)) if opens?
        return Says.of("allowed.spread_in_to", deg: at_least(end_target_deg)) if end_target_deg.positive?

        Says.of(end_target_deg.negative? ? "allowed.past_middle" : "allowed.to_middle", deg: at_most(-end_target_deg))
      end

      def step_numbers = { start_deg: at_most(start_target_deg), end_deg: at_most(end_target_deg.abs) }

      def step_words(decision)
        return decision unless decision == :spread_start

        opens? ? :spread_start_together : :spread_start_apart
      end

      def warnings = [Says.of("care.seated_hip")]

      def motion
        return unless family.told.include?(:arm)

        numbers = mechanics.quantities_of(:arm, place)
        {
          ending: turning_says(numbers),
          creep: Creep.says(numbers[:creep_mm], of: :pad),
          ratio: Says.of("motion.pad_on_thigh", mm: numbers[:above_knee_mm].round)
        }
      end

      def sides = %i[behind ahead].map { |side| Says.of("short.direction.#{side}") }
      def travel_words = %i[start end]

      private

      def says(finding)
        case finding.code
        when :hip_offset
          offset_says(place.joint)
        when :spread_start
          start_says(finding)
        else
          Says.of("says.thigh_slope.#{slope_word(finding)}", deg: finding.value.abs.round)
        end
      end

      def opens? = mechanics.opens?
      def end_target_deg = mechanics.end_target_deg
      def start_target_deg = mechanics.start_target_deg

      def way(deg) = deg.negative? ? :past : :out

      def offset_says(hip)
        return Says.of("says.hip_offset.centred") if hip.norm <= mechanics.band(:hip_offset).in_line.max

        along = hip.s.abs >= hip.n.abs
        word =
          (
            if along
              { true => :ahead, false => :behind }[hip.s.positive?]
            else
              { true => :arms_wide, false => :arms_narrow }[hip.n.positive?]
            end
          )
        Says.of("says.hip_offset.#{word}", by: (along ? hip.s : hip.n).abs.round)
      end

      def start_says(finding)
        if finding.fault
          return(
            Says.of(
              "says.spread_start.#{finding.fault}",
              deg: finding.value.abs.round,
              limit: at_most(mechanics.spread_at_most_deg || 0)
            )
          )
        end
        if finding.severity.zero?
          return Says.of(opens? ? "says.spread_start.together" : "says.spread_start.apart", deg: finding.value.round)
        end

        Says.of(
          "says.spread_start.#{finding.graded.positive? ? :wide : :narrow}",
          deg: finding.graded.abs.round,
          target: start_target_deg.round
        )
      end

      def slope_word(finding)
        return :level if finding.severity.zero?

        finding.value.negative? ? :knees_low : :knees_high
      end

      def turning_says(numbers)
        missing = numbers[:end_missing_deg].round
        return Says.of("motion.spread_together") if !opens? && missing.zero? && numbers[:end_target_deg].round.zero?

        Says.of(
          "motion.spread_#{opens? ? :out : :in}#{"_before" if missing.positive?}",
          deg: at_most(numbers[:end_target_deg].abs),
          missing: missing
        )
      end
    end
  end
end
