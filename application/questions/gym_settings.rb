# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # What a gym says of itself; backed_up: when the newest backup was made that was checked; watched: whether this
      # server is one that is to have backups.
      GymSettings =
        Value.define(:row, :backed_up, :watched) do
          def self.of(gym)
            checked = gym.db[:backups].exclude(checked_at: nil).max(:made_at)
            new(row: gym.row, backed_up: checked, watched: ENV.key?("ERASED_FILE"))
          end

          # More than two days, or never.
          def backup_late?(now) = watched && (backed_up.nil? || now - backed_up > 2 * 86_400)
        end
    end
  end
end
