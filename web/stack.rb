# frozen_string_literal: true

require "rack"
require "rack/protection"
require "rack/session"

module Verglas
  module Web
    # The whole application as one Rack app: outermost first. docs/decisions/0004-http.md
    module Stack
      ASSETS = File.join(ROOT, "frontend", "dist")
      SESSION_SECONDS = 12 * 60 * 60

      # log: where a line a request goes; nil for none.
      def self.build(db, secret: ENV.fetch("SESSION_SECRET"), log: nil, limits: true)
        Rack::Builder.new do
          use RequestLog, log if log
          use Rack::Deflater, include: %w[application/json text/html text/javascript text/css image/svg+xml]
          use Headers
          use Rack::Static, urls: ["/assets"], root: ASSETS, header_rules: [[:all, { "cache-control" => "public, max-age=31536000, immutable" }]]
          use Rack::Static, urls: ["/robots.txt"], root: ASSETS, header_rules: [[:all, { "cache-control" => "public, max-age=3600" }]]
          use Rack::Session::Cookie, key: "verglas", secret: secret, same_site: :strict, httponly: true, expire_after: SESSION_SECONDS
          use Rack::Protection::HttpOrigin
          use Rack::Attack if limits
          use SignIn
          run App.new(db)
        end.to_app
      end
    end
  end
end
