# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A client as a line of a list.
      module Client
        def self.summary(row) = Told::Names.client(row)

        # As little as tells people apart on a wall: "Imre T.", or a number.
        def self.initialled(name) = name.split(/\s+/, 2).then { |first, rest| [first, *("#{rest[0]}." if rest)].join(" ") }
        def self.number(row) = row[:id][0, 4].upcase

        def self.recent(row)
          { id: row[:id], name: row[:name], detail: row[:detail], fitted_at: Told.time(row[:fitted_at]) }
        end
      end
    end
  end
end
