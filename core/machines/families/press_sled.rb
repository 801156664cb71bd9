# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # Leg press on an inclined sled: a back that reclines, stops that catch the sled, a latch that must be reached.
      PressSled =
        define(:press_sled, mechanism: :leg_press, ends: :stop_x) do
          extend RailRows

          action :press
          purpose :whole_leg
          tags yes: %i[loads_knee loads_hip loads_back loads_foot on_a_plate caught presses],
               no: %i[loads_calf head_down face_down hinges hangs_from_hips hacks kneels]
          leg_moves
          corner_and_plate
          sled_on_stops
          rail_wishes
          depth_found %i[trunk_angle plate_angle plate_y], set_by: %i[recline]
          stop_found set_by: %i[recline]
          latch_found %i[latch_x], set_by: %i[recline foot_mm]
          feet_found
          range_found rests_on: %i[trunk_angle plate_angle plate_y]
        end
    end
  end
end
