# frozen_string_literal: true

module Verglas
  module Telling
    # A knee machine's findings as sentences (Says).
    class PivotArm < Voice
      # Below this an offset has no direction worth telling.
      ON_THE_PIVOT_MM = 2
      # Below this a start is just short of straight.
      JUST_SHORT_DEG = 15
      # Below this one is straight.
      STRAIGHT_DEG = 5
      # Above this a roller is not just above the ankle, below this it lies at its crease.
      JUST_ABOVE_ANKLE_MM = 80
      AT_THE_CREASE_MM = 45
      # From this on a bend is as far as a knee comes.
      AS_FAR_AS_IT_COMES_DEG = 130

      def short(decision)
        case decision
        when :pivot, :height
          short_offset
        when :contact
          Says.of("short.contact", mm: mechanics.quantities(place)[:above_ankle_mm].round)
        when :start, :end
          short_bend(decision)
        end
      end

      # Where a knee (Point) lies from the pivot.
      def where(knee)
        knee.norm < ON_THE_PIVOT_MM ? Says.of("says.offset.centred") : off_the_pivot(knee, "off_by")
      end

      # Only where the client's own range says so: else the house rule has said it.
      def starts
        from, upto = wishes.envelope[:knee_flexion]
        return upto && Says.of("allowed.start_at_most", deg: at_most(upto)) if straightens?

        from && Says.of("allowed.start_at_least", deg: at_least(from))
      end

      # Where the client turns back.
      def ends
        if straightens?
          return(
            Says.of(
              end_target_deg.positive? ? "allowed.end_short" : "allowed.end_straight",
              deg: at_least(end_target_deg)
            )
          )
        end
        return Says.of("allowed.stop_at", deg: at_most(end_target_deg)) if mechanics.end_limited?

        return Says.of("allowed.end_as_far") if end_target_deg >= AS_FAR_AS_IT_COMES_DEG

        Says.of(end_target_deg == 90 ? "allowed.end_about_right_angle" : "allowed.end_at", deg: at_most(end_target_deg))
      end

      def step_numbers
        starts, ends =
          [start_target_deg, end_target_deg].zip(straightens? ? %i[at_most at_least] : %i[at_least at_most])
            .map { |deg, way| send(way, deg) }
        { wanted: mechanics.wanted_above_ankle_mm.round, wanted_deg: starts, end_deg: ends }
      end

      # A roller behind the leg has words of its own.
      def step_words(decision) = decision == :contact && !straightens? ? :contact_behind : decision

      # What the movement does: where it ends, how the roller creeps, the torque at both ends.
      def motion
        return unless family.told.include?(:arm)

        numbers = mechanics.quantities_of(:arm, place)
        {
          ending: says_turning(numbers),
          creep: Creep.says(numbers[:creep_mm]),
          ratio:
            Says.of(
              "motion.ratio",
              start: format("%.2f", numbers[:torque_ratio_start]),
              end: format("%.2f", numbers[:torque_ratio_end])
            )
        }
      end

      def travel_words = %i[start end]
      def sides = along.reverse.map { |side| Says.of("short.direction.#{side}") }

      private

      def says(finding)
        case finding.code
        when :offset
          finding.fault ? off_the_pivot(place.joint, "far_from_pivot") : where(place.joint)
        when :contact
          says_contact(finding)
        when :start
          says_start(finding)
        when :end
          says_end(finding)
        end
      end

      def end_target_deg = mechanics.end_target_deg
      def straightens? = mechanics.straightens?
      def start_target_deg = mechanics.start_target_deg

      def off_the_pivot(knee, key)
        one, other = directions(knee).map { |direction| Says.of("says.direction.#{direction}") }
        Says.of(
          "says.offset.#{key}",
          mm: knee.norm.round,
          direction: other ? Says.of("says.direction.both", one: one, other: other) : one
        )
      end

      # Ahead and behind are other words to somebody who lies.
      def along = mechanics.up.positive? ? %i[ahead behind] : %i[past short_of]

      # The larger component first; the smaller only where it matters.
      def directions(knee)
        named =
          [
            [knee.s.abs, knee.s.positive? ? along.first : along.last],
            [knee.n.abs, (knee.n * mechanics.up).positive? ? :above : :below]
          ].sort_by { |size, _| -size }
        named[1][0] > 0.5 * named[0][0] ? named.map(&:last) : [named[0][1]]
      end

      def short_offset
        Says.of(
          "short.offset",
          mm: place.joint.norm.round,
          direction: Says.of("short.direction.#{directions(place.joint).first}")
        )
      end

      # Where a limit is passed, by how little is seen.
      def short_bend(code)
        bend = mechanics.quantities(place)[family.findings.fetch(code).graded]
        past = mechanics.findings(:arm, place).any? { |finding| finding.code == code && finding.fault }
        Says.of("short.#{code}", deg: signed(past ? bend.round(1) : bend.round))
      end

      def signed(number) = number.to_s.sub("-", "−")

      def says_contact(finding)
        if finding.fault
          return(
            Says.of(
              "says.contact.#{finding.fault}#{"_below" if finding.value.negative?}",
              above: finding.value.abs.round
            )
          )
        end
        return Says.of("says.contact.comfort", above: finding.value.round) if mechanics.by_comfort?
        return Says.of("says.contact.#{contact_words}") if finding.severity.zero?

        Says.of(finding.graded.negative? ? "says.contact.low" : "says.contact.high", mm: finding.graded.abs.round)
      end

      # Behind the leg the roller lies on the tendon, or higher up; in front of it on the shin.
      def contact_words
        high = wishes[:contact_above_ankle_mm] > JUST_ABOVE_ANKLE_MM
        return high ? :right_behind_high : :right_behind unless straightens?
        return :right_high if high

        wishes[:contact_above_ankle_mm] < AT_THE_CREASE_MM ? :right_low : :right
      end

      def says_start(finding)
        return Says.of("says.start.#{start_fault(finding)}") if finding.fault
        return Says.of("says.start.#{start_words}", deg: finding.value.round) if finding.severity.zero?

        Says.of(finding.graded.positive? ? "says.start.deep" : "says.start.shallow", deg: finding.graded.abs.round)
      end

      # A movement that straightens is forced at its end, one that bends at its start.
      def start_fault(finding)
        if finding.fault == :forced_straight && family.traits[:straight][:at] == :end
          :forced_straight_at_end
        else
          finding.fault
        end
      end

      # What a target is called on the floor.
      def start_words
        return :right if start_target_deg.between?(85, 95)

        return :straight if start_target_deg < STRAIGHT_DEG

        start_target_deg < JUST_SHORT_DEG ? :as_wanted : :at
      end

      def says_end(finding)
        return Says.of("says.end.#{finding.fault}") if finding.fault
        return Says.of("says.end.right") if finding.severity.zero?

        Says.of(finding.graded.positive? ? "says.end.deep" : "says.end.shallow", deg: finding.graded.abs.round)
      end

      # Where the client turns back: the bend and the arm's angle there, and what the arc does not reach.
      def says_turning(numbers)
        target, arm, missing = numbers.values_at(:end_target_deg, :end_arm_deg, :end_missing_deg).map(&:round)
        Says.of(
          missing.positive? ? "motion.ends_before" : "motion.ends",
          target: target,
          arm: signed(arm),
          missing: missing
        )
      end
    end
  end
end
