# frozen_string_literal: true

# Shared by the benchmarks: medians, and the demo gym on a cluster of its own.
require_relative "../ops/demo_database"

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

  # The application with the demo gym, on a database of its own.
  def with_demo(&) = Verglas::Ops::DemoDatabase.with("bench", environment: "production", &)
end
