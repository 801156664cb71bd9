# frozen_string_literal: true

module Verglas
  module Store
    # Who works in the gyms. The one question that is asked before a gym is known, and at every request.
    module Staff
      OPEN = 2

      # The open account's row, or nil.
      def self.find(db, id)
        statement =
          db.prepared_statement(:staff_of) ||
            db[:accounts].where(id: Sequel.cast(:$id, :bigint), status_id: OPEN).prepare(:first, :staff_of)
        statement.call(id: id)
      end

      # Their own choices; answers the row.
      def self.choose(db, id, choices) = db[:accounts].where(id: id).returning.update(choices).first
    end
  end
end
