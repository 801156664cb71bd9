# frozen_string_literal: true

require "digest"

module Verglas
  module Store
    # Makes a write happen once: the first request under a key does it, and the same request again gets the same answer.
    # Answers hold names and notes, so they lie encrypted. Runs the block in a transaction together with the key, so that either both stand or neither.
    class Writes
      KEPT_SECONDS = 24 * 60 * 60

      def initialize(db, account_id:)
        @db = db
        @account_id = account_id
      end

      # request: what makes two requests the same (method, path, body). The block answers [status, body].
      def once(key, request)
        digest = Digest::SHA256.hexdigest(request)
        @db.transaction do
          next replay(key, digest) unless claim(key, digest)

          status, body = yield
          row(key).update(status: status, body: Secrets.lock(body, :answer))
          [status, body]
        end
      end

      # Forgets what is older than a day.
      def self.sweep(db) = db[:writes].where { created_at < Sequel::CURRENT_TIMESTAMP - Sequel.lit("interval '#{KEPT_SECONDS} seconds'") }.delete

      private

      # Waits for another transaction that holds the same key.
      def claim(key, digest)
        @db[:writes].insert_conflict.returning(:key).insert(account_id: @account_id, key: key, request_digest: digest).first
      end

      def replay(key, digest)
        stored = row(key).first
        raise Invalid.new(:key_used_for_another_request, path: "/Idempotency-Key") unless stored && stored[:request_digest] == digest

        [stored[:status], Secrets.open(stored[:body], :answer)]
      end

      def row(key) = @db[:writes].where(account_id: @account_id, key: key)
    end
  end
end
