# frozen_string_literal: true

# Two hosts of Verglas behind HAProxy, PgBouncer at each database, a primary and a synchronous standby, instructors at
# work; a web host, a pooler and the primary's host are killed in turn. What was answered and is gone, what is there
# twice, and for how long something was refused. Installs Debian's haproxy and pgbouncer; their services do not start.
#   sudo bundle exec ruby benchmarks/cluster.rb [seconds, 300] [instructors, 30]
require "tmpdir"
require_relative "../config/core"
require_relative "../ops/tried"
require_relative "../spec/support/outside"
require_relative "cluster/databases"
require_relative "cluster/instructors"

SECONDS = Integer(ARGV.fetch(0, 300))
INSTRUCTORS = Integer(ARGV.fetch(1, 30))
BACK_AFTER_S = 5
RATE_S = 15
Tried = Verglas::Ops::Tried

# Two that share what signs sessions and what health lies encrypted under, and nothing else.
def hosts(url, keys)
  secret = SecureRandom.hex(64)
  shared = {
    "DATABASE_URL" => url,
    "DATABASE_POOLED" => "yes",
    "SESSION_SECRET" => secret,
    "NOTES_KEY_FILE" => keys,
    "TRUSTED_PROXIES" => "127.0.0.1"
  }
  Array.new(2) { Outside.own.tap { |one| one.tell(shared) } }
end

def port_of(host) = host.told[%r{http://127\.0\.0\.1:(\d+)}, 1]

def haproxy(folder, port, hosts)
  config =
    File
      .read(File.expand_path("../ops/several/haproxy.cfg", __dir__))
      .sub("127.0.0.1:8080", "127.0.0.1:#{port}")
      .sub("127.0.0.1:4567", "127.0.0.1:#{port_of(hosts.first)}")
      .sub("127.0.0.1:4568", "127.0.0.1:#{port_of(hosts.last)}")
  file = File.join(folder, "haproxy.cfg")
  File.write(file, config)
  Process.spawn("haproxy", "-q", "-db", "-f", file, %i[out err] => File.join(folder, "haproxy.log"))
end

# How many were entered a second by way of a port.
def rate(sessions, port)
  work = Cluster::Instructors.new(sessions, port)
  work.work(RATE_S) { nil }
  work.answered.size / work.since
end

def said(at, what) = puts(format("%6.1f s  %s", at, what))

# In how many seconds something was refused between two times, and how often by status.
def refusals(refused, from, upto)
  inside = refused.select { |time, _| (from..upto).cover?(time) }
  seconds = inside.map { |time, _| time.floor }.uniq.size
  "refused in #{seconds} s#{inside.map(&:last).tally.map { |status, times| ", #{status}: #{times}" }.join}"
end

%w[haproxy pgbouncer].each { |package| Tried.install(package) }
folder = Dir.mktmpdir("verglas-hosts")
databases = Cluster::Databases.new(-> { Tried.free_port })
running = nil
both = []
begin
  databases.start
  both = hosts(databases.url, File.join(folder, "keys"))
  both.first.start
  both.first.request(:post, "/auth/first", Tried.beginning(both.first.told))
  both.last.start
  port = Tried.free_port
  running = haproxy(folder, port, both)
  sleep(2)
  sessions = Cluster::Instructors.sessions(INSTRUCTORS, port, Tried::LEAD)
  rates = [port_of(both.last).to_i, port].map { |one| rate(sessions, one) }
  puts format("%.0f people a second by one host, %.0f by two: %.2f x", *rates, rates.last / rates.first)
  work = Cluster::Instructors.new(sessions, port)
  events = {}
  quarter = SECONDS / 4.0
  work.work(SECONDS) do
    sleep(quarter)
    said(events[:web] = work.since, "a web host is killed")
    both.first.stop(:KILL)
    sleep(BACK_AFTER_S)
    both.first.start
    sleep(quarter - BACK_AFTER_S)
    said(events[:pooler] = work.since, "the primary's pooler is killed")
    Process.kill("KILL", databases.pooler(:first))
    sleep(BACK_AFTER_S)
    databases.start_pooler(:first)
    sleep(quarter - BACK_AFTER_S)
    said(events[:primary] = work.since, "the primary's host is killed")
    databases.lose_primary
    sleep(2)
    databases.promote
    said(work.since, "the standby is promoted; one copy is left")
  end
  answered = Array.new(work.answered.size) { work.answered.pop }
  refused = Array.new(work.refused.size) { work.refused.pop }
  slowest = Array.new(work.slowest.size) { work.slowest.pop }.max
  kept = databases.asked("SELECT name FROM clients").split("\n").tally
  taped = Integer(databases.asked("SELECT count(*) FROM readings JOIN clients ON clients.id = client_id"))
  lost = answered.reject { |name| kept.key?(name) }
  twice = kept.values.count { |times| times > 1 }
  puts "answered: #{answered.size} people and their length; refused and sent again: #{refused.size}"
  puts "lost: #{lost.size}; there twice: #{twice}; lengths missing: #{[answered.size - taped, 0].max}"
  ends = [*events.values.drop(1), Float::INFINITY]
  events.zip(ends) { |(name, from), upto| puts format("%-8s %s", name, refusals(refused, from, upto)) }
  puts format("the slowest answer took %.1f s, the times that it was sent again with it", slowest)
  abort "not every answer was kept once" unless lost.empty? && twice.zero? && taped >= answered.size
ensure
  both.each(&:destroy)
  Process.kill("KILL", running) if running
  databases.stop
  FileUtils.rm_rf(folder)
end
