# frozen_string_literal: true

module Verglas
  module Store
    module Queries
      # What was accepted last for a client on each machine and exercise? Whole rows, but for what was computed and
      # shown then.
      class LatestFittings
        PLACE = %i[machine_id exercise].freeze
        PLAIN = %i[
          id
          gym_id
          client_id
          machine_id
          exercise
          description_number
          state
          marks
          aids
          knee_off_mm
          roller_seen
          version
          creep
          accepted_at
          taken_back_at
        ].freeze
        SEALED = Sealed.names(:fittings, Sealed::FIELDS[:fittings].keys - %i[result computed_from])
        private_constant :PLACE, :PLAIN, :SEALED

        def initialize(gym)
          @gym = gym
        end

        def call(client_id)
          latest =
            @gym
              .fittings
              .dataset
              .where(client_id: client_id, state: "accepted")
              .distinct(*PLACE)
              .order(*PLACE, Sequel.desc(:accepted_at))
          Sealed.open_all(:fittings, latest.select(*PLAIN, *SEALED).all)
        end
      end
    end
  end
end
