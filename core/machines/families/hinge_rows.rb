# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # Rows that the benches share on which a trunk hinges over a pad, and the glute-ham bench. docs/model.md section
      # 6.
      module HingeRows
        FIGURES = Tables[:hinge]

        # What is known of the client (mass_kg: 0 where nobody weighed them), and what is held at the chest.
        def carries_the_body
          wish :mass_kg, default: 0
          shod
          choice :held_kg, how: :added, step: FIGURES[:ready][:weight_step_kg], most: FIGURES[:held_at_most][:kg]
        end

        # An elastic band from the foot plate that helps, or works against (N).
        def takes_bands
          %i[band_help_n band_against_n].each do |name|
            choice name,
                   how: :added,
                   step: FIGURES[:ready][:band_step_n],
                   most: FIGURES[:band][:strongest_n],
                   of: :bands
          end
        end

        # A pad below the crease of the hip, taped from the foot plate, or from a roller that holds the heels so far
        # above the sole.
        def hip_pad(usual:)
          joint :hip_hinge, free: :bottom
          joint :hip_flexion, free: :bottom
          joint :hip_extension, free: :top
          joint :knee_flexion, held_deg: 0.0, soft_to_deg: FIGURES[:knees][:soft_to_deg]
          constant :pad_top, mm: 300..1400, usual: usual, group: :joint, tape: %i[sole pad_edge]
          constant :heel_roller, mm: 0..250, usual: 0..120, default: 0.0, group: :joint, tape: %i[heel_sole heel_roller]
          adjuster :hip_pad, drives: { pad_top: 1 }, decides: :hip_pad, stage: :joint
          wish :gap_mm, default: yield
          grows
          wish :bottom_bend_deg, stricter: :min, measured_as: :hinge
          # 1 where the hips keep the bend of the bottom and the spine moves.
          wish :hips_held, default: 0, stricter: :min
          choice :bottom_deg, how: :placed, stage: :range, step: 5
          carries_the_body
        end

        def hip_gap_found(band)
          finding :hip_gap,
                  band: band,
                  graded: :gap_mm,
                  group: :joint,
                  rests_on: %i[pad_top],
                  set_by: %i[hip_pad],
                  mends: %i[lower_hip_pad raise_hip_pad]
        end

        def bottom_found
          range_found rests_on: %i[pad_top]
          finding :hinge_bottom,
                  band: :bottom_room,
                  graded: :bottom_room_deg,
                  shown: :bottom_deg,
                  group: :joint,
                  rests_on: %i[pad_top],
                  set_by: %i[bottom_deg],
                  mends: [nil, nil],
                  never: %i[past_own_bend]
        end
      end
    end
  end
end
