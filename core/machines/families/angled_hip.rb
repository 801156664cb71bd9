# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # Angled hip extension bench: the thighs on a pad, the heels held, the trunk hinges over the pad's edge. What
      # hangs head down and what does not depends on its angle: a caution asks for a steepest angle instead of barring
      # all of them.
      AngledHip =
        define(:angled_hip, mechanism: :hinge_bench, level: false) do
          extend HingeRows

          action :hip_extension
          purpose :back_of_hip
          tags yes: %i[loads_hip loads_back loads_foot hinges has_hip_pad],
               no: %i[loads_knee loads_calf head_down face_down hangs_from_hips hacks kneels]
          hip_pad(usual: 650..1050) { Declaration::BANDS[:hip_gap_angled].target }
          takes_bands
          constant :bench_angle, deg: 0..80, usual: 25..65, group: :joint, tape: %i[sole level_ahead bench_up]
          adjuster :bench_angle, unit: :deg, drives: { bench_angle: 1 }, decides: :bench_angle, stage: :joint
          # As steep as it goes, unless a flatter one was shown clean; and how steep it has to be.
          wish :angle_deg, default: 90, stricter: :max
          wish :least_angle_deg, default: 0, stricter: :max
          hip_gap_found :hip_gap_angled
          finding :bench_slope,
                  graded: :slope_room_deg,
                  shown: :bench_angle_deg,
                  group: :joint,
                  rests_on: %i[bench_angle],
                  set_by: %i[bench_angle],
                  mends: [nil, nil],
                  never: %i[too_flat]
          bottom_found
        end
    end
  end
end
