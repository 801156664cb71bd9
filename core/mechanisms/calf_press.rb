# frozen_string_literal: true

module Verglas
  module Mechanisms
    # Calf work on a leg press: one sits as for the press, the balls of the feet on the plate's lower edge, the knees
    # held nearly straight or a little bent while the heels go down and up. Whole feet low on the plate unlatch it
    # before, and would stand on it where it is caught. docs/model.md section 5.
    class CalfPress < LegPress
      TOP_DEG = KneeLever::TOP_DEG
      # To which the heels' lowest place is found (degrees).
      FINE_DEG = 1e-6
      # Where whole feet stand: their heels on the plate's lower edge (mm).
      WHOLE_FEET_MM = 0.0
      BODY_PARAMETERS = LegPress::BODY_PARAMETERS
      RULES = {
        **LegPress::RULES.slice(:recline, :reach),
        **{ stop: :stop_x, rest: :rest_x }.transform_values do |constant|
          Rule.of(constant, constants: 2, follows: { thigh: 1, shank: 1 }) do |press, at|
            press.whole_bottom(at).x_mm + press.hip(at).s - press.slack_target_mm
          end
        end
      }.freeze

      # Where the heels turn: the leg there (Linkages::CalfWork::State).
      Bottom = Struct.new(:state) { def x_mm = state.x_mm }

      def stop_finding = :calf_slack
      def slack_target_mm = band(:calf_slack).target
      def foot_mm(_place) = WHOLE_FEET_MM

      # The knees through the whole set (degrees), within what they may do.
      def top_deg = @top_deg ||= wishes.clamp(:knee_flexion, wishes[:knee_deg])

      # How far the heels may go down and up there (degrees): the ankle bends by as much as the shin leans beside.
      def heel_drop_deg(place) = stance(place).once(:heel_drop) { nearest(place, within(wishes[:heel_drop_deg])) }
      def heels_up_deg(place) = stance(place).once(:heels_up) { nearest(place, within(TOP_DEG)) }

      # Where the heels turn today.
      def bottom_deg(place) = today_deg(heels_up_deg(place), heel_drop_deg(place))
      def range_left_deg(place) = heel_drop_deg(place) - heels_up_deg(place)
      def end_limited? = within(wishes[:heel_drop_deg]) != wishes[:heel_drop_deg]

      def bottom(place) = stance(place).once(:bottom) { Bottom.new(posed(place, bottom_deg(place))) }
      def whole_bottom(place) = stance(place).once(:whole_bottom) { Bottom.new(posed(place, heel_drop_deg(place))) }
      def turning(place) = bottom(place).state
      def top(place) = stance(place).once(:top) { posed(place, heels_up_deg(place)) }

      def along(place, share)
        posed(place, bottom_deg(place) + ((heels_up_deg(place) - bottom_deg(place)) * share))
      end

      # How far the plate stays off its stop, or off its rest (mm).
      def slack_mm(place, bottom = whole_bottom(place)) = bottom.x_mm - from_hip(place, ends)

      def findings(group, place) = group == :joint ? [stop(place), *further(place), range_left(place)] : []

      def quantities_of(group, place)
        return load_quantities(place) unless group == :joint

        {
          heel_drop_deg: heel_drop_deg(place),
          knee_bend_deg: top_deg,
          range_left_deg: range_left_deg(place),
          x_bottom_mm: bottom(place).x_mm,
          slack_mm: slack_mm(place),
          hip_at_stop_deg: stopped(place).hip_bend_deg,
          **force_quantities(place),
          **further_quantities(place)
        }
      end

      def numbers(names, place) = quantities(place).values_at(*names)
      def settled(_place) = {}

      # What the client decides, and the whole feet where the plate is caught.
      def ranges(place)
        low = turning(place)
        high = top(place)
        at_stop = stopped(place)
        {
          knee_flexion: [*free(:knee_flexion, bottom: low.knee_bend_deg), caught(:knee_flexion, at_stop.knee_bend_deg)],
          hip_flexion: [
            *free(:hip_flexion, bottom: low.hip_bend_deg, top: high.hip_bend_deg),
            caught(:hip_flexion, at_stop.hip_bend_deg)
          ],
          ankle_dorsiflexion: free(:ankle_dorsiflexion, bottom: low.ankle_bend_deg, top: high.ankle_bend_deg),
          heel_drop: free(:heel_drop, bottom: low.drop_deg, top: high.drop_deg)
        }
      end

      def limits_at(_place, _share) = {}

      def efforts(place) = of_the_longest { |share| { ankle: along(place, share).ankle_lever_mm } }

      # On the foot, which turns with the heel: from the heels lowest.
      def laid(place)
        Motion::Laid.new(on: :foot, from_deg: bottom_deg(place), upto_deg: heels_up_deg(place), lowers_first: false)
      end

      def lead(place)
        Lead.new(motion: :heel_drop, from_deg: bottom_deg(place), upto_deg: heels_up_deg(place))
      end

      def share_at(place, deg) = lead(place).share(deg)
      def agreed(_place) = nil

      private

      def posed(place, drop_deg) = Linkages::CalfWork.state(leg(place), drop_deg: drop_deg, bend_deg: top_deg)

      def within(deg) = wishes.clamp(:heel_drop, deg)

      # The drop nearest to a wanted one with which the ankle stays within its own limits: it grows with the drop.
      def nearest(place, wanted_deg)
        bent = ->(drop) { posed(place, drop).ankle_bend_deg }
        return wanted_deg if within_ankle(bent[wanted_deg]) == bent[wanted_deg]

        allowed = within_ankle(bent[wanted_deg])
        low, high = [TOP_DEG, wanted_deg, -TOP_DEG].minmax
        while high - low > FINE_DEG
          middle = (low + high) / 2.0
          bent[middle] > allowed ? high = middle : low = middle
        end
        low
      end

      def within_ankle(deg) = [wishes.clamp(:ankle_dorsiflexion, deg), ankle_limit_deg].min

      def free(motion, **ends)
        ends.map { |at, deg| Reached.new(at: at, deg: deg, forced: false, target_deg: wishes.clamp(motion, deg)) }
      end

      def caught(motion, deg)
        Reached.new(at: :stop, deg: deg, forced: true, target_deg: wishes.clamp(motion, deg))
      end

      def stop(place)
        slack = slack_mm(place)
        grade(stop_finding, slack, slack, stop_fault(stopped(place)) || place_fault(place))
      end

      # The plate's edge has to be where the leg can lie along to it, and a back that is to be upright upright.
      def place_fault(place)
        return :not_upright if reclined_too_far?(place)

        :edge_out_of_reach unless edge_reached?(place)
      end

      def edge_reached?(place)
        [heel_drop_deg(place), heels_up_deg(place)].all? do |drop|
          Linkages::CalfWork.x_mm(leg(place), drop_deg: drop, bend_deg: top_deg)
        end
      end
    end
  end
end
