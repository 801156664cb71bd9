# frozen_string_literal: true

require "securerandom"

module Verglas
  module Web
    # What browsers are told of every answer: only our own scripts and styles, no frames, nothing kept of personal pages.
    class Headers
      NONCE = "verglas.nonce"

      def initialize(app)
        @app = app
      end

      def call(env)
        nonce = env[NONCE] = SecureRandom.base64(16)
        status, headers, body = @app.call(env)
        headers["x-content-type-options"] = "nosniff"
        headers["referrer-policy"] = "no-referrer"
        headers["content-security-policy"] = policy(nonce)
        headers["cache-control"] ||= "no-store"
        [status, headers, body]
      end

      private

      def policy(nonce)
        "default-src 'none'; script-src 'self' 'nonce-#{nonce}'; style-src 'self' 'nonce-#{nonce}'; style-src-attr 'unsafe-inline'; " \
          "font-src 'self' data:; img-src 'self' data:; connect-src 'self'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'"
      end
    end
  end
end
