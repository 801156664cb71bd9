# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # Seated hip abduction: pads outside the thighs, which move apart. side: which side of the thigh the pad lies on,
      # -1 outside.
      Abduction =
        define(:abduction, mechanism: :seated_hip, side: -1) do
          extend SpreadRows

          action :abduction
          purpose :side_of_hip
          tags yes: %i[loads_hip spreads],
               no: %i[
                 loads_knee
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
          seat_between_arms start: { deg: -30..90, usual: -5..50 }, finish: { deg: 0..120, usual: 35..80 }
          joint :hip_abduction, free: :end, group: :arm
          joint :hip_adduction, forced: :start, group: :arm
          grows
          wish :spread_limit_deg, stricter: :min, measured_as: :abduction
          spread_found
        end
    end
  end
end
