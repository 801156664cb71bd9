# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # Belt squat: the load hangs from the hips by a chain; the shoulders and the back stay free of it.
      BeltSquat =
        define(:belt_squat, mechanism: :belt_squat, without: nil) do
          extend BeltRows

          action :squat
          purpose :whole_leg_hanging
          hangs
          tags yes: %i[loads_knee loads_hip loads_foot hangs_from_hips squats railed],
               no: %i[loads_back loads_calf head_down face_down hinges hacks kneels]
          chain_findings
        end
    end
  end
end
