# frozen_string_literal: true

require "json"
require "logger"
require "securerandom"
require "time"

module Verglas
  module Web
    # One line of JSON a request: when, how long, a number by which it is found again (X-Request-Id, in the answer too),
    # method, path, status, and the id of the account that asked. Paths hold nothing but random ids; bodies are never
    # written.
    class RequestLog
      HEADER = "x-request-id"
      # How many old files stay, and the size at which one is begun anew.
      OLD_FILES = 14
      MOST_BYTES = 20 * 1024 * 1024

      # Where lines go: for its owner and group alone (as far as the process's umask makes new files so), begun anew
      # when full.
      def self.open(path)
        ::File.open(path, "a", 0o640) { |file| file.chmod(0o640) }
        ::Logger::LogDevice.new(path, shift_age: OLD_FILES, shift_size: MOST_BYTES, skip_header: true)
      end

      # log: whatever takes `write`.
      def initialize(app, log)
        @app = app
        @log = log
      end

      def call(env)
        started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        id = env[HEADER] = SecureRandom.uuid
        status, headers, body = @app.call(env)
        headers[HEADER] = id
        @log.write(
          "#{JSON.generate(line(env, id, status, Process.clock_gettime(Process::CLOCK_MONOTONIC) - started))}\n"
        )
        [status, headers, body]
      end

      private

      def line(env, id, status, seconds)
        {
          time: Time.now.utc.iso8601(3),
          request: id,
          method: env["REQUEST_METHOD"][/\A[A-Z]{1,10}\z/] || "other",
          path: path(env),
          status: status,
          ms: (seconds * 1000).round(1),
          account: account(env)
        }
      end

      # A path that is none of ours may hold anything: it is not repeated.
      def path(env)
        if env["PATH_INFO"].match?(%r{\A/[a-z0-9/_-]{0,200}\z}) && !env["PATH_INFO"].include?("//")
          env["PATH_INFO"]
        else
          "(other)"
        end
      end

      # As its session says; null where nobody is signed in.
      def account(env) = env["rack.session"]&.fetch("account_id", nil)
    end
  end
end
