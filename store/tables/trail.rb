# frozen_string_literal: true

module Verglas
  module Store
    module Tables
      # The audit trail of one gym: only ever added to (store/audit.sql). In the transaction of what it tells of, so
      # that neither stands alone.
      class Trail
        TABLE = Sequel[:kept][:audit]

        def initialize(gym)
          @gym = gym
        end

        # action: what was done, by its name; subject: the id of what it was done to, nil for none.
        def add(action, by:, subject: nil)
          @gym.db[TABLE].returning(nil).insert(gym_id: @gym.id, account_id: by, action: action, subject: subject)
        end

        # The same done to each of many.
        def add_all(action, subjects, by:)
          Copy.rows(
            @gym.db,
            TABLE,
            %i[gym_id account_id action subject],
            subjects.map { |subject| [@gym.id, by, action, subject] }
          )
        end
      end
    end
  end
end
