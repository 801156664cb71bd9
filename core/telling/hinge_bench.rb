# frozen_string_literal: true

module Verglas
  module Telling
    # A hinge bench's findings as sentences (Says).
    class HingeBench < Voice
      def short(decision)
        case decision
        when :hip_pad
          Says.of(gap_mm.negative? ? "short.hip_pad.blocks" : "short.hip_pad.free", mm: gap_mm.abs.round)
        when :bench_angle
          Says.of("short.bench_angle", nm: mechanics.whole(mechanics.top_nm(place)))
        else
          Says.of(
            "short.bottom_deg.#{side(mechanics.trunk_deg(place, bottom_deg))}",
            deg: mechanics.trunk_deg(place, bottom_deg).abs.round
          )
        end
      end

      # How far down, and how soft the knees, where the client's own range asks for it.
      def starts
        bend =
          (
            if mechanics.told?
              bottom_deg
            else
              mechanics.today_deg(top_deg, [wishes[:bottom_bend_deg], *mechanics.own_bends_deg].min)
            end
          )
        soft = family.joints.fetch(:knee_flexion).held_within(wishes.envelope)
        [
          Says.of("allowed.#{bottom_word}", deg: at_most(bend)),
          (Says.of("allowed.knees_soft", deg: at_least(soft)) if soft.positive?)
        ].compact
      end

      def ends
        return Says.of("allowed.spine_straight") if mechanics.held?

        top_deg.positive? ? Says.of("allowed.hips_short", deg: at_least(top_deg)) : Says.of("allowed.hips_straight")
      end
      def step_numbers = { top_deg: at_least(top_deg), bottom_deg: mechanics.told? ? at_most(bottom_deg) : nil }
      def step_words(decision) = decision == :bottom_deg && mechanics.held? ? :bottom_deg_held : decision
      def warnings = [Says.of("care.hinge_bench")]

      # Where it ends, and how the tops of other benches compare.
      def motion
        return unless family.told.include?(:joint)

        return held_motion if mechanics.held?

        {
          ending:
            Says.of(
              top_deg.positive? ? "motion.hinge_top_short" : "motion.hinge_top",
              deg: at_least(top_deg),
              nm: mechanics.whole(mechanics.top_nm(place))
            ),
          ratio: compared_says
        }
      end

      # How hard the top is beside the same on other benches (of a level one: beside the bottom).
      def compared_says
        if mechanics.level?
          return(
            Says.of(
              "motion.hinge_level",
              nm: mechanics.whole(mechanics.most_nm(place)),
              bottom: mechanics.whole(mechanics.bottom_nm(place))
            )
          )
        end

        steep, middle, flat =
          mechanics.compared_deg.reverse.map { |deg| mechanics.whole(mechanics.torque_nm(deg - top_deg)) }
        Says.of(flat ? "motion.hinge_tops" : "motion.hinge_tops_steep", steep: steep, middle: middle, flat: flat)
      end

      def travel_words = %i[bottom straight]

      private

      def says(finding)
        case finding.code
        when :hip_gap
          Says.of("says.hip_gap.#{gap_word(finding)}", mm: gap_mm.abs.round, next: mechanics.next_gap_mm(place)&.round)
        when :bench_slope
          slope_says(finding)
        else
          bottom_says(finding)
        end
      end

      def held_motion = { ending: Says.of("motion.hips_held", **held), ratio: Says.of("motion.spine_light") }
      def held = { deg: at_most(bottom_deg), nm: mechanics.whole(mechanics.bottom_nm(place)) }

      def bottom_word
        return :hips_held if mechanics.held?

        mechanics.end_limited? ? :hinge_bottom : :hinge_bottom_wanted
      end

      def top_deg = mechanics.top_deg
      def bottom_deg = mechanics.bottom_deg(place)
      def gap_mm = mechanics.gap_mm(place)

      def slope_says(finding)
        Says.of(
          "says.bench_slope.#{finding.fault || :right}",
          deg: Mechanisms.whole_deg(mechanics.bench_deg(place)),
          share: share_of_level,
          least: wishes[:least_angle_deg].round
        )
      end

      def gap_word(finding)
        return finding.fault if finding.fault
        return right_word(mechanics.next_gap_mm(place)) if finding.severity.zero?

        finding.graded < mechanics.band(:hip_gap).target ? :small : :wide
      end

      # Between two holes it is said which, and why.
      def right_word(next_mm)
        return :right if next_mm.nil? || next_mm >= mechanics.least_gap_mm

        next_mm.negative? ? :freer_blocked : :freer
      end

      def bottom_says(finding)
        if finding.fault
          return(
            Says.of(
              "says.hinge_bottom.past_own_bend",
              deg: at_least(mechanics.asked_deg(place)),
              limit: at_most(mechanics.own_bottom_deg(place))
            )
          )
        end

        trunk = mechanics.trunk_deg(place, bottom_deg)
        Says.of(
          "says.hinge_bottom.#{side(trunk)}",
          deg: trunk.abs.round,
          nm: mechanics.whole(mechanics.bottom_nm(place))
        )
      end

      def side(trunk_deg) = trunk_deg.negative? ? :below : :above

      # Of a hundred of what a level trunk asks.
      def share_of_level
        (Math.cos(Geometry::Angle.radians(mechanics.trunk_deg(place, mechanics.end_deg(place)))) * 100).round
      end
    end
  end
end
