# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # What a gym chose of each contested question, {question => school}, and with which cautions it is stricter.
      GymRules =
        Value.define(:chosen, :stricter, :version) do
          def self.of(gym)
            new(chosen: gym.rules.of_gym, stricter: gym.cautions.stricter, version: gym.versions[:rules])
          end
        end
    end
  end
end
