# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # People by name, a page at a time; onward: where the next page goes on, nil where there is none.
      Search =
        Value.define(:rows, :onward) do
          # text: as typed; after: onward of the page before.
          def self.of(gym, text, after: nil, page: 50)
            rows = Store::Queries::SearchClients.new(gym).call(text, limit: page, after: after)
            last = rows.last if text.strip.length < 2 && rows.size == page
            new(rows: rows, onward: last&.values_at(:search_name, :id))
          end
        end
    end
  end
end
