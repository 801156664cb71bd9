# frozen_string_literal: true

module Verglas
  module Store
    # Who works in the gyms. The one question that is asked before a gym is known, and at every request.
    module Staff
      OPEN = 2
      CLOSED = 3
      ROLES = %w[lead instructor helper clinician].freeze

      # The open account's row, or nil.
      def self.find(db, id)
        statement =
          Planned.of(db, :staff_of, :first) { db[:accounts].where(id: Sequel.cast(:$id, :bigint), status_id: OPEN) }
        statement.call(id: id)
      end

      # hash: of the password that opens the account from now on.
      def self.set_password(db, id, hash)
        fields = { password_hash: hash }
        db[:account_password_hashes].insert_conflict(target: :id, update: fields).insert(id: id, **fields)
      end

      # Their own choices; answers the row.
      def self.choose(db, id, choices) = db[:accounts].where(id: id).returning.update(choices).first
    end
  end
end
