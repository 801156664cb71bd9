# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # Rows that the families share on which the load hangs from a belt. docs/model.md section 5.
      module BeltRows
        # Its joints and lengths, what is aimed at and what is chosen with it.
        def hangs
          joint :knee_flexion, free: :bottom
          joint :hip_flexion, free: :bottom
          joint :ankle_dorsiflexion, free: :bottom
          constant :belt_drop, mm: 0..500, usual: 80..250, group: :joint, tape: %i[hip_bone ring]
          constant :hook_length, mm: 0..400, usual: 0..120, group: :joint, tape: %i[ring chain_top]
          constant :link_pitch, mm: 5..150, usual: 15..60, group: :joint, tape: %i[chain_top next_link]
          constant :links, count: 1..60, usual: 6..30, group: :joint
          constant :catch_height, mm: 0..1500, usual: 300..800, group: :joint, tape: %i[floor_below load_on_catch]
          constant :lowest_anchor, mm: 0..1000, usual: 50..300, group: :joint, tape: %i[floor_below load_lowest]
          wish :target_bend_deg, default: Tables[:press][:depth][:right_angle_deg], stricter: :min
          grows
          wish :hip_limit_deg, stricter: :min, measured_as: :hip_bend
          wish :ankle_limit_deg, stricter: :min, measured_as: :ankle
          shod
          choice :link, how: :placed, stage: :range, step: 1
          choice :mat_mm, how: :if_needed, makers: true, mends: %i[chain_lift chain_bottom]
        end

        def chain_findings
          finding :chain_lift,
                  graded: :lift_mm,
                  group: :joint,
                  rests_on: %i[catch_height belt_drop],
                  set_by: %i[link],
                  mends: %i[chain_shorter chain_longer]
          finding :chain_bottom,
                  graded: :bottom_room_mm,
                  group: :joint,
                  rests_on: %i[lowest_anchor belt_drop],
                  set_by: %i[link],
                  mends: %i[chain_shorter chain_longer]
          finding :chain_clip,
                  graded: :clip_room_mm,
                  shown: :clip_squat_mm,
                  group: :joint,
                  rests_on: %i[catch_height belt_drop],
                  set_by: %i[link],
                  mends: %i[chain_longer chain_shorter],
                  never: %i[clips_too_deep]
          finding :squat_depth,
                  band: :knee_depth,
                  graded: :depth_room_deg,
                  shown: :knee_bend_deg,
                  group: :joint,
                  rests_on: %i[belt_drop],
                  set_by: [],
                  mends: [nil, nil],
                  weighs: false
          range_found rests_on: %i[belt_drop]
        end
      end
    end
  end
end
