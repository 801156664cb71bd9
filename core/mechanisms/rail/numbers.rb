# frozen_string_literal: true

module Verglas
  module Mechanisms
    class Rail < Mechanism
      # Every number that a rail tells: at the bottom, of the window of the feet, of what ends the travel.
      module Numbers
        # What findings stand on; each is a method too.
        GRADED_ON = %i[
          knee_bend_deg
          depth_room_deg
          slack_mm
          latch_room_mm
          range_left_deg
          feet_wide_mm
          turning_bend_deg
        ].freeze

        def quantities_of(group, place)
          return { feet_wide_mm: feet_wide_mm(place) } if group == :width
          return load_quantities(place) unless group == :joint

          {
            **window_quantities(place),
            **leg_quantities(bottom(place).state),
            **end_quantities(place),
            **force_quantities(place),
            **further_quantities(place)
          }
        end

        def numbers(names, place) = (names - GRADED_ON).empty? ? names.map { |name| public_send(name, place) } : super

        # How much deeper than wanted the movement could go (degrees of knee bend).
        def depth_room_deg(place) = deepest(place).bend_deg - window(place).target_deg
        def knee_bend_deg(place) = bottom(place).bend_deg
        # Where the movement turns, at the bottom or where the stack rests before it.
        def turning_bend_deg(place) = turning(place).knee_bend_deg

        private

        def end_quantities(place)
          {
            turning_bend_deg: turning_bend_deg(place),
            slack_mm: slack_mm(place),
            depth_room_deg: depth_room_deg(place),
            range_left_deg: range_left_deg(place),
            hip_at_stop_deg: stopped(place).hip_bend_deg,
            hip_share: hip_share(place)
          }
        end

        def leg_quantities(state)
          {
            knee_bend_deg: state.knee_bend_deg,
            hip_bend_deg: state.hip_bend_deg,
            ankle_bend_deg: state.ankle_bend_deg,
            past_toes_mm: state.past_toes_mm,
            x_bottom_mm: state.x_mm,
            knee_lever_mm: state.knee_lever_mm,
            hip_lever_mm: state.hip_lever_mm
          }
        end

        def window_quantities(place)
          {
            low_heel_mm: window(place).low_mm,
            high_heel_mm: window(place).high_mm,
            foot_mm: foot_mm(place),
            feet_off_middle_mm: foot_mm(place) - window(place).heel_mm,
            plate_over_foot_mm: place[:plate_length] - body.foot - foot_mm(place)
          }
        end
      end
    end
  end
end
