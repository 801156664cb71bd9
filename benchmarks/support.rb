# frozen_string_literal: true

# Shared by the benchmarks: medians, and the demo gym on a cluster of its own.
require_relative "../ops/demo_database"
require "json"
require "net/http"
require "securerandom"

module Measure
  module_function

  def median(count, &block) = Array.new(count) { timed(&block) }.sort[count / 2]

  # A median for each of several that take turns, some times in a row each: a machine is not as fast all the time.
  def medians(turns, *what, in_a_row: 20)
    times = Array.new(turns) { what.map { |one| Array.new(in_a_row) { timed(&one) } } }
    times.transpose.map { |rows| rows.flatten.sort[turns * in_a_row / 2] }
  end

  # Milliseconds.
  def timed
    started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    yield
    (Process.clock_gettime(Process::CLOCK_MONOTONIC) - started) * 1000
  end

  def report(what, ms, compared_with: nil, limit: nil)
    ratio = compared_with && (ms / compared_with)
    puts format(
           "%-78s %8.2f ms%s%s",
           what,
           ms,
           ratio ? format("  %5.2f x", ratio) : "",
           limit ? "  (wanted: at most #{limit})" : ""
         )
  end

  # The application with the demo gym, on a database of its own.
  def with_demo(&) = Verglas::Ops::DemoDatabase.with("bench", environment: "production", &)

  # A server in a process of its own, as in use, so that the measuring does not share its lock. Yields a warm connection
  # to it.
  def with_server(&)
    require "puma"
    require "puma/server"
    Verglas::DB.disconnect
    told, tell = IO.pipe
    child =
      fork do
        server =
          Puma::Server.new(
            Verglas::Web::Stack.build(Verglas::DB, limits: false),
            nil,
            { min_threads: 5, max_threads: 5, log_writer: Puma::LogWriter.null }
          )
        tell.puts server.add_tcp_listener("127.0.0.1", 0).addr[1]
        server.run.join
      end
    Net::HTTP.start("127.0.0.1", Integer(told.gets), read_timeout: 120, &)
  ensure
    Process.kill("TERM", child) if child
  end

  # Somebody who is signed in on a connection.
  class Caller
    def initialize(http, email, password = Verglas::Demo::Loader::SIGN_IN[:password])
      @http = http
      call("post", "/auth/login", { email: email, password: password })
    end

    # The parsed answer; ends the run on a refusal.
    def call(method, path, body = nil)
      request =
        Net::HTTP.const_get(method.capitalize).new(
          path,
          { "content-type" => "application/json", "cookie" => @cookie.to_s, "idempotency-key" => SecureRandom.uuid }
        )
      request.body = JSON.generate(body) if body
      answer = @http.request(request)
      @cookie = answer.get_fields("set-cookie").map { |cookie| cookie.split(";").first }.join("; ") if answer[
        "set-cookie"
      ]
      abort "#{method} #{path}: #{answer.code} #{answer.body}" unless answer.is_a?(Net::HTTPSuccess)
      answer.body.empty? ? nil : JSON.parse(answer.body)
    end
  end
end
