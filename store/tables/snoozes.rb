# frozen_string_literal: true

module Verglas
  module Store
    module Tables
      # Re-fits of one gym that were put off, each with until when and why.
      class Snoozes
        def initialize(gym)
          @gym = gym
        end

        # Takes the place of an earlier one.
        def put(client_id, machine_id, exercise, until_day:, reason:, by:)
          fields = {
            until: until_day,
            snoozed_by: by,
            snoozed_at: Sequel::CURRENT_TIMESTAMP,
            **Sealed.columns(:refit_snoozes, { reason: reason })
          }
          row = { gym_id: @gym.id, client_id: client_id, machine_id: machine_id, exercise: exercise, **fields }
          @gym.db[:refit_snoozes].insert_conflict(target: %i[client_id machine_id exercise], update: fields).insert(row)
        end
      end
    end
  end
end
