# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # Seated leg curl: the roller behind the lower leg, a pad from above holds the thigh. docs/model.md section 3.
      Curl = register(
        Family.new(
          id: :curl,
          mechanism: :seated_knee,
          side: -1,
          constants: {
            pivot_above_seat: Constant.new(unit: :mm, range: -50..300),
            back_face: Constant.new(unit: :mm, range: -1000..-150),
            seat_edge: Constant.new(unit: :mm, range: -500..200),
            roller_reach: Constant.new(unit: :mm, range: 100..700),
            roller_radius: Constant.new(unit: :mm, range: 15..150),
            start_angle: Constant.new(unit: :deg, range: -30..90),
            end_angle: Constant.new(unit: :deg, range: 60..180),
            thigh_pad_front: Constant.new(unit: :mm, range: -400..100),
            thigh_pad_height: Constant.new(unit: :mm, range: 20..350)
          },
          joint: %i[pivot_above_seat back_face seat_edge],
          groups: { arm: %i[roller_reach roller_radius start_angle end_angle], thigh_pad: %i[thigh_pad_front thigh_pad_height] },
          findings: %i[offset crease_gap contact kneecap_gap thigh_press start],
          wanted: { contact_above_ankle_mm: 60.0, start_bend_deg: 8.0 },
          straight: { at: :start, least_bend_deg: 0 },
          gap_graded: false
        )
      )
    end
  end
end
