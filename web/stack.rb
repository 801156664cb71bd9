# frozen_string_literal: true

require "rack"
require "rack/session"

module Verglas
  module Web
    # The whole application as one Rack app: outermost first. docs/decisions/0004-http.md
    module Stack
      ASSETS = File.join(ROOT, "frontend", "dist")
      SESSION_COOKIE = "verglas_session"
      SESSION_SECONDS = 12 * 60 * 60

      # The session's cookie.
      def self.session(site)
        {
          key: site.cookie(SESSION_COOKIE),
          serialize_json: true,
          secure: site.secure?,
          path: "/",
          same_site: :strict,
          httponly: true,
          expire_after: SESSION_SECONDS
        }
      end

      # log: where a line a request goes; nil for none. site: how the server is reached.
      def self.build(db, secret: ENV.fetch("SESSION_SECRET"), log: nil, limits: true, site: Site.new)
        Throttle.count_in(db)
        # What is set for letters and cannot be is told at the start, not by the first one.
        Post.of
        Rack::Builder
          .new do
            use RequestLog, log if log
            use Metrics, db
            use Rack::Deflater, include: %w[application/json text/csv text/html text/javascript text/css image/svg+xml]
            use Headers, site, page: Assets.entry(ASSETS)
            use Faults, db
            use Refusals::OtherHost, site
            use Health, db
            use Assets, root: ASSETS
            use Rack::Session::Cookie, secrets: secret, **Stack.session(site)
            use Refusals::OtherOrigin
            use Rack::Attack if limits
            use SignIn
            run App.new(db)
          end
          .to_app
      end
    end
  end
end
