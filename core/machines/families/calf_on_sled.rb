# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # Calf work on a sled press, the stops left in: an exercise of its own on the press's machine, with its own marks.
      CalfOnSled =
        define(:calf_on_sled, mechanism: :calf_press, beside: { press_sled: "calf" }, ends: :stop_x) do
          extend RailRows

          action :calf, beside: %i[press]
          purpose :calf
          tags yes: %i[loads_calf loads_foot loads_knee loads_hip loads_back on_an_edge caught presses],
               no: %i[head_down face_down hinges hangs_from_hips hacks kneels]
          corner_and_plate whole: false
          sled_on_stops
          calves_on_the_edge :stop_x
          latch_found %i[latch_x], set_by: %i[recline]
          range_found rests_on: %i[plate_angle plate_y]
        end
    end
  end
end
