# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # Lying leg curl: face down, the roller behind the lower leg rises; the client slides along the bench until the knee is
      # level with the pivot. hinge_angle: how far the bench's two parts bend at the hip, 0 on a flat one. docs/model.md section 4.
      LyingCurl = register(
        Family.new(
          id: :lying_curl,
          mechanism: :lying_knee,
          side: -1,
          constants: {
            pivot_above_bench: Constant.mm(-50..300, usual: 20..110),
            bench_end: Constant.mm(-400..200, usual: -110..20),
            hinge_angle: Constant.deg(0..60, usual: 0..30, default: 0.0),
            roller_reach: Constant.mm(100..700, usual: 200..480),
            roller_radius: Constant.mm(15..150, usual: 35..80),
            start_angle: Constant.deg(-30..90, usual: 0..45),
            end_angle: Constant.deg(60..180, usual: 90..140)
          },
          joint: %i[pivot_above_bench bench_end],
          groups: { hips: %i[hinge_angle], arm: %i[roller_reach roller_radius start_angle end_angle] },
          findings: { offset: :joint, contact: :arm, kneecap_clear: :joint, start: :arm, end: :arm },
          wanted: { contact_above_ankle_mm: 60.0, start_bend_deg: 8.0, end_bend_deg: 90.0 },
          action: :knee_flexion,
          tags: { loads_knee: true, loads_hip: false, loads_back: false, loads_calf: false, loads_foot: false, head_down: false, face_down: true, hinges: false,
                  hangs_from_hips: false, hacks: false },
          posture: {},
          straight: { at: :start, least_bend_deg: 0 },
          gap_graded: false
        )
      )
    end
  end
end
