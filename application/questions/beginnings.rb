# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # What a gym that was begun still wants before its first client; done: {step => whether it is}.
      Beginnings =
        Value.define(:done) do
          def self.of(gym)
            new(
              done: {
                machines: !gym.machines.dataset.empty?,
                cautions: !gym.row[:cautions_reviewed_on].nil?,
                staff: gym.colleagues.several?,
                tablets: gym.colleagues.pin?
              }
            )
          end
        end
    end
  end
end
