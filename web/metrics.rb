# frozen_string_literal: true

require "prometheus/client"
require "prometheus/client/formats/text"

module Verglas
  module Web
    # What whoever watches over the server is told at /metrics, in the form of Prometheus, for the token of
    # METRICS_TOKEN alone: requests and their seconds, connections to the database, what waits, how old the last backups
    # are. Routes stand there as they are written, without the ids in them. Of this process, since it began.
    class Metrics
      PATH = "/metrics"
      LEAST_TOKEN = 20
      BUCKETS = [0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 5, 10].freeze
      OTHER = "other"

      # environment: where the token stands. Raises ArgumentError for one that can be guessed.
      def initialize(app, db, environment = ENV)
        @app = app
        @db = db
        @token = environment["METRICS_TOKEN"].to_s
        if @token.length.between?(1, LEAST_TOKEN - 1)
          raise ArgumentError, "METRICS_TOKEN has at least #{LEAST_TOKEN} characters, or is left out"
        end

        @registry = Prometheus::Client::Registry.new
        @seconds =
          @registry.histogram(
            :verglas_request_seconds,
            docstring: "Requests by route and status, and their seconds.",
            labels: %i[route status],
            buckets: BUCKETS
          )
      end

      def call(env)
        return told if env["PATH_INFO"] == PATH && env["REQUEST_METHOD"] == "GET" && known?(env)

        started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        answer = @app.call(env)
        took = Process.clock_gettime(Process::CLOCK_MONOTONIC) - started
        @seconds.observe(took, labels: { route: route(env), status: answer.first })
        answer
      end

      private

      # As it is written; pages and files are one.
      def route(env) = env["sinatra.route"].to_s[%r{\A[A-Z]+ /api/\S+\z}] || OTHER

      def known?(env)
        given = env["HTTP_AUTHORIZATION"].to_s[/\ABearer (\S+)\z/, 1].to_s
        !@token.empty? && Rack::Utils.secure_compare(given, @token)
      end

      def told
        { **connections, **waiting, **backups }.each { |name, (docstring, value)| set(name, docstring, value) }
        text = Prometheus::Client::Formats::Text
        [200, { "content-type" => text::CONTENT_TYPE, "cache-control" => "no-store" }, [text.marshal(@registry)]]
      end

      def set(name, docstring, value)
        gauge = @registry.exist?(name) ? @registry.get(name) : @registry.gauge(name, docstring: docstring)
        gauge.set(value)
      end

      def connections
        {
          verglas_database_connections: ["Connections to the database that are open.", @db.pool.size],
          verglas_database_connections_most: ["How many there can be.", @db.pool.max_size]
        }
      end

      # Of the web server, where it is Puma's.
      def waiting
        stats = defined?(::Puma) ? ::Puma.stats_hash : {}
        {
          verglas_requests_waiting: ["Requests that no thread has taken up yet.", stats.fetch(:backlog, 0)],
          verglas_threads_free: ["Requests that could be taken up at once.", stats.fetch(:pool_capacity, 0)]
        }
      rescue NoMethodError
        # Not served by it: nobody set what it tells of.
        {}
      end

      # Seconds since; infinite where there is none.
      def backups
        made, checked = @db[:backups].get([newest.as(:made), newest.filter(Sequel.~(checked_at: nil)).as(:checked)])
        {
          verglas_backup_age_seconds: ["Since the last backup was made.", since(made)],
          verglas_backup_checked_age_seconds: ["Since the last checked backup was made.", since(checked)]
        }
      rescue Sequel::Error
        {}
      end

      def newest = Sequel.function(:max, :made_at)
      def since(time) = time ? Time.now - time : Float::INFINITY
    end
  end
end
