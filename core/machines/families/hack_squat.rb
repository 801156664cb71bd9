# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # Hack squat, facing away: shoulders under pads on a carriage, feet on a plate that stands.
      HackSquat =
        define(:hack_squat, mechanism: :hack_squat, ends: :stop_x) do
          extend RailRows

          action :squat
          purpose :whole_leg_standing
          tags yes: %i[loads_knee loads_hip loads_back loads_foot hacks on_a_plate caught squats],
               no: %i[loads_calf head_down face_down hinges hangs_from_hips kneels]
          leg_moves
          plate usual_y: 0..350
          constant :stop_x, mm: 200..2000, usual: 700..1200, group: :joint, tape: %i[shoulder_on_rail plate_on_stop]
          constant :latch_distance,
                   mm: 400..2200,
                   usual: 900..1450,
                   group: :joint,
                   tape: %i[shoulder_on_rail plate_on_latch]
          constant :sled_mass, kg: 0..300, usual: 20..120, group: :load
          sinks
          adjuster :shoulders, drives: { stop_x: 1, latch_distance: 1 }, decides: :reach, stage: :joint
          adjuster :stop, drives: { stop_x: 1 }, decides: :stop, stage: :range
          rail_wishes
          wish :sink_mm, default: 0
          choice :block_mm, how: :if_needed, makers: true, mends: :latch_room
          depth_found %i[plate_angle plate_y plate_length]
          stop_found
          latch_found %i[latch_distance plate_y], set_by: %i[foot_mm]
          feet_found
          range_found rests_on: %i[plate_angle plate_y plate_length]
        end
    end
  end
end
