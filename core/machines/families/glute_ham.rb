# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # Glute-ham raise: the feet planted on a plate, the knees on a pad, a straight body raised about them.
      GluteHam =
        define(:glute_ham, mechanism: :glute_ham) do
          extend HingeRows

          action :glute_ham
          purpose :back_of_thigh_raised
          tags yes: %i[loads_knee loads_hip loads_back loads_foot head_down hinges kneels],
               no: %i[loads_calf face_down hangs_from_hips hacks]
          joint :knee_flexion, free: %i[bottom top]
          joint :hip_flexion, held_deg: 0.0
          joint :hip_extension, held_deg: 0.0
          constant :plate_to_pad, mm: 250..1100, usual: 380..650, group: :joint, tape: %i[sole pad_middle]
          adjuster :foot_plate, drives: { plate_to_pad: 1 }, decides: :knee_place, stage: :joint
          carries_the_body
          takes_bands
          grows
          wish :knee_over_mm, default: usual_of(:glute_ham_knee, :knee_over_mm), stricter: :min
          finding :knee_over_pad,
                  graded: :knee_off_mm,
                  shown: :knee_over_pad_mm,
                  group: :joint,
                  rests_on: %i[plate_to_pad],
                  set_by: %i[knee_place],
                  mends: %i[shorter_plate longer_plate]
          range_found rests_on: %i[plate_to_pad]
        end
    end
  end
end
