# frozen_string_literal: true

module Verglas
  module Application
    module Questions
      # Who did what, the latest first; onward: the id to go on from, nil where there is nothing further.
      Trail =
        Value.define(:rows, :onward) do
          # before: an id; of: of a client or machine, by id.
          def self.of(gym, before: nil, of: nil)
            rows = Store::Queries::AuditTrail.new(gym).call(before: before, of: of)
            new(rows: rows, onward: rows.size == Store::Queries::AuditTrail::PAGE ? rows.last[:id] : nil)
          end
        end
    end
  end
end
