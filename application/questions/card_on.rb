# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # A client's card as it stood on a day of the past: lines from the records of that day and before.
      CardOn =
        Value.define(:client, :gym_row, :day, :lines) do
          # day: Date.
          def self.of(gym, client, day)
            lines = Store::Queries::ClientCard.new(gym).call(client[:id], upto: day + 1)
            new(
              client: client,
              gym_row: gym.row,
              day: day,
              lines: lines.select { |line| line[:state] == "accepted" }.sort_by { |line| line[:machine_name] }
            )
          end
        end
    end
  end
end
