# frozen_string_literal: true

module Verglas
  module Formats
    module Answers
      # What a document tells of a rail at its top.
      class Rail < Headline
        def report
          state = mechanics.bottom(place).state
          {
            window: told_window,
            foot_mm: mechanics.foot_mm(place),
            knee_bend_deg: state.knee_bend_deg,
            x_bottom_mm: state.x_mm,
            limit: limit,
            slack_mm: mechanics.slack_mm(place),
            state: told_state(state),
            bottom: {
              limit: limit,
              **told_state(state)
            },
            max_bend_deg: mechanics.window(place).greatest_deg,
            hip_x_mm: mechanics.hip(place).s,
            hip_y_mm: mechanics.hip(place).n
          }
        end

        # The leg with the knee bent so far, with what is loaded: what a document of an evaluation tells of one bend
        # (nil: of none).
        def posed(bend_deg:, load_kg:)
          state = mechanics.leg(place).towards_bend(bend_deg, mechanics.foot_mm(place))
          force = mechanics.force_n(place, load_kg)
          torques = state.torques(force)
          { force_n: force, **told_state(state), knee_torque_nm: torques[:knee], hip_torque_nm: torques[:hip] }
        end

        private

        # Bands of depth and of what ends the travel, as that lies; and that it lets a joint past a limit, where it
        # does.
        def severities
          depth, ending = mechanics.findings(:joint, place)
          lies = Machines::SEVERITIES[mechanics.band(ending.code).severity(ending.graded)]
          [depth.band, lies, *(ending.band if ending.fault)]
        end

        # What ends the movement, in a word.
        def limit
          by = mechanics.bottom(place).by
          if by == :target || mechanics.window(place).empty_by.empty?
            by
          else
            mechanics.window(place).empty_by.join("+").to_sym
          end
        end

        def told_window
          seen = mechanics.window(place)
          {
            low_heel_mm: seen.low_mm,
            high_heel_mm: seen.high_mm,
            foot_mm: seen.heel_mm,
            empty: seen.empty?,
            by: seen.empty? ? seen.empty_by.join("+") : seen.ends,
            deficit_deg: seen.deficit_deg,
            depth_deg: seen.depth_deg
          }
        end

        def told_state(state)
          {
            x_mm: state.x_mm,
            distance_mm: state.reach_mm,
            knee_bend_deg: state.knee_bend_deg,
            thigh_deg: state.thigh_deg,
            hip_bend_deg: state.hip_bend_deg,
            ankle_bend_deg: state.ankle_bend_deg,
            past_toes_mm: state.past_toes_mm,
            knee_lever_mm: state.knee_lever_mm,
            hip_lever_mm: state.hip_lever_mm
          }
        end
      end
    end
  end
end
