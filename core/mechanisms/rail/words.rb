# frozen_string_literal: true

module Verglas
  module Mechanisms
    class Rail < Mechanism
      # What presses and squats on a rail say of themselves.
      module Words
        # What would open a window that nothing is left of, by what can be had.
        HELP = { [] => :closed_alone, %i[recline] => :closed_recline, %i[wedge] => :closed_wedge, %i[recline wedge] => :closed_recline_wedge }.freeze

        def says(finding, place)
          case finding.code
          when :knee_depth then depth_says(finding, place)
          when :latch_room then latch_says(finding)
          when :feet_wide then Says.of("says.feet_wide.#{finding.value.negative? ? :over : :within}", mm: finding.value.abs.round)
          else end_says(finding, place)
          end
        end

        # What a step of an adjuster, or of the feet, would show.
        def short(decision, place)
          case decision
          when :stance_mm, :turn_deg then nil
          when :recline, :foot_mm then Says.of("short.recline", deg: at_most(bottom(place).state.knee_bend_deg), hip: at_most(bottom(place).state.hip_bend_deg))
          when :reach then Says.of(latch_room(place).negative? ? "short.reach.short" : "short.reach.right", mm: latch_room(place).abs.round)
          when :rest then Says.of(slack_mm(place).negative? ? "short.rest.deep" : "short.rest.clear", mm: slack_mm(place).abs.round)
          else Says.of(slack_mm(place).negative? ? "short.stop.cuts" : "short.stop.below", mm: slack_mm(place).abs.round)
          end
        end

        # As deep as it goes with the feet where they stand: where a caution or a clinician set the hip's limit, with that.
        def ends_says(place)
          deg = at_most(told? ? turning_bend_deg(place) : aimed_deg)
          given = wishes.hard.to(:hip_flexion)
          limited = told? ? bottom(place).by != :target : end_limited?
          [Says.of(limited ? "allowed.knees_to" : "allowed.knees_wanted", deg: deg), (Says.of("allowed.hips_at_most", deg: at_most(given)) if given)].compact
        end

        def starts_says(_place) = lowest_knee_deg && Says.of("allowed.knees_never_straighter", deg: at_least(top_deg))
        def aimed_deg = [wishes[:target_bend_deg], knee_limit_deg].compact.min

        # The bottom in three bends; and how the effort is shared.
        def motion(place)
          return unless family.told.include?(:joint)

          state = turning(place)
          { ending: Says.of("motion.bottom", **{ knee: state.knee_bend_deg, hip: state.hip_bend_deg, ankle: state.ankle_bend_deg }.transform_values { |deg| Mechanisms.whole_deg(deg) }),
            ratio: Says.of("motion.split", **split(place, state)) }
        end

        def step_numbers(place) = { target_deg: at_most(told? ? turning_bend_deg(place) : aimed_deg) }

        # What closes each end of the foot window, [lower, upper], as Says.
        def window_says(place)
          window(place).ends.zip(%w[below above]).map { |by, side| Says.of("feet.#{side}.#{given(by)}") }
        end

        # Where no place of the feet gives the depth: what closes it, and what would open it; nil where some does.
        def closed_says(place)
          seen = window(place)
          return if seen.empty_by.empty?
          return Says.of("feet.closed_plate") if seen.empty_by == [:plate]

          below, above = [seen.empty_by.last, seen.empty_by.first].map { |by| limit_says(by) }
          Says.of("feet.#{opening(place, seen)}", target: at_most(seen.target_deg), depth: at_most(seen.depth_deg), deg: [at_least(seen.deficit_deg), 1].max, below: below, above: above)
        end

        # A back that has to be upright is not set by what the latch allows.
        def step_words(decision) = decision == :recline && upright? ? :recline_upright : decision

        private

        # What may be told of opening a window that nothing is left of: help that can be had.
        def opening(place, seen)
          return :closed_upright if upright?

          help = [*(:recline if recline_left_deg(place) >= seen.deficit_deg), *(:wedge if wishes[:no_wedge].zero? && seen.deficit_deg <= TABLE[:wedge][:most_deg])]
          HELP.fetch(help)
        end

        # How much further back the back goes (degrees).
        def recline_left_deg(place) = @machine.constants.key?(:trunk_angle) ? @machine.reach(:trunk_angle).max - trunk_deg(place) : 0.0

        def latch_room(place) = further(place).find { |finding| finding.code == :latch_room }.value

        def depth_says(finding, place)
          return Says.of("says.knee_depth.#{finding.fault}") if finding.fault

          bend = at_most(turning_bend_deg(place))
          by = deepest(place).by
          return short_says(finding, place, bend: bend, by: limit_says(by)) if finding.value.negative?

          whose = bottom(place).by == :knee ? "allowed" : "wanted"
          return Says.of("says.knee_depth.rests_#{whose}", bend: bend, bottom: at_most(bottom(place).bend_deg)) if rests_early?(place)

          by ? Says.of("says.knee_depth.#{whose}", bend: bend, deg: finding.value.floor, by: limit_says(by)) : Says.of("says.knee_depth.#{whose}_freely", bend: bend)
        end

        # Less than the rule has it: because nobody may go further, or wants to, or a degree short of what is wanted.
        def short_says(finding, place, **said)
          return Says.of("says.knee_depth.allowed_freely", **said) if as_allowed?(place)
          return Says.of("says.knee_depth.to_the_limit", **said) if finding.graded.zero?

          Says.of("says.knee_depth.short", deg: [at_least(-finding.value), 1].max, **said)
        end

        # A caution's or a clinician's figure is no pelvis that rolls.
        def limit_says(by) = Says.of("feet.limits.#{given(by)}")
        def given(by) = by == :hip && wishes.hard.to(:hip_flexion) ? :hip_given : by

        def end_says(finding, place)
          code = finding.code
          return Says.of("says.#{code}.#{finding.fault}", **fault_numbers(finding.fault, stopped(place))) if finding.fault

          Says.of("says.#{code}.#{end_word(finding, band(code).in_line)}", mm: finding.value.abs.round)
        end

        def end_word(finding, in_line)
          return :right if finding.severity.zero?
          return finding.severity > 1 ? :too_late : :late if finding.value > in_line.max

          finding.value.negative? ? :before : :early
        end

        def fault_numbers(fault, state)
          return { deg: at_least(state.hip_bend_deg), limit: at_most(hip_limit_deg), why: limit_says(:hip) } if fault == :past_hip_limit

          { deg: at_least(state.knee_bend_deg), limit: at_most(knee_limit_deg) }
        end

        def latch_says(finding)
          return Says.of("says.latch_room.out_of_reach", mm: finding.value.abs.ceil) if finding.fault

          Says.of(finding.severity.zero? ? "says.latch_room.right" : "says.latch_room.on_a_block", mm: finding.value.round)
        end
      end
    end
  end
end
