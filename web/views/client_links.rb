# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # The links to a client's own card: when each was made and opened. What opens one is told once, when it is made.
      module ClientLinks
        PLACE = "/mine"

        # links: Questions::ClientLinks.
        def self.of(links)
          {
            offered: links.offered,
            links:
              links.links.map do |row|
                {
                  id: row[:id],
                  made_at: Told.time(row[:made_at]),
                  opened_at: Told.time(row[:opened_at]),
                  opened: row[:opened]
                }
              end
          }
        end
      end
    end
  end
end
