# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # Seated leg extension: the roller in front of the shin, the thigh's front works. docs/model.md section 3.
      Extension = register(
        Family.new(
          id: :extension,
          mechanism: :seated_knee,
          side: 1,
          constants: {
            pivot_above_seat: Constant.new(unit: :mm, range: -50..300),
            back_face: Constant.new(unit: :mm, range: -1000..-150),
            seat_edge: Constant.new(unit: :mm, range: -500..200),
            roller_reach: Constant.new(unit: :mm, range: 100..700),
            roller_radius: Constant.new(unit: :mm, range: 15..150),
            start_angle: Constant.new(unit: :deg, range: 30..150),
            end_angle: Constant.new(unit: :deg, range: -60..60)
          },
          joint: %i[pivot_above_seat back_face seat_edge],
          groups: { arm: %i[roller_reach roller_radius start_angle end_angle] },
          findings: %i[offset crease_gap contact start],
          wanted: { contact_above_ankle_mm: 60.0, start_bend_deg: 90.0 },
          straight: { at: :end, least_bend_deg: -3 },
          gap_graded: true
        )
      )
    end
  end
end
