# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # What somebody has practised, what they were given, and on which machines they can. runs, tasks: rows; machines:
      # [[row, exercise]].
      Practice =
        Value.define(:runs, :tasks, :machines, :progress) do
          # everybody: whether how others are doing is told too.
          def self.of(gym, account_id, everybody: false)
            new(
              runs: gym.practice.latest(account_id),
              tasks: gym.practice.all_tasks,
              machines: Practising.new(gym).machines,
              progress: everybody ? gym.practice.progress : []
            )
          end
        end
    end
  end
end
