# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # Level hip extension bench: the same hinge with the legs level.
      LevelBench =
        define(:level_bench, mechanism: :hinge_bench, level: true) do
          extend HingeRows

          action :hip_extension
          purpose :back_of_hip
          tags yes: %i[loads_hip loads_back loads_foot head_down hinges has_hip_pad],
               no: %i[loads_knee loads_calf face_down hangs_from_hips hacks kneels]
          hip_pad(usual: 500..1050) { Declaration::BANDS[:hip_gap_level].target }
          takes_bands
          hip_gap_found :hip_gap_level
          bottom_found
        end
    end
  end
end
