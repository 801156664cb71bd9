# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # Seated leg extension: the roller in front of the shin, the thigh's front works. docs/model.md section 3.
      #   side        +1 where the pad lies in front of the lower leg, -1 behind it
      #   straight    which end of the arc is the straight one and the least knee bend allowed there, degrees
      #   gap_graded  whether a gap behind the knee is graded (a pinch always is)
      Extension =
        define(
          :extension,
          mechanism: :seated_knee,
          side: 1,
          straight: {
            at: :end,
            least_bend_deg: -3
          },
          gap_graded: true
        ) do
          extend KneeRows

          action :knee_extension
          purpose :front_of_thigh
          tags yes: %i[loads_knee turns_on_pivot sits_back],
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
          arm start: { deg: 30..150, usual: 60..115 }, finish: { deg: -60..60, usual: -20..20 }
          aims roller: :extension_roller, start: :extension_start, finish: :extension_end
          hamstrings
          seated_offset_found
          crease_gap_found
          contact_found
          arc_found
        end
    end
  end
end
