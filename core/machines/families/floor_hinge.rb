# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # Without the machine: a bar in a floor hinge, its end on the belt. The same chain, less load.
      FloorHinge = define(:floor_hinge, mechanism: :belt_squat, without: :floor_hinge) do
        extend BeltRows

        action :squat
        purpose :whole_leg_hanging
        hangs
        chain_findings
      end
    end
  end
end
