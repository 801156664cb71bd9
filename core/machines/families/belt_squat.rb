# frozen_string_literal: true

module Verglas
  module Machines
    module Families
      # Belt squat: the load hangs from the hips by a chain; the shoulders and the back stay free of it.
      BeltSquat = define(:belt_squat, mechanism: :belt_squat, without: nil) do
        extend BeltRows

        action :squat
        purpose :whole_leg_hanging
        hangs
        tags yes: %i[railed]
        chain_findings
      end
    end
  end
end
