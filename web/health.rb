# frozen_string_literal: true

module Verglas
  module Web
    # For whoever watches over the server: /healthz, whether the process answers; /readyz, whether the database does, is
    # as this code wants it, and has room for what is written.
    class Health
      # What others ask for by habit, and no page of ours answers.
      NOTHING = %w[/health /metrics].freeze

      def initialize(app, db)
        @app = app
        @db = db
      end

      def call(env)
        return @app.call(env) unless %w[GET HEAD].include?(env["REQUEST_METHOD"])

        case env["PATH_INFO"]
        when "/healthz"
          said(200, ok: true)
        when "/readyz"
          readiness
        when *NOTHING
          [404, { "content-type" => "text/plain" }, []]
        else
          @app.call(env)
        end
      end

      private

      def readiness
        told = { migrations: Store::Database.current?(@db), room: Store::Database.room?(@db) }
        said(told.values.all? ? 200 : 503, ok: told.values.all?, database: true, **told)
      rescue Sequel::Error
        said(503, ok: false, database: false, migrations: false, room: false)
      end

      def said(status, **what) = [status, { "content-type" => "application/json" }, [JSON.generate(what)]]
    end
  end
end
