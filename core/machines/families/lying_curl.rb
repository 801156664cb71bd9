# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # Lying leg curl: face down, the roller behind the lower leg rises; the client slides along the bench until the
      # knee is level with the pivot. hinge_angle: how far the bench's two parts bend at the hip, 0 on a flat one.
      # Traits as in Extension. docs/model.md section 4.
      LyingCurl =
        define(:lying_curl, mechanism: :lying_knee, side: -1, straight: { at: :start, least_bend_deg: 0 }) do
          extend KneeRows

          action :knee_flexion
          purpose :back_of_thigh_lying
          tags yes: %i[loads_knee face_down turns_on_pivot lies_face_down],
               no: %i[loads_hip loads_back loads_calf loads_foot head_down hinges hangs_from_hips hacks kneels]
          # Hips slightly bent: over a hinge, or a pad.
          joint :hip_extension, held_deg: -Tables[:knee][:lying_hips][:bend_deg]
          constant :pivot_above_bench, mm: -50..300, usual: 20..110, group: :joint, tape: %i[bench_below_pivot pivot]
          constant :bench_end, mm: -400..200, usual: -110..20, group: :joint, tape: %i[bench_end bench_below_pivot]
          constant :hinge_angle,
                   deg: 0..60,
                   usual: 0..30,
                   default: 0.0,
                   group: :hips,
                   tape: %i[hinge headwards trunk_end]
          adjuster :bench_height, drives: { pivot_above_bench: -1 }, decides: :height, stage: :joint, first: true
          adjuster :hinge, unit: :deg, drives: { hinge_angle: 1 }, decides: :hips, stage: :joint
          adjuster :bench_length, drives: { bench_end: 1 }, decides: :bench_end, stage: :joint
          arm start: { deg: -30..90, usual: 0..45 }, finish: { deg: 60..180, usual: 90..140 }
          aims roller: :curl_roller, start: :curl_start, finish: :curl_end
          wish :knee_laid_mm, default: 0
          choice :hip_pad_mm, how: :computed
          offset_found rests_on: %i[pivot_above_bench],
                       set_by: %i[height lie],
                       mends: [%i[slide_along_bench slide_along_bench], %i[lower_bench pad_under_thighs]]
          contact_found
          finding :kneecap_clear,
                  graded: :kneecap_clear_mm,
                  group: :joint,
                  rests_on: %i[bench_end],
                  set_by: %i[bench_end lie],
                  mends: %i[shorter_bench longer_bench]
          arc_found
        end
    end
  end
end
