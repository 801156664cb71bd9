# frozen_string_literal: true

module Verglas
  module Web
    module Inputs
      # A gym's own seconds for one family, as they were typed.
      module Tempo
        # Raises Invalid for a family that no exercise is of, and for half a slow start or one of which nothing is left
        # to go faster.
        def self.row(typed)
          row = typed.transform_keys(&:to_sym)
          Machines::Families.of_exercise(row[:family])
          Loading::Tempo.read(row)
          row
        end
      end
    end
  end
end
