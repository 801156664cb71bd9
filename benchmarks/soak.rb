# frozen_string_literal: true

# Some people at work for minutes, on one server: memory, the slowest of a hundred answers, and errors, at the start and
# at the end.
#   bundle exec ruby benchmarks/soak.rb [SECONDS [PEOPLE]]
require_relative "support"

seconds = Integer(ARGV[0] || 300)
people = Integer(ARGV[1] || 5)
TENTHS = 10

# What somebody does at a bench and between: reads mostly, a mark changed, a draft kept.
def work(call)
  clients = call.call("post", "/api/clients/search", { text: "" })["clients"].map { |client| client["id"] }
  machines = call.call("get", "/api/machines")["machines"].map { |machine| machine["id"] }
  alone = call.call("get", "/api/clients/#{clients.first}")["machines"].find { |machine| machine["exercises"].empty? }
  id = call.call("post", "/api/fittings", { client_id: clients.sample, machine_id: alone["id"], exercise: "" })["id"]
  lambda do
    case rand(10)
    when 0..2
      call.call("get", "/api/clients/#{clients.sample}")
    when 3
      call.call("get", "/api/floor")
    when 4
      call.call("get", "/api/board")
    when 5
      call.call("get", "/api/clients/#{clients.sample}/predictions")
    when 6
      call.call("get", "/api/machines/#{machines.sample}")
    else
      call.call("get", "/api/fittings/#{id}")
    end
  end
end

def resident_mb(pid) = Integer(File.read("/proc/#{pid}/status")[/VmRSS:\s+(\d+)/, 1]) / 1024
def slowest_of_a_hundred(times) = times.sort[(times.size * 0.99).floor]

Measure.with_demo do
  Measure.with_server do |http|
    server = Integer(`pgrep -P #{Process.pid}`.split.first)
    started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    ends = started + seconds
    answers = Queue.new
    faults = Queue.new
    callers =
      Array.new(people) do
        Thread.new do
          Net::HTTP.start(http.address, http.port, read_timeout: 60) do |own|
            act = work(Measure::Caller.new(own, Verglas::Demo::Loader::SIGN_IN[:email]))
            while (now = Process.clock_gettime(Process::CLOCK_MONOTONIC)) < ends
              answers << [now - started, Measure.timed(&act)]
            end
          end
        rescue StandardError, SystemExit => e
          faults << e.message
        end
      end
    memory = []
    while Process.clock_gettime(Process::CLOCK_MONOTONIC) < ends
      memory << resident_mb(server)
      sleep seconds.fdiv(TENTHS * 3)
    end
    callers.each(&:join)
    times = Array.new(answers.size) { answers.pop }
    first, last =
      [0...(seconds / TENTHS), (seconds - (seconds / TENTHS))..seconds].map do |span|
        times.filter_map { |at, ms| ms if span.cover?(at) }
      end
    puts "#{times.size} answers in #{seconds} s by #{people} people, #{faults.size} faults"
    puts "slowest of a hundred: #{slowest_of_a_hundred(first).round} ms in the first tenth, " \
           "#{slowest_of_a_hundred(last).round} ms in the last"
    puts "memory: #{memory[2]} MB after a tenth, #{memory.last} MB at the end"
    exit(1) if faults.size.positive?
  end
end
