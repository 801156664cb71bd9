# frozen_string_literal: true

require "ipaddr"
require "uri"

module Verglas
  module Web
    # How this server is reached, as its operator says in the environment: PUBLIC_URL, the address that people open
    # (https where a proxy ends TLS), and TRUSTED_PROXIES, addresses or networks whose word about where a request came
    # from is believed. As middleware it sets that right before anything else looks at a request: nobody else's
    # forwarded headers are believed, and hosts that are not ours are refused. docs/security.md
    class Site
      LOOPBACK = %w[localhost 127.0.0.1 [::1]].freeze
      FORWARDED = %w[
        HTTP_X_FORWARDED_FOR
        HTTP_X_FORWARDED_HOST
        HTTP_X_FORWARDED_PROTO
        HTTP_X_FORWARDED_PORT
        HTTP_X_FORWARDED_SCHEME
        HTTP_X_FORWARDED_SSL
        HTTP_FORWARDED
        HTTP_CLIENT_IP
        HTTP_X_REAL_IP
      ].freeze
      HERE = "verglas.site"

      # environment: names and texts. Raises ArgumentError for what is no address.
      def initialize(environment = ENV)
        @url = environment["PUBLIC_URL"].to_s[/.+/] && public_url(environment["PUBLIC_URL"])
        @proxies =
          environment["TRUSTED_PROXIES"].to_s.split(/[\s,]+/).reject(&:empty?).map { |network| IPAddr.new(network) }
      end

      # Whether people reach it through TLS.
      def secure? = @url.is_a?(URI::HTTPS)
      def origin = @url && "#{@url.scheme}://#{@url.host}#{":#{@url.port}" unless @url.port == @url.default_port}"

      # A cookie's name: with this prefix a browser takes it only over TLS, for this host alone.
      def cookie(name) = secure? ? "__Host-#{name}" : name

      # Whether a request is addressed to a host that is ours.
      def addressed?(env) = ours?(env["HTTP_HOST"] || env["SERVER_NAME"])

      # Sets a request's address and scheme right, in place.
      def settle(env)
        env[HERE] = self
        env["REMOTE_ADDR"] = behind_proxies(env["REMOTE_ADDR"], env["HTTP_X_FORWARDED_FOR"].to_s.split(/[\s,]+/))
        FORWARDED.each { |name| env.delete(name) }
        env["rack.url_scheme"] = "https" if secure?
      end

      private

      def public_url(text)
        url = URI.parse(text)
        unless url.is_a?(URI::HTTP) && url.host && [nil, "", "/"].include?(url.path)
          raise ArgumentError, "PUBLIC_URL wants an address like https://fit.example.org"
        end

        url
      end

      # The nearest address that is none of our proxies: what stands further left anybody could have written.
      def behind_proxies(peer, forwarded)
        hops = [*forwarded, peer]
        hops.pop while hops.size > 1 && trusted?(hops.last)
        address?(hops.last) ? hops.last : peer
      end

      def trusted?(address) = address?(address) && @proxies.any? { |network| network.include?(address) }

      def address?(text)
        IPAddr.new(text.to_s)
        true
      rescue IPAddr::Error
        false
      end

      def ours?(authority)
        host = authority.to_s.downcase.sub(/:\d{1,5}\z/, "")
        LOOPBACK.include?(host) || (!@url.nil? && host == @url.host.downcase)
      end
    end
  end
end
