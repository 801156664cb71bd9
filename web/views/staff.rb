# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # Who is signed in.
      module Staff
        def self.of(row, gym)
          { id: row[:id], name: row[:name], role: row[:role], length_unit: row[:length_unit], gym: { name: gym[:name], locale: gym[:locale] } }
        end
      end
    end
  end
end
