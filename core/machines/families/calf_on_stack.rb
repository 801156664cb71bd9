# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # Calf work on a press with a stack, the plate kept off its rest: an exercise of its own on the press's machine.
      CalfOnStack =
        define(:calf_on_stack, mechanism: :calf_press, beside: { press_stack: "calf" }, ends: :rest_x) do
          extend RailRows

          action :calf, beside: %i[press]
          purpose :calf
          tags yes: %i[loads_calf loads_foot loads_knee loads_hip loads_back on_an_edge presses],
               no: %i[head_down face_down hinges hangs_from_hips hacks kneels]
          corner_and_plate whole: false
          stack_at_rest
          calves_on_the_edge :rest_x
          range_found rests_on: %i[plate_angle plate_y]
        end
    end
  end
end
