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
            pivot_above_seat: Constant.mm(-50..300, usual: 30..110),
            back_face: Constant.mm(-1000..-150, usual: -680..-360),
            seat_edge: Constant.mm(-500..200, usual: -230..0),
            roller_reach: Constant.mm(100..700, usual: 200..480),
            roller_radius: Constant.mm(15..150, usual: 35..80),
            start_angle: Constant.deg(-30..90, usual: 0..45),
            end_angle: Constant.deg(60..180, usual: 90..140),
            thigh_pad_front: Constant.mm(-400..100, usual: -140..-20),
            thigh_pad_height: Constant.mm(20..350, usual: 60..170)
          },
          joint: %i[pivot_above_seat back_face seat_edge],
          groups: { arm: %i[roller_reach roller_radius start_angle end_angle], thigh_pad: %i[thigh_pad_front thigh_pad_height] },
          findings: { offset: :joint, crease_gap: :joint, contact: :arm, kneecap_gap: :thigh_pad, thigh_press: :thigh_pad, start: :arm, end: :arm },
          wanted: { contact_above_ankle_mm: 60.0, start_bend_deg: 8.0, end_bend_deg: 90.0 },
          action: :knee_flexion,
          tags: { loads_knee: true, loads_hip: false, loads_back: false, loads_calf: false, loads_foot: false, head_down: false, face_down: false, hinges: false,
                  hangs_from_hips: false, hacks: false },
          posture: { hip_flexion: 90.0 },
          straight: { at: :start, least_bend_deg: 0 },
          gap_graded: false
        )
      )
    end
  end
end
