# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # Rows that abduction and adduction share: somebody sits with the back on a pad and moves the thighs about two
      # pivots, seen from above. docs/model.md section 7.
      module SpreadRows
        # What stands for the limit of somebody nobody has measured, so that the start is the one that is allowed until
        # then (degrees).
        UNMEASURED_DEG = Tables[:spread][:start][:unmeasured_deg] + Body::Margins.short_deg(:adduction_start)

        # start, finish: ranges of the arms' angles, each side from straight ahead, + outwards.
        def seat_between_arms(start:, finish:)
          sits
          joint :hip_flexion, held_deg: 90.0
          joint :knee_flexion, held_deg: 90.0
          constant :back_face, mm: -500..200, usual: -220..0, group: :joint, tape: %i[back_pad seat_reference]
          constant :pivot_depth, mm: -300..300, usual: -80..80, group: :joint, tape: %i[seat_reference pivot_along]
          constant :pivot_half_width, mm: 20..300, usual: 60..140, group: :joint, tape: %i[middle pivot]
          constant :pad_reach, mm: 100..600, usual: 220..420, group: :arm, tape: %i[pivot pad]
          constant :pad_half, mm: 10..150, usual: 25..70, group: :arm, tape: %i[pad pad_face]
          constant :start_angle, **start, group: :arm, tape: %i[pivot ahead start_arm]
          constant :end_angle, **finish, group: :arm, tape: %i[pivot ahead end_arm]
          constant :seat_over_rest, mm: 150..700, usual: 300..520, group: :seat
          set_by_hand
        end

        # What can be set, and what may be added.
        def set_by_hand
          adjuster :back_pad, drives: { back_face: 1 }, decides: :hip_pivot, stage: :joint
          adjuster :spread, unit: :deg, drives: { start_angle: 1 }, decides: :spread_start, stage: :range
          adjuster :foot_rest, drives: { seat_over_rest: -1 }, decides: :thigh_level, stage: :support
          choice :cushion_seat_mm, how: :if_needed, makers: true, mends: :thigh_slope
          choice :foot_rest_mm, how: :if_needed, makers: true, mends: :thigh_slope
          shod
        end

        def spread_found
          finding :hip_offset,
                  band: :offset,
                  graded: :hip_offset_mm,
                  plane: %i[hip_s_mm hip_n_mm],
                  group: :joint,
                  rests_on: %i[back_face pivot_depth pivot_half_width],
                  set_by: %i[hip_pivot],
                  mends: [%i[cushion_behind_back back_pad_further_back], %i[arms_apart arms_apart]]
          finding :spread_start,
                  graded: :thigh_start_deg,
                  group: :arm,
                  rests_on: %i[start_angle pad_reach],
                  set_by: %i[spread_start],
                  mends: %i[start_wider start_narrower],
                  never: %i[past_own_spread past_middle]
          range_found group: :arm, band: :range_left_spread, rests_on: %i[start_angle end_angle pad_reach]
          finding :thigh_slope,
                  graded: :thigh_slope_deg,
                  group: :seat,
                  rests_on: %i[seat_over_rest],
                  set_by: %i[thigh_level support],
                  mends: %i[lower_seat_or_other seat_higher]
        end
      end
    end
  end
end
