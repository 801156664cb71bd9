# frozen_string_literal: true

module Verglas
  module Web
    module Inputs
      # A gym's own seconds for one family, as they were typed.
      module Tempo
        # Raises Invalid for a family that no exercise is of, or where nothing of "up" is left to go faster.
        def self.row(typed)
          row = typed.transform_keys(&:to_sym)
          raise Invalid.new(:unknown_family, path: "/tempos") if Machines::Families.single.none? { |family| family.id.to_s == row[:family] }
          raise Invalid.new(:tempo_half_said, path: "/tempos") if row[:slow_s].nil? ^ row[:slow_deg].nil?

          Loading::Tempo.read(row)
          row
        end
      end
    end
  end
end
