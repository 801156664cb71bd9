# frozen_string_literal: true

module Verglas
  module Web
    # The one place where what went wrong below becomes an answer: an Error of ours, whatever it was. The log gets the
    # kind of error and where, never what it says, which may hold somebody's name or a driver's words about our tables.
    class Faults
      RETRY_SECONDS = 3
      # Somebody has to make room first.
      NO_ROOM_SECONDS = 60
      AWAY = [Sequel::DatabaseConnectionError, Sequel::DatabaseDisconnectError, Sequel::PoolTimeout].freeze
      # Nothing was written, and the same request again may well succeed.
      BUSY = [Sequel::DatabaseLockTimeout, Sequel::SerializationFailure].freeze

      def initialize(app, db)
        @app = app
        @db = db
      end

      def call(env)
        @app.call(env)
      rescue StandardError, SystemStackError, NoMemoryError => e
        answer(e)
      end

      private

      def answer(error)
        case error
        when Invalid
          Errors.response(Errors.status(error), error)
        when *AWAY
          away(error)
        when *BUSY
          later(error, :busy)
        when Errno::ENOSPC
          no_room(error)
        else
          by_database(error)
        end
      end

      # What the database says of itself.
      def by_database(error)
        case error.is_a?(Sequel::DatabaseError) ? error.wrapped_exception : error
        when PG::QueryCanceled
          later(error, :busy)
        when PG::DiskFull
          no_room(error)
        else
          fault(error)
        end
      end

      def no_room(error) = later(error, :no_room, NO_ROOM_SECONDS)

      # Where one connection was cut, those that lie idle were too: no later request should find that out one by one.
      def away(error)
        @db.disconnect unless error.is_a?(Sequel::PoolTimeout)
        later(error, :database_away)
      end

      def later(error, code, seconds = RETRY_SECONDS)
        tell(error)
        Errors.response(503, Invalid.new(code), "retry-after" => seconds.to_s)
      end

      def fault(error)
        return Errors.response(400, Invalid.new(:not_json)) if unreadable?(error)

        tell(error)
        Errors.response(500, Invalid.new(:internal))
      end

      # What Rack says of a request which it cannot read: forms, queries, cookies that are none.
      def unreadable?(error) = error.is_a?(Rack::BadRequest)

      def tell(error)
        warn(
          "#{error.class} at #{error.backtrace.to_a.first(8).map { |line| line.delete_prefix("#{ROOT}/") }.join(" < ")}"
        )
      end
    end
  end
end
