# frozen_string_literal: true

require "securerandom"

module Verglas
  module Web
    # What browsers are told of every answer: only our own scripts and styles, no frames, nothing kept of personal
    # pages.
    class Headers
      NONCE = "verglas.nonce"
      # What our pages never ask a browser for; motion only the page of a phone that reads a movement.
      NEVER = %w[camera display-capture geolocation magnetometer microphone midi payment usb].freeze
      MOTION = %w[accelerometer gyroscope].freeze
      PERMISSIONS = [*NEVER, *MOTION].map { |name| "#{name}=()" }.join(", ").freeze
      ON_A_PHONE = [*NEVER.map { |name| "#{name}=()" }, *MOTION.map { |name| "#{name}=(self)" }].join(", ").freeze
      ALWAYS = {
        "x-content-type-options" => "nosniff",
        "referrer-policy" => "no-referrer",
        "cross-origin-opener-policy" => "same-origin",
        "cross-origin-resource-policy" => "same-origin",
        "permissions-policy" => PERMISSIONS
      }.freeze
      # Two years, over TLS only.
      STRICT_TRANSPORT = { "strict-transport-security" => "max-age=63072000; includeSubDomains" }.freeze

      # Which page this server has: another one that runs in a browser fetches itself anew.
      PAGE = "x-verglas-page"
      OURS = %w[/api/ /auth/].freeze

      # page: the script of the page as it is now; nil where none was built.
      def initialize(app, site, page: nil)
        @app = app
        @page = page
        @always = site.secure? ? { **ALWAYS, **STRICT_TRANSPORT } : ALWAYS
      end

      def call(env)
        nonce = env[NONCE] = SecureRandom.base64(16)
        status, headers, body = @app.call(env)
        headers.update(@always)
        headers["permissions-policy"] = ON_A_PHONE if env["PATH_INFO"] == Views::Movement::PLACE
        headers["content-security-policy"] = policy(nonce)
        headers["cache-control"] ||= "no-store"
        headers[PAGE] = @page if @page && env["PATH_INFO"].start_with?(*OURS)
        [status, headers, body]
      end

      private

      def policy(nonce)
        "default-src 'none'; script-src 'self' 'nonce-#{nonce}'; style-src 'self' 'nonce-#{nonce}'; style-src-attr " \
          "'unsafe-inline'; " \
          "font-src 'self' data:; img-src 'self' data:; connect-src 'self'; base-uri 'none'; form-action 'self'; " \
          "frame-ancestors 'none'"
      end
    end
  end
end
