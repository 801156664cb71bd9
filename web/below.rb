# frozen_string_literal: true

require "puma"

module Verglas
  module Web
    # What the server says and answers by itself, before a request reaches the application: heads and bodies that are
    # none.
    module Below
      # Told with its kind and where it was found, and no word of what came: a head may hold a cookie or a name.
      class Log < Puma::LogWriter
        def parse_error(error, _request) = told("a request that is none", error)
        def connection_error(error, _request, _text = nil) = told("a connection that broke", error)
        def unknown_error(error, _request = nil, _text = nil) = told("a fault of the server", error)

        private

        def told(what, error)
          stderr.puts("verglas: #{what}: #{error.class} at #{error.backtrace.to_a.first.to_s[%r{[^/]+\z}]}")
        end
      end

      # An Error like any other. What comes here is the sender's fault: a chunk may say that it is longer than any
      # number.
      ANSWER =
        lambda do |error, _env, status|
          senders = error.is_a?(RangeError) || status < 500
          Errors.response(senders ? [status, 400].min : status, Invalid.new(senders ? :not_json : :internal))
        end
    end
  end
end
