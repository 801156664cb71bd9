# frozen_string_literal: true

require "digest"
require "securerandom"

module Verglas
  module Store
    # Links of one use, each opened by a secret that is kept nowhere: an invitation, a new password, the code with which
    # an empty server is begun.
    class StaffLinks
      SERVES_HOURS = 48
      # 128 bits, as they stand in an address; and 80 bits, as somebody types them.
      BYTES = 16
      TYPED_LETTERS = "23456789ABCDEFGHJKLMNPQRSTUVWXYZ"
      TYPED_LENGTH = 16

      def initialize(db)
        @db = db
      end

      # fields: of the kind; answers {id:, secret:, ends_at:}.
      def make(kind, secret: SecureRandom.urlsafe_base64(BYTES), **fields)
        ends = Sequel::CURRENT_TIMESTAMP + Sequel.cast("#{SERVES_HOURS} hours", :interval)
        row =
          @db[:staff_links].returning(:id, :ends_at).insert(
            kind: kind,
            secret_digest: self.class.digest(secret),
            ends_at: ends,
            **fields
          )
        { **row.first, secret: secret }
      end

      # A code to begin an empty server with; one that was printed before opens nothing any more.
      def make_first
        @db[:staff_links].where(kind: "first").delete
        code = Array.new(TYPED_LENGTH) { TYPED_LETTERS[SecureRandom.random_number(TYPED_LETTERS.length)] }.join
        make("first", secret: code)
        code.scan(/..../).join("-")
      end

      # The row that a secret opens, until the transaction ends nobody else's; nil where it opens none.
      def hold(secret, kinds:) = standing(kinds).where(secret_digest: self.class.digest(secret)).for_update.first

      # The same, only to look.
      def find(secret, kinds:) = standing(kinds).where(secret_digest: self.class.digest(secret)).first

      # It opens nothing any more.
      def use(row) = @db[:staff_links].where(id: row[:id]).delete

      # As it is typed: small letters and dashes do not matter.
      def self.typed(code) = code.upcase.delete("^#{TYPED_LETTERS}")
      def self.digest(secret) = Digest::SHA256.hexdigest(secret)

      # Forgets those whose time is over.
      def self.sweep(db) = db[:staff_links].where { ends_at < Sequel::CURRENT_TIMESTAMP }.delete

      private

      def standing(kinds) = @db[:staff_links].where(kind: kinds).where { ends_at > Sequel::CURRENT_TIMESTAMP }
    end
  end
end
