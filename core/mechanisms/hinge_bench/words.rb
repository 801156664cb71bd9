# frozen_string_literal: true

module Verglas
  module Mechanisms
    class HingeBench < Mechanism
      # A hinge bench's findings as sentences (Says).
      module Words
        def says(finding, place)
          case finding.code
          when :hip_gap then Says.of("says.hip_gap.#{gap_word(finding, place)}", mm: gap_mm(place).abs.round, next: next_gap_mm(place)&.round)
          when :bench_slope then slope_says(finding, place)
          else bottom_says(finding, place)
          end
        end

        def short(decision, place)
          case decision
          when :hip_pad then Says.of(gap_mm(place).negative? ? "short.hip_pad.blocks" : "short.hip_pad.free", mm: gap_mm(place).abs.round)
          when :bench_angle then Says.of("short.bench_angle", nm: whole(top_nm(place)))
          else Says.of("short.bottom_deg.#{side(trunk_deg(place, bottom_deg(place)))}", deg: trunk_deg(place, bottom_deg(place)).abs.round)
          end
        end

        # How far down, and how soft the knees, where the client's own range asks for it.
        def starts_says(place)
          bend = told? ? bottom_deg(place) : [wishes[:bottom_bend_deg], *own_bends_deg].min
          soft = family.joints.fetch(:knee_flexion).held_within(wishes.envelope)
          [Says.of(end_limited? ? "allowed.hinge_bottom" : "allowed.hinge_bottom_wanted", deg: at_most(bend)), (Says.of("allowed.knees_soft", deg: at_least(soft)) if soft.positive?)].compact
        end

        def ends_says(_place) = top_deg.positive? ? Says.of("allowed.hips_short", deg: at_least(top_deg)) : Says.of("allowed.hips_straight")
        def step_numbers(place) = { top_deg: at_least(top_deg), bottom_deg: told? ? at_most(bottom_deg(place)) : nil }
        def warnings = [Says.of("care.hinge_bench")]

        # Where it ends, and how the tops of other benches compare.
        def motion(place)
          return unless family.told.include?(:joint)

          { ending: Says.of(top_deg.positive? ? "motion.hinge_top_short" : "motion.hinge_top", deg: at_least(top_deg), nm: whole(top_nm(place))), ratio: compared_says(place) }
        end

        # How hard the top is beside the same on other benches (of a level one: beside the bottom).
        def compared_says(place)
          return Says.of("motion.hinge_level", nm: whole(most_nm(place)), bottom: whole(bottom_nm(place))) if level?

          steep, middle, flat = compared_deg.reverse.map { |deg| whole(torque_nm(deg - top_deg)) }
          Says.of(flat ? "motion.hinge_tops" : "motion.hinge_tops_steep", steep: steep, middle: middle, flat: flat)
        end

        def travel_words = %i[bottom straight]

        private

        def slope_says(finding, place)
          Says.of("says.bench_slope.#{finding.fault || :right}", deg: Mechanisms.whole_deg(bench_deg(place)), share: share_of_level(place), least: wishes[:least_angle_deg].round)
        end

        def gap_word(finding, place)
          return finding.fault if finding.fault
          return right_word(next_gap_mm(place)) if finding.severity.zero?

          finding.graded < band(:hip_gap).target ? :small : :wide
        end

        # Between two holes it is said which, and why.
        def right_word(next_mm)
          return :right if next_mm.nil? || next_mm >= least_gap_mm

          next_mm.negative? ? :freer_blocked : :freer
        end

        def bottom_says(finding, place)
          return Says.of("says.hinge_bottom.past_own_bend", deg: at_least(asked_deg(place)), limit: at_most(own_bottom_deg(place))) if finding.fault

          trunk = trunk_deg(place, bottom_deg(place))
          Says.of("says.hinge_bottom.#{side(trunk)}", deg: trunk.abs.round, nm: whole(bottom_nm(place)))
        end

        def side(trunk_deg) = trunk_deg.negative? ? :below : :above

        # Of a hundred of what a level trunk asks.
        def share_of_level(place) = (Math.cos(Geometry::Angle.radians(trunk_deg(place, top_deg))) * 100).round
      end
    end
  end
end
