# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # A movement that a phone reads, as the bench asks of it: its row, what it tells, and what it is laid beside:
      # {name => what was kept} of the last visit's set and of the other leg's.
      Movement =
        Value.define(:row, :movement, :meeting, :beside) do
          # Asked twice a second while it is read: only once it is over anything more than its row is looked at.
          def self.of(gym, row)
            meeting = Meeting.of(gym, row[:fitting_id]) if row[:ended_at] && row[:fitting_id]
            new(
              row: row,
              movement: Application::Movement.new(row[:asked], row[:found]),
              meeting: meeting,
              beside: meeting && meeting.fitting[:state] == "accepted" ? ReadBefore.of(gym, meeting, row[:leg]) : {}
            )
          end
        end
    end
  end
end
