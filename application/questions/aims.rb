# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # The table by aim (Loading::Aim); own: whether the gym wrote it itself.
      Aims =
        Value.define(:table, :own, :version) do
          def self.of(gym)
            rows = gym.aims.all
            new(table: Loading::Aim.table(rows), own: rows.any?, version: gym.versions[:aims])
          end
        end
    end
  end
end
