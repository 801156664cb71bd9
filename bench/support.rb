# frozen_string_literal: true

# Shared by the benchmarks: medians, and the demo gym on a cluster of its own.
require_relative "../ops/cluster"

module Bench
  module_function

  def median(count)
    times = Array.new(count) do
      started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      yield
      (Process.clock_gettime(Process::CLOCK_MONOTONIC) - started) * 1000
    end
    times.sort[count / 2]
  end

  def report(what, ms, compared_with: nil, limit: nil)
    ratio = compared_with && (ms / compared_with)
    puts format("%-62s %8.2f ms%s%s", what, ms, ratio ? format("  %5.2f x", ratio) : "", limit ? "  (wanted: at most #{limit})" : "")
  end

  # The application on a database of its own, emptied and filled with the demo gym; stopped at the end.
  def with_demo
    cluster = Verglas::Ops::Cluster.new(File.expand_path("../var/postgres-bench", __dir__))
    started = cluster.start
    cluster.drop("verglas_bench")
    ENV["DATABASE_URL"] = cluster.database("verglas_bench")
    ENV["SESSION_SECRET"] = "b" * 64
    ENV["APP_ENV"] = "production"
    require_relative "../config/application"
    require_relative "../demo/loader"
    Verglas::Store::Database.migrate(Verglas::DB)
    Verglas::Demo::Loader.new(Verglas::DB).load
    yield
  ensure
    Verglas::DB.disconnect if defined?(Verglas::DB)
    cluster.stop if started
  end
end
