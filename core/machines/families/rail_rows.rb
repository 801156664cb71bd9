# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # Rows that the families on a rail share. docs/model.md section 5.
      module RailRows
        FIGURES = Tables[:press]

        # A plate from its lower edge: how it leans, how long, how high; whole: whether what lies above its edge has a
        # say, and is not only drawn.
        def plate(usual_y:, whole: true)
          constant :rail_incline, deg: -10..90, usual: 0..60, group: :joint, tape: %i[rail_low rail_level rail_high]
          constant :plate_angle, deg: 30..130, usual: 55..95, group: :joint, tape: %i[plate_low plate_ahead plate_top]
          constant :plate_length,
                   mm: 150..1200,
                   usual: 350..800,
                   group: (:joint if whole),
                   optional: !whole,
                   tape: %i[plate_low plate_top]
          constant :plate_width, mm: 200..1500, usual: 350..1000, group: :width, optional: true if whole
          constant :plate_y, mm: -600..800, usual: usual_y, group: :joint, tape: %i[plate_level plate_low]
        end

        # How far pads and shoulders give under 100 kg.
        def sinks = constant(:sink_per_100_kg, mm: 0..100, usual: 0..40, default: 0.0, group: :joint)

        def leg_moves
          joint :knee_flexion, free: :bottom, forced: :stop
          joint :hip_flexion, free: :bottom, forced: :stop
          joint :ankle_dorsiflexion, free: :bottom
        end

        # What is aimed at, and what holds of the client until it is measured. toes: how far the knee may come, 0 over
        # the ankle, 1 up to the toes, 2 past them; lowest_share: of the plate, below which no heel shall stand;
        # foot_share: of their window, where the feet stand; upright: 1 where the back is to be; fully_back: 1 where it
        # is to go back as far as it goes; no_wedge: 1 where nothing may lie under the heels.
        def rail_wishes
          wish :target_bend_deg, default: FIGURES[:depth][:right_angle_deg], stricter: :min
          grows
          wish :toes, default: usual_of(:knees_toes, :toes), stricter: :min
          wish :hip_limit_deg, stricter: :min, measured_as: :hip_bend
          wish :ankle_limit_deg, stricter: :min, measured_as: :ankle
          wish :lowest_share, default: 0, stricter: :max
          wish :foot_share, default: FIGURES[:foot_share][:even]
          wish :upright, default: 0, stricter: :max
          wish :fully_back, default: 0, stricter: :min
          wish :no_wedge, default: 0, stricter: :max
          shod
          choice :foot_mm, how: :placed, stage: :far, step: 10
          choice :stance_mm, how: :placed, step: 20
          choice :turn_deg, how: :placed, step: 5
        end

        # One sits in a corner of seat and back before a plate on a rail.
        def corner_and_plate(whole: true)
          sits
          constant :trunk_angle, deg: 60..175, usual: 90..140, group: :joint, tape: %i[corner rail_ahead back_top]
          constant :seat_angle, deg: -40..60, usual: -10..30, group: :joint, tape: %i[corner rail_ahead seat_front]
          plate usual_y: -250..150, whole: whole
        end

        # A sled that is caught by stops and has to be unlatched; a stack on whose rest the plate lies.
        def sled_on_stops
          constant :stop_x, mm: 100..1600, usual: 350..900, group: :joint, tape: %i[corner_on_rail plate_on_stop]
          constant :latch_x, mm: 100..2000, usual: 550..1200, group: :joint, tape: %i[corner_on_rail plate_on_latch]
          constant :sled_mass, kg: 0..300, usual: 20..120, group: :load
          reclines
          adjuster :seat, drives: { stop_x: 1, latch_x: 1 }, decides: :reach, stage: :joint
          adjuster :stop, drives: { stop_x: 1 }, decides: :stop, stage: :range
        end

        def stack_at_rest
          constant :rest_x, mm: 100..1600, usual: 400..900, group: :joint, tape: %i[corner_on_rail plate_on_stop]
          constant :stack_ratio, ratio: 0.1..4, usual: 0.4..2, default: 1.0, group: :joint
          reclines
          adjuster :rest, drives: { rest_x: 1 }, decides: :rest, stage: :joint
        end

        def reclines
          adjuster :recline, unit: :deg, drives: { trunk_angle: 1 }, decides: :recline, stage: :joint, first: true
        end

        # Calf work on the same press: what is aimed at, and what is found. knee_deg: how far the knees are bent.
        def calves_on_the_edge(ends)
          joint :heel_drop, free: %i[bottom top]
          joint :ankle_dorsiflexion, free: %i[bottom top]
          joint :knee_flexion, free: :bottom, forced: :stop
          joint :hip_flexion, free: %i[bottom top], forced: :stop
          grows
          wish :knee_deg, default: FIGURES[:movement][:top_bend_deg], stricter: :max
          wish :heel_drop_deg, measured_as: :heel_drop
          wish :hip_limit_deg, stricter: :min, measured_as: :hip_bend
          wish :ankle_limit_deg, stricter: :min, measured_as: :ankle
          wish :upright, default: 0, stricter: :max
          wish :fully_back, default: 0, stricter: :min
          shod
          finding :calf_slack,
                  graded: :slack_mm,
                  group: :joint,
                  rests_on: [ends],
                  set_by: [ends == :stop_x ? :stop : :rest, :recline],
                  mends: ends == :stop_x ? %i[stop_lower stop_higher] : %i[seat_further seat_nearer],
                  never: %i[past_hip_limit past_knee_limit not_upright edge_out_of_reach]
        end

        # set_by: what else than the feet sets it.
        def depth_found(rests_on, set_by: [])
          finding :knee_depth,
                  graded: :depth_room_deg,
                  shown: :turning_bend_deg,
                  group: :joint,
                  rests_on: rests_on,
                  set_by: [*set_by, :foot_mm],
                  mends: [nil, nil],
                  never: %i[not_upright]
        end

        # Both feet between the plate's edges, told where its width is taped. The stance is the client's: it weighs on
        # no mark.
        def feet_found
          finding :feet_wide,
                  graded: :feet_wide_mm,
                  group: :width,
                  rests_on: %i[plate_width],
                  set_by: [],
                  mends: [nil, nil],
                  weighs: false
        end

        def stop_found(set_by: [])
          wish :stop_slack_mm, default: FIGURES[:stop][:slack_mm]
          finding :stop_slack,
                  graded: :slack_mm,
                  group: :joint,
                  rests_on: %i[stop_x],
                  set_by: [:stop, :foot_mm, *set_by],
                  mends: %i[stop_lower stop_higher],
                  never: %i[past_hip_limit past_knee_limit]
        end

        def latch_found(rests_on, set_by: [])
          finding :latch_room,
                  graded: :latch_room_mm,
                  group: :joint,
                  rests_on: rests_on,
                  set_by: [:reach, *set_by],
                  mends: %i[latch_nearer latch_nearer],
                  never: %i[latch_out_of_reach]
        end
      end
    end
  end
end
