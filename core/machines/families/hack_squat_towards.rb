# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # Hack squat, facing the pad: back of the thigh and hip. Only what can be claimed: the reach to the latch.
      HackSquatTowards =
        define(:hack_squat_towards, mechanism: :hack_reach) do
          extend RailRows

          action :squat
          purpose :hip_standing
          tags yes: %i[loads_knee loads_hip loads_back loads_foot hacks caught squats],
               no: %i[loads_calf head_down face_down hinges hangs_from_hips kneels]
          %i[knee_flexion hip_flexion ankle_dorsiflexion].each { |motion| joint motion, by_eye: :facing_the_pad }
          constant :rail_incline, deg: -10..90, usual: 0..60, group: :joint, tape: %i[rail_low rail_level rail_high]
          constant :plate_angle, deg: 30..130, usual: 55..95, group: :joint, tape: %i[plate_low plate_ahead plate_top]
          constant :latch_to_feet,
                   mm: 400..2400,
                   usual: 950..1650,
                   group: :joint,
                   tape: %i[shoulder_on_rail feet_at_latch]
          constant :sled_mass, kg: 0..300, usual: 20..120, group: :load
          sinks
          adjuster :shoulders_to_feet, drives: { latch_to_feet: 1 }, decides: :reach, stage: :joint
          shod
          wish :sink_mm, default: 0
          # How deep is seen by eye, and written down as the way of the carriage: no angle is claimed.
          choice :carriage_down_mm, how: :added, stage: :range, step: 20, most: 800
          choice :block_mm, how: :if_needed, makers: true, mends: :latch_room
          latch_found %i[latch_to_feet plate_angle]
        end
    end
  end
end
