# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A client as a line of a list.
      module Client
        def self.summary(row) = Told::Names.client(row)

        def self.recent(row)
          { id: row[:id], name: row[:name], detail: row[:detail], fitted_at: Told.time(row[:fitted_at]) }
        end
      end
    end
  end
end
