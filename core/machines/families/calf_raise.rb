# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # Seated calf raise: the forefeet on a block, a pad on a lever over the thighs just behind the knees. Marks of the
      # pad go with how high it stands on its lowest stop. docs/model.md section 5, last paragraph.
      CalfRaise =
        define(:calf_raise, mechanism: :knee_lever) do
          action :calf
          purpose :calf
          tags yes: %i[loads_calf loads_foot pad_on_knees],
               no: %i[loads_knee loads_hip loads_back head_down face_down hinges hangs_from_hips hacks kneels]
          sits
          joint :heel_drop, free: %i[bottom top]
          joint :ankle_dorsiflexion, free: %i[bottom top]
          joint :knee_flexion, held_deg: 90.0
          joint :hip_flexion, held_deg: 90.0
          constant :pad_above_block, mm: 200..900, usual: 400..560, group: :joint, tape: %i[block pad_under]
          constant :catch_rise, mm: 5..200, usual: 30..90, group: :catch, tape: %i[pad_under pad_on_catch]
          adjuster :knee_pad, drives: { pad_above_block: 1 }, decides: :knee_pad, stage: :near
          grows
          wish :heel_drop_deg, measured_as: :heel_drop
          shod
          finding :pad_slack,
                  graded: :slack_mm,
                  group: :joint,
                  rests_on: %i[pad_above_block],
                  set_by: %i[knee_pad],
                  mends: %i[lower_knee_pad raise_knee_pad]
          # Told and graded, but the marks are chosen without it: the pad's stop lies just below the heels' lowest
          # place.
          finding :catch_clear,
                  graded: :clears_mm,
                  group: :catch,
                  rests_on: %i[catch_rise pad_above_block],
                  set_by: %i[knee_pad],
                  mends: %i[lower_knee_pad raise_knee_pad],
                  weighs: false
          range_found rests_on: %i[pad_above_block]
        end
    end
  end
end
