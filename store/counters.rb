# frozen_string_literal: true

module Verglas
  module Store
    # How often something was tried within a time, counted in the database for all processes. What is counted lies there
    # as a keyed digest: no address and no e-mail can be read from it.
    class Counters
      def initialize(db)
        @db = db
      end

      # One more (or amount more, which may be less than nothing) under a key: {count:, seconds: left until it is
      # forgotten}. The time begins with the first.
      def add(key, amount = 1, within_s:)
        over = Sequel[:counters][:ends_at] < Sequel::CURRENT_TIMESTAMP
        ends = Sequel::CURRENT_TIMESTAMP + Sequel.cast("#{Integer(within_s)} seconds", :interval)
        again = {
          count: Sequel.case({ over => amount }, Sequel[:counters][:count] + amount),
          ends_at: Sequel.case({ over => ends }, Sequel[:counters][:ends_at])
        }
        @db[:counters]
          .insert_conflict(target: :key_digest, update: again)
          .returning(
            :count,
            Sequel
              .function(:ceil, Sequel.extract(:epoch, Sequel[:ends_at] - Sequel::CURRENT_TIMESTAMP))
              .cast(:integer)
              .as(:seconds)
          )
          .insert(key_digest: digest(key), count: amount, ends_at: ends)
          .first
      end

      def forget(key) = @db[:counters].where(key_digest: digest(key)).delete

      # What Rack::Attack asks of a cache.
      def increment(key, amount, expires_in:) = add(key, amount, within_s: expires_in)[:count]
      def read(key)
        @db[:counters].where(key_digest: digest(key)).where { ends_at > Sequel::CURRENT_TIMESTAMP }.get(:count)
      end
      def write(key, count, expires_in: 60) = forget(key) && add(key, count, within_s: expires_in)
      alias delete forget

      # Forgets those whose time is over.
      def self.sweep(db) = db[:counters].where { ends_at < Sequel::CURRENT_TIMESTAMP }.delete

      private

      def digest(key) = Secrets.digest(key, :counter)
    end
  end
end
