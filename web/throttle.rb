# frozen_string_literal: true

require "rack/attack"

module Verglas
  module Web
    # Slows down whoever guesses passwords: by address, in this process's memory (the server is one process).
    module Throttle
      # The few calls which Rack::Attack makes of a cache, in memory, each count forgotten after its period.
      class Memory
        def initialize
          @counts = {}
          @lock = Mutex.new
        end

        def increment(key, amount, expires_in:)
          @lock.synchronize do
            now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
            @counts.delete_if { |_, (_, until_time)| until_time < now }
            count, until_time = @counts.fetch(key) { [0, now + expires_in] }
            @counts[key] = [count + amount, until_time]
            count + amount
          end
        end

        def read(key) = @lock.synchronize { @counts[key]&.first }
        def write(key, value, expires_in: 60) = @lock.synchronize { @counts[key] = [value, Process.clock_gettime(Process::CLOCK_MONOTONIC) + expires_in] }
        def delete(key) = @lock.synchronize { @counts.delete(key) }
      end

      Rack::Attack.cache.store = Memory.new
      Rack::Attack.throttle("sign-in by address", limit: 20, period: 60) do |request|
        request.ip if request.path == "/auth/login" && request.post?
      end
      Rack::Attack.throttled_responder = ->(_request) { Errors.response(429, Invalid.new(:too_many_requests)) }
    end
  end
end
