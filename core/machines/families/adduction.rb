# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # Seated hip adduction: pads inside the thighs, which the machine opens and the client closes. Traits as in
      # Abduction.
      Adduction =
        define(:adduction, mechanism: :seated_hip, side: 1) do
          extend SpreadRows

          action :adduction
          purpose :inside_of_thigh
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
          seat_between_arms start: { deg: -60..90, usual: -25..50 }, finish: { deg: -90..90, usual: -60..20 }
          joint :hip_abduction, forced: :start, group: :arm
          joint :hip_adduction, free: :end, group: :arm
          grows
          wish :spread_limit_deg, default: SpreadRows::UNMEASURED_DEG, stricter: :min, measured_as: :abduction
          wish :past_middle_deg, stricter: :min, measured_as: :adduction
          spread_found
        end
    end
  end
end
