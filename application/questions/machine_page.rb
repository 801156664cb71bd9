# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # Everything that is known of a machine: its row, who taped it ({account id => name}), the names of the one
      # it is a copy of and of the one that took its place, photographs, how often each mark stands on a card (use), its
      # latest fittings.
      MachinePage =
        Value.define(:row, :taped_by, :copied_from, :replaced_by, :photographs, :use, :fittings) do
          def self.of(gym, row)
            new(
              row: row,
              taped_by: gym.staff_names(row[:taped].to_h.values.filter_map { |taped| taped["by"] }.uniq),
              copied_from: row[:copied_from] && gym.machines.name_of(row[:copied_from]),
              replaced_by: row[:replaced_by] && gym.machines.name_of(row[:replaced_by]),
              photographs: gym.photographs.of(row[:id]),
              use: Store::Queries::MarkUse.new(gym).call(row[:id]),
              fittings: Store::Queries::MachineFittings.new(gym).call(row[:id])
            )
          end
        end
    end
  end
end
