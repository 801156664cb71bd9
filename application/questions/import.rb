# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # A file on its way in: its row, how many bytes have arrived; told: rows of which there is something to tell.
      Import =
        Value.define(:row, :arrived, :told) do
          def self.of(gym, row, told: [])
            new(row: row, arrived: row[:state] == "arriving" ? gym.imports.arrived(row[:id]) : row[:bytes], told: told)
          end
        end
    end
  end
end
