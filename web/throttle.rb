# frozen_string_literal: true

require "rack/attack"

module Verglas
  module Web
    # A limit a minute on signing in from one address, whoever is meant, counted in the database for all processes.
    module Throttle
      Rack::Attack.throttle("sign-in by address", limit: 20, period: 60) do |request|
        request.get_header("REMOTE_ADDR") if request.path == "/auth/login" && request.post?
      end
      Rack::Attack.throttled_responder =
        lambda do |request|
          data = request.env["rack.attack.match_data"]
          Errors.response(
            429,
            Invalid.new(:too_many_requests),
            "retry-after" => (data[:period] - (data[:epoch_time] % data[:period])).to_s
          )
        end

      # Where it counts.
      def self.count_in(db) = Rack::Attack.cache.store = Store::Counters.new(db)
    end
  end
end
