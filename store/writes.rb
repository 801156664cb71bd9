# frozen_string_literal: true

module Verglas
  module Store
    # Makes a write happen once: the first request under a key does it, and the same request again gets the same answer.
    # Answers hold names and notes, so they lie encrypted, and of a request only a keyed digest. Runs the block in a
    # transaction together with the key, so that either both stand or neither.
    class Writes
      KEPT_SECONDS = 24 * 60 * 60
      SWEPT_AT_ONCE = 5000
      RETRIES = 3
      ID = /\h{8}-\h{4}-\h{4}-\h{4}-\h{12}/
      GIVE_WAY = ->(*) { sleep(0.01 + (rand * 0.04)) }

      def initialize(db, account_id:)
        @db = db
        @account_id = account_id
      end

      # request: what makes two requests the same (method, path, body). The block answers [status, body].
      def once(key, request, &block)
        done =
          ConstraintErrors.translate do
            # Of two that wait for one another the one that was chosen to give way begins again, after the other had
            # time to take what it waited for.
            @db.transaction(retry_on: Sequel::SerializationFailure, num_retries: RETRIES, before_retry: GIVE_WAY) do
              first_or_replay(key, Secrets.digests(request, :write), &block)
            end
          end
        Upkeep.when_due(@db)
        done
      end

      # Forgets what is older than a day, some thousands at a time.
      def self.sweep(db)
        old =
          db[:writes].where do
            created_at < Sequel::CURRENT_TIMESTAMP - Sequel.lit("interval '#{KEPT_SECONDS} seconds'")
          end
        db[:writes].where(
          %i[account_id key] => old.order(:created_at).limit(SWEPT_AT_ONCE).select(:account_id, :key)
        ).delete
      end

      # As the database takes a list of ids.
      def self.ids(list) = Sequel.cast("{#{list.join(",")}}", "uuid[]")

      private

      def first_or_replay(key, digests)
        return replay(key, digests) unless claim(key, digests.first)

        status, body = yield
        row(key).update(status: status, body: Secrets.lock(body, :answer), about: Writes.ids(body.scan(ID).uniq))
        [status, body]
      end

      # Waits for another transaction that holds the same key.
      def claim(key, digest)
        @db[:writes]
          .insert_conflict
          .returning(:key)
          .insert(account_id: @account_id, key: key, request_digest: digest)
          .first
      end

      def replay(key, digests)
        stored = row(key).first
        unless stored && digests.include?(stored[:request_digest])
          raise Invalid.new(:key_used_for_another_request, path: "/Idempotency-Key")
        end

        [stored[:status], Secrets.open(stored[:body], :answer)]
      end

      def row(key) = @db[:writes].where(account_id: @account_id, key: key)
    end
  end
end
