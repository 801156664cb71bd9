# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # Every machine of a gym (rows), with how it stands, {exercise => marks}, and when somebody was last fitted on it.
      Machines =
        Value.define(:rows, :standing, :fitted_at) do
          def self.of(gym)
            glance = Store::Queries::MachinesAtAGlance.new(gym).call
            new(
              rows: gym.machines.all,
              standing: glance.transform_values { |known| known.fetch(:standing, {}) },
              fitted_at: glance.transform_values { |known| known[:fitted_at] }
            )
          end
        end
    end
  end
end
