# frozen_string_literal: true

module Verglas
  module Telling
    # What presses and squats on a rail say of themselves.
    class Rail < Voice
      # What would open a window that nothing is left of, by what can be had.
      HELP = {
        [] => :closed_alone,
        %i[recline] => :closed_recline,
        %i[wedge] => :closed_wedge,
        %i[recline wedge] => :closed_recline_wedge
      }.freeze

      # What a step of an adjuster, or of the feet, would show.
      def short(decision)
        case decision
        when :stance_mm, :turn_deg
          nil
        when :recline, :foot_mm
          Says.of("short.recline", deg: at_most(bottom.state.knee_bend_deg), hip: at_most(bottom.state.hip_bend_deg))
        when :reach
          Says.of(latch_room.negative? ? "short.reach.short" : "short.reach.right", mm: latch_room.abs.round)
        when :rest
          Says.of(slack_mm.negative? ? "short.rest.deep" : "short.rest.clear", mm: slack_mm.abs.round)
        else
          Says.of(slack_mm.negative? ? "short.stop.cuts" : "short.stop.below", mm: slack_mm.abs.round)
        end
      end

      # As deep as it goes with the feet where they stand: where a caution or a clinician set the hip's limit, with
      # that.
      def ends
        deg = at_most(mechanics.told? ? turning_bend_deg : aimed_deg)
        given = wishes.hard.to(:hip_flexion)
        limited = mechanics.told? ? bottom.by != :target : mechanics.end_limited?
        [
          Says.of(limited ? "allowed.knees_to" : "allowed.knees_wanted", deg: deg),
          (Says.of("allowed.hips_at_most", deg: at_most(given)) if given)
        ].compact
      end

      def starts
        mechanics.lowest_knee_deg && Says.of("allowed.knees_never_straighter", deg: at_least(mechanics.top_deg))
      end
      def aimed_deg = [wishes[:target_bend_deg], mechanics.knee_limit_deg].compact.min

      # The bottom in three bends; and how the effort is shared.
      def motion
        return unless family.told.include?(:joint)

        state = mechanics.turning(place)
        {
          ending:
            Says.of(
              "motion.bottom",
              **{
                knee: state.knee_bend_deg,
                hip: state.hip_bend_deg,
                ankle: state.ankle_bend_deg
              }.transform_values { |deg| Mechanisms.whole_deg(deg) }
            ),
          ratio: Says.of("motion.split", **mechanics.split(place, state))
        }
      end

      def step_numbers = { target_deg: at_most(mechanics.told? ? turning_bend_deg : aimed_deg) }

      # What closes each end of the foot window, [lower, upper], as Says.
      def window_says
        mechanics.window(place).ends.zip(%w[below above]).map { |by, side| Says.of("feet.#{side}.#{given(by)}") }
      end

      # Where no place of the feet gives the depth: what closes it, and what would open it; nil where some does.
      def closed_says
        seen = mechanics.window(place)
        return if seen.empty_by.empty?
        return Says.of("feet.closed_plate") if seen.empty_by == [:plate]

        below, above = [seen.empty_by.last, seen.empty_by.first].map { |by| limit_says(by) }
        Says.of(
          "feet.#{opening(seen)}",
          target: at_most(seen.target_deg),
          depth: at_most(seen.depth_deg),
          deg: [at_least(seen.deficit_deg), 1].max,
          below: below,
          above: above
        )
      end

      # A back that has to be upright is not set by what the latch allows.
      def step_words(decision) = decision == :recline && mechanics.upright? ? :recline_upright : decision

      private

      def says(finding)
        case finding.code
        when :knee_depth
          depth_says(finding)
        when :latch_room
          latch_says(finding)
        when :feet_wide
          Says.of("says.feet_wide.#{finding.value.negative? ? :over : :within}", mm: finding.value.abs.round)
        else
          end_says(finding)
        end
      end

      def bottom = mechanics.bottom(place)
      def slack_mm = mechanics.slack_mm(place)
      def turning_bend_deg = mechanics.turning_bend_deg(place)

      # What may be told of opening a window that nothing is left of: help that can be had.
      def opening(seen)
        return :closed_upright if mechanics.upright?

        help = [
          *(:recline if recline_left_deg >= seen.deficit_deg),
          *(:wedge if wishes[:no_wedge].zero? && seen.deficit_deg <= Mechanisms::Rail::TABLE[:wedge][:most_deg])
        ]
        HELP.fetch(help)
      end

      # How much further back the back goes (degrees).
      def recline_left_deg
        if mechanics.machine.constants.key?(:trunk_angle)
          mechanics.machine.reach(:trunk_angle).max - mechanics.trunk_deg(place)
        else
          0.0
        end
      end

      def latch_room = mechanics.further(place).find { |finding| finding.code == :latch_room }.value

      def depth_says(finding)
        return Says.of("says.knee_depth.#{finding.fault}") if finding.fault

        if bottom.by == :today
          whole = at_most(mechanics.whole_bottom(place).bend_deg)
          return Says.of("says.knee_depth.today", bend: at_most(turning_bend_deg), whole: whole)
        end

        bend = at_most(turning_bend_deg)
        by = mechanics.deepest(place).by
        return short_says(finding, bend: bend, by: limit_says(by)) if finding.value.negative?

        whose = bottom.by == :knee ? "allowed" : "wanted"
        if mechanics.rests_early?(place)
          return Says.of("says.knee_depth.rests_#{whose}", bend: bend, bottom: at_most(bottom.bend_deg))
        end

        if by
          Says.of("says.knee_depth.#{whose}", bend: bend, deg: finding.value.floor, by: limit_says(by))
        else
          Says.of("says.knee_depth.#{whose}_freely", bend: bend)
        end
      end

      # Less than the rule has it: because nobody may go further, or wants to, or a degree short of what is wanted.
      def short_says(finding, **said)
        return Says.of("says.knee_depth.allowed_freely", **said) if mechanics.as_allowed?(place)
        return Says.of("says.knee_depth.to_the_limit", **said) if finding.graded.zero?

        Says.of("says.knee_depth.short", deg: [at_least(-finding.value), 1].max, **said)
      end

      # A caution's or a clinician's figure is no pelvis that rolls.
      def limit_says(by) = Says.of("feet.limits.#{given(by)}")

      def given(by) = by == :hip && wishes.hard.to(:hip_flexion) ? :hip_given : by

      def end_says(finding)
        code = finding.code
        if finding.fault
          return Says.of("says.#{code}.#{finding.fault}", **fault_numbers(finding.fault, mechanics.stopped(place)))
        end

        Says.of("says.#{code}.#{end_word(finding, mechanics.band(code).in_line)}", mm: finding.value.abs.round)
      end

      def end_word(finding, in_line)
        return :right if finding.severity.zero?
        return finding.severity > 1 ? :too_late : :late if finding.value > in_line.max

        finding.value.negative? ? :before : :early
      end

      def fault_numbers(fault, state)
        if fault == :past_hip_limit
          return { deg: at_least(state.hip_bend_deg), limit: at_most(mechanics.hip_limit_deg), why: limit_says(:hip) }
        end

        { deg: at_least(state.knee_bend_deg), limit: at_most(mechanics.knee_limit_deg) }
      end

      def latch_says(finding)
        return Says.of("says.latch_room.out_of_reach", mm: finding.value.abs.ceil) if finding.fault

        Says.of(
          finding.severity.zero? ? "says.latch_room.right" : "says.latch_room.on_a_block",
          mm: finding.value.round
        )
      end
    end
  end
end
