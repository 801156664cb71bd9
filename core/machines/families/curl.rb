# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # Seated leg curl: the roller behind the lower leg, a pad from above holds the thigh. Traits as in Extension.
      # docs/model.md section 3.
      Curl =
        define(
          :curl,
          mechanism: :seated_knee,
          side: -1,
          straight: {
            at: :start,
            least_bend_deg: 0
          },
          gap_graded: false
        ) do
          extend KneeRows

          action :knee_flexion
          purpose :back_of_thigh
          tags yes: %i[loads_knee turns_on_pivot sits_back thigh_held],
               no: %i[
                 loads_hip
                 loads_back
                 loads_calf
                 loads_foot
                 head_down
                 face_down
                 hinges
                 hangs_from_hips
                 hacks
                 kneels
               ]
          seat
          arm start: { deg: -30..90, usual: 0..45 }, finish: { deg: 60..180, usual: 90..140 }
          thigh_pad
          aims roller: :curl_roller, start: :curl_start, finish: :curl_end
          hamstrings
          seated_offset_found
          crease_gap_found
          contact_found
          thigh_pad_found
          arc_found
        end
    end
  end
end
