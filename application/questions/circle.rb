# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # A group with its rounds; by_name: how many marks would be moved if they followed one another by their names.
      Circle =
        Value.define(:row, :rotation, :by_name) do
          def self.of(gym, row)
            stations = row[:stations].to_a
            ring = row[:people].to_a
            rotation = Sessions::Rotation.new(gym, stations, ring, work_s: row[:work_s])
            named = rotation.people.sort_by { |id, person| [person[:name], id] }.map(&:first)
            new(row: row, rotation: rotation, by_name: rotation.along(named).moves)
          end
        end
    end
  end
end
