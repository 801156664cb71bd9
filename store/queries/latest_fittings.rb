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
          rows = latest({ client_id: client_id }, PLACE).select(*PLAIN, *SEALED).all
          Sealed.open_all(:fittings, rows)
        end

        # Of several clients which they are and how often they were written, with nothing of what lies in them:
        # {[client id, machine id, exercise] => [id, version]}
        def versions(client_ids)
          each = [:client_id, *PLACE]
          rows = latest({ client_id: client_ids }, each).select(*each, :id, :version).all
          rows.to_h { |row| [row.values_at(*each), row.values_at(:id, :version)] }
        end

        private

        def latest(of, each)
          @gym.fittings.dataset.where(state: "accepted", **of).distinct(*each).order(*each, Sequel.desc(:accepted_at))
        end
      end
    end
  end
end
