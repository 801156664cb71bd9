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
            pivot_above_seat: Constant.mm(-50..300, usual: 30..110),
            back_face: Constant.mm(-1000..-150, usual: -680..-360),
            seat_edge: Constant.mm(-500..200, usual: -230..0),
            roller_reach: Constant.mm(100..700, usual: 200..480),
            roller_radius: Constant.mm(15..150, usual: 35..80),
            start_angle: Constant.deg(30..150, usual: 60..115),
            end_angle: Constant.deg(-60..60, usual: -20..20)
          },
          joint: %i[pivot_above_seat back_face seat_edge],
          groups: { arm: %i[roller_reach roller_radius start_angle end_angle] },
          findings: { offset: :joint, crease_gap: :joint, contact: :arm, start: :arm, end: :arm },
          wanted: { contact_above_ankle_mm: 60.0, start_bend_deg: 90.0, end_bend_deg: 0.0 },
          action: :knee_extension,
          tags: { loads_knee: true, loads_hip: false, loads_back: false, loads_calf: false, loads_foot: false, head_down: false, face_down: false, hinges: false,
                  hangs_from_hips: false, hacks: false },
          posture: { hip_flexion: 90.0 },
          straight: { at: :end, least_bend_deg: -3 },
          gap_graded: true
        )
      )
    end
  end
end
