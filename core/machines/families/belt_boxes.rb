# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # Without the machine: a dip belt between two non-slip boxes of one height. The same chain, less load.
      BeltBoxes =
        define(:belt_boxes, mechanism: :belt_squat, without: :belt_boxes) do
          extend BeltRows

          action :squat
          purpose :whole_leg_hanging
          tags yes: %i[loads_knee loads_hip loads_foot hangs_from_hips squats],
               no: %i[loads_back loads_calf head_down face_down hinges hacks kneels]
          hangs
          constant :box_height, mm: 50..900, usual: 200..500, group: :joint, tape: %i[floor_below box_top]
          chain_findings
        end
    end
  end
end
