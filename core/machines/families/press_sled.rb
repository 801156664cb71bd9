# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # Leg press on an inclined sled: a back that reclines, stops that catch the sled, a latch that must be reached.
      PressSled =
        define(:press_sled, mechanism: :leg_press, ends: :stop_x) do
          extend RailRows

          action :press
          purpose :whole_leg
          tags yes: %i[loads_knee loads_hip loads_back loads_foot on_a_plate caught presses],
               no: %i[loads_calf head_down face_down hinges hangs_from_hips hacks kneels]
          leg_moves
          sits
          constant :trunk_angle, deg: 60..175, usual: 90..140, group: :joint, tape: %i[corner rail_ahead back_top]
          constant :seat_angle, deg: -40..60, usual: -10..30, group: :joint, tape: %i[corner rail_ahead seat_front]
          plate usual_y: -250..150
          constant :stop_x, mm: 100..1600, usual: 350..900, group: :joint, tape: %i[corner_on_rail plate_on_stop]
          constant :latch_x, mm: 100..2000, usual: 550..1200, group: :joint, tape: %i[corner_on_rail plate_on_latch]
          constant :sled_mass, kg: 0..300, usual: 20..120, group: :load
          adjuster :recline, unit: :deg, drives: { trunk_angle: 1 }, decides: :recline, stage: :joint, first: true
          adjuster :seat, drives: { stop_x: 1, latch_x: 1 }, decides: :reach, stage: :joint
          adjuster :stop, drives: { stop_x: 1 }, decides: :stop, stage: :range
          rail_wishes
          depth_found %i[trunk_angle plate_angle plate_y], set_by: %i[recline]
          stop_found set_by: %i[recline]
          latch_found %i[latch_x], set_by: %i[recline foot_mm]
          feet_found
          range_found rests_on: %i[trunk_angle plate_angle plate_y]
        end
    end
  end
end
