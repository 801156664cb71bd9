# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # Leg press seated with a stack: the seat decides how deep it begins, for the plate rests there by itself.
      PressStack =
        define(:press_stack, mechanism: :leg_press, ends: :rest_x) do
          extend RailRows

          action :press
          purpose :whole_leg
          tags yes: %i[loads_knee loads_hip loads_back loads_foot on_a_plate presses],
               no: %i[loads_calf head_down face_down hinges hangs_from_hips hacks kneels]
          leg_moves
          corner_and_plate
          stack_at_rest
          rail_wishes
          depth_found %i[trunk_angle plate_angle plate_y], set_by: %i[recline]
          finding :rest_slack,
                  graded: :slack_mm,
                  group: :joint,
                  rests_on: %i[rest_x],
                  set_by: %i[rest foot_mm recline],
                  mends: %i[seat_further seat_nearer],
                  never: %i[past_hip_limit past_knee_limit]
          feet_found
          range_found rests_on: %i[trunk_angle plate_angle plate_y]
        end
    end
  end
end
