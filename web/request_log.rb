# frozen_string_literal: true

module Verglas
  module Web
    # One line a request: method, path, status, milliseconds. Paths hold nothing but random ids; bodies are never written.
    class RequestLog
      def initialize(app, log)
        @app = app
        @log = log
      end

      def call(env)
        started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        status, headers, body = @app.call(env)
        elapsed = (Process.clock_gettime(Process::CLOCK_MONOTONIC) - started) * 1000
        @log.puts("#{env["REQUEST_METHOD"]} #{path(env)} #{status} #{elapsed.round(1)}")
        [status, headers, body]
      end

      private

      # A path that is none of ours may hold anything: it is not repeated.
      def path(env) = env["PATH_INFO"].match?(%r{\A/[a-z0-9/_-]*\z}) ? env["PATH_INFO"] : "(other)"
    end
  end
end
