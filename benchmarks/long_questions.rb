# frozen_string_literal: true

# What somebody at the bench feels while others ask long questions (who fits, of every client): the slowest of a hundred
# changes of a mark, alone and beside them, with the lane of their own and without, in one run.
#   RUBYOPT=--yjit bundle exec ruby benchmarks/long_questions.rb
require_relative "support"

ASKING = 2
CHANGES = 400

# Milliseconds of the 50th and 99th of a hundred changes.
def changes(caller, bench)
  times =
    Array.new(CHANGES) do |number|
      adjuster = bench["machine"]["adjusters"][number % bench["machine"]["adjusters"].size]
      started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      caller.call(
        "post",
        "/api/fittings/#{bench["id"]}/evaluation",
        { marks: bench["marks"].merge(adjuster["label"] => adjuster["marks"][number % adjuster["marks"].size]) }
      )
      (Process.clock_gettime(Process::CLOCK_MONOTONIC) - started) * 1000
    end
  [times.sort[CHANGES / 2], times.sort[CHANGES * 99 / 100]]
end

# Yields while others ask.
def beside(http, machine)
  over = false
  asking =
    Array.new(ASKING) do
      Thread.new do
        Net::HTTP.start(http.address, http.port, read_timeout: 120) do |own|
          caller = Measure::Caller.new(own, Verglas::Demo::Loader::SIGN_IN[:email])
          caller.call("get", "/api/machines/#{machine}/population") until over
        end
      end
    end
  sleep 0.5
  yield
ensure
  over = true
  asking.each(&:join)
end

def measure(what)
  Measure.with_server do |http|
    caller = Measure::Caller.new(http, Verglas::Demo::Loader::SIGN_IN[:email])
    client = caller.call("post", "/api/clients/search", { text: "perpetua" })["clients"].first
    machine = caller.call("get", "/api/machines")["machines"].find { |one| one["name"] == "Leg curl 1" }["id"]
    bench =
      caller.call(
        "get",
        "/api/fittings/#{caller.call("post", "/api/fittings", { client_id: client["id"], machine_id: machine })["id"]}"
      )
    changes(caller, bench)
    alone = changes(caller, bench)
    others = beside(http, machine) { changes(caller, bench) }
    puts format(
           "%-28s alone %6.1f / %6.1f ms, beside %6.1f / %6.1f ms: %4.1f x / %4.1f x (middle / 99 of 100)",
           what,
           *alone,
           *others,
           others[0] / alone[0],
           others[1] / alone[1]
         )
  end
end

Measure.with_demo do
  measure("with a lane of their own")
  Verglas::Application::OwnProcess.define_singleton_method(
    :compute
  ) do |budget_s: Verglas::Application::OwnProcess::BUDGET_S, &question|
    question.call(Verglas::Application::OwnProcess::Budget.new(budget_s))
  end
  measure("without")
end
