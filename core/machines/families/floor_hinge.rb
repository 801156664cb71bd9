# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # Without the machine: a bar in a floor hinge, its end on the belt. The same chain, less load.
      FloorHinge =
        define(:floor_hinge, mechanism: :belt_squat, without: :floor_hinge) do
          extend BeltRows

          action :squat
          purpose :whole_leg_hanging
          tags yes: %i[loads_knee loads_hip loads_foot hangs_from_hips squats],
               no: %i[loads_back loads_calf head_down face_down hinges hacks kneels]
          hangs
          chain_findings
        end
    end
  end
end
