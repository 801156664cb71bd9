# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # The gym's own seconds ({family id => seconds}) beside the schools it chose; here: ids of families whose
      # exercises are done on its machines.
      Tempos =
        Value.define(:own, :rules, :here, :version) do
          def self.of(gym)
            new(
              own: gym.tempos.all,
              rules: Guidance::HouseRules.chosen(gym: gym.rules.of_gym),
              here: here(gym),
              version: gym.versions[:tempos]
            )
          end

          def self.here(gym)
            gym
              .machines
              .in_service
              .flat_map { |row| Verglas::Machines::Families.fetch(row[:family]).plain_exercises.values.map(&:id) }
              .uniq
          end
          private_class_method :here
        end
    end
  end
end
