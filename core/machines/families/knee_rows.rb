# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # Rows that families of knee machines share: a knee fitted to a pivot, a roller on an arm about it that meets the
      # lower leg. A family's declaration extends itself with them and calls those it has, in its own order.
      # docs/model.md sections 3 and 4.
      module KneeRows
        # On a seat with a back pad.
        def seat
          sits
          joint :hip_flexion, held_deg: 90.0
          constant :pivot_above_seat, mm: -50..300, usual: 30..110, group: :joint, tape: %i[seat_below_pivot pivot]
          constant :back_face, mm: -1000..-150, usual: -680..-360, group: :joint, tape: %i[back_pad pivot_at_back_pad]
          constant :seat_edge, mm: -500..200, usual: -230..0, group: :joint, tape: %i[seat_edge seat_below_pivot]
          adjuster :back_pad, drives: { back_face: 1 }, decides: :pivot, beside: { whole_seat: :crease }, stage: :joint
          adjuster :whole_seat, drives: { back_face: 1, seat_edge: 1 }, decides: :pivot, stage: :joint
          adjuster :seat_length, drives: { seat_edge: 1 }, decides: :crease, stage: :support
          adjuster :seat_height, drives: { pivot_above_seat: -1 }, decides: :height, stage: :joint, first: true
          choice :cushion_back_mm, how: :if_needed, makers: true
          choice :cushion_seat_mm, how: :if_needed, makers: true
        end

        # At the start the machine forces the knee; where a stop can be set, at the end too. start, finish: ranges of
        # the arm's angles.
        def arm(start:, finish:)
          joint :knee_flexion, forced: :start, free: :end, stop: :end_angle, group: :arm
          constant :roller_reach, mm: 100..700, usual: 200..480, group: :arm, tape: %i[pivot roller]
          constant :roller_radius, mm: 15..150, usual: 35..80, group: :arm, tape: %i[roller roller_edge]
          constant :start_angle, **start, group: :arm, tape: %i[pivot along start_arm]
          constant :end_angle, **finish, group: :arm, tape: %i[pivot along end_arm]
          adjuster :roller, drives: { roller_reach: 1 }, decides: :contact, stage: :far
          adjuster :start, unit: :deg, drives: { start_angle: 1 }, decides: :start, stage: :range
          adjuster :end, unit: :deg, drives: { end_angle: 1 }, decides: :end, stage: :range
        end

        def thigh_pad
          constant :thigh_pad_front,
                   mm: -400..100,
                   usual: -140..-20,
                   group: :thigh_pad,
                   tape: %i[thigh_pad_edge pivot_at_thigh_pad]
          constant :thigh_pad_height,
                   mm: 20..350,
                   usual: 60..170,
                   group: :thigh_pad,
                   tape: %i[seat_below_thigh_pad thigh_pad_under]
          adjuster :thigh_pad, drives: { thigh_pad_height: 1 }, decides: :thigh_press, stage: :near
          adjuster :thigh_pad_along, drives: { thigh_pad_front: 1 }, decides: :kneecap, stage: :near
          wish :thigh_press_mm, default: Declaration::BANDS[:thigh_press].target
        end

        # The house rules that say where the roller touches, where it starts and where it ends.
        def aims(roller:, start:, finish:)
          wish :contact_above_ankle_mm, default: usual_of(roller, :contact_above_ankle_mm), stricter: :max
          wish :contact_by_comfort, default: 0, stricter: :min
          grows
          wish :start_bend_deg, default: usual_of(start, :start_bend_deg)
          wish :end_bend_deg, default: usual_of(finish, :end_bend_deg)
        end

        # mends: what brings the knee nearer to the pivot, too far back and too far forward, too low and too high.
        def offset_found(rests_on:, set_by:, mends:)
          finding :offset,
                  graded: :offset_mm,
                  plane: %i[knee_s_mm knee_n_mm],
                  group: :joint,
                  rests_on: rests_on,
                  set_by: set_by,
                  mends: mends,
                  guarded: {
                    far_from_pivot: :knee
                  }
        end

        def seated_offset_found
          offset_found rests_on: %i[back_face pivot_above_seat],
                       set_by: %i[height pivot],
                       mends: [%i[cushion_behind_back back_pad_further_back], %i[cushion_on_seat lower_seat]]
        end

        def crease_gap_found
          finding :crease_gap,
                  graded: :crease_gap_mm,
                  group: :joint,
                  rests_on: %i[back_face seat_edge],
                  set_by: %i[crease support],
                  mends: %i[cushion_behind_back longer_seat]
        end

        def contact_found
          finding :contact,
                  graded: :above_ankle_mm,
                  group: :arm,
                  rests_on: %i[roller_reach roller_radius],
                  set_by: %i[contact],
                  mends: %i[shorter_roller_arm longer_roller_arm]
        end

        def thigh_pad_found
          finding :kneecap_gap,
                  graded: :kneecap_gap_mm,
                  group: :thigh_pad,
                  rests_on: %i[thigh_pad_front],
                  set_by: %i[thigh_press kneecap],
                  mends: %i[seat_forward seat_back],
                  never: %i[on_the_kneecap]
          finding :thigh_press,
                  graded: :thigh_press_mm,
                  group: :thigh_pad,
                  rests_on: %i[thigh_pad_height],
                  set_by: %i[thigh_press],
                  mends: %i[lower_thigh_pad raise_thigh_pad],
                  by_hand: {
                    thigh_depth: 10
                  }
        end

        # Seated, what the hamstrings leave.
        def hamstrings = wish(:knee_straight_deg, stricter: :max, measured_as: :knee_straight)

        def arc_found
          past = %i[past_knee_bend_limit past_straight_limit]
          finding :start,
                  graded: :knee_bend_start_deg,
                  group: :arm,
                  rests_on: %i[start_angle],
                  set_by: %i[start],
                  mends: %i[start_further_back start_nearer_straight],
                  never: past
          finding :end,
                  graded: :knee_bend_end_deg,
                  group: :arm,
                  rests_on: %i[end_angle],
                  set_by: %i[end],
                  mends: %i[end_further_bent end_nearer_straight],
                  never: past,
                  where_driven: :end_angle
          range_found group: :arm, rests_on: %i[start_angle end_angle roller_reach]
        end
      end
    end
  end
end
