# frozen_string_literal: true

# Data in and out, in one run: 10,000 clients with readings taken in, compared with a bare script that parses the same
# CSV and COPYs it unchecked; a gym of 10,000 clients and 100,000 fittings out, into a gym with nothing, and out again,
# compared byte by byte; how the process grows.
#   RUBYOPT=--yjit bundle exec ruby benchmarks/exchange.rb [CLIENTS] [FITTINGS]
require_relative "support"
require_relative "large_gym/generator"
require "csv"
require "stringio"
require "tempfile"

PEOPLE = 10_000
COLUMNS = %w[name detail sex birth_date body_mass_kg stature_cm seat_to_kneecap_cm floor_to_knee_top_cm].freeze

def people(count)
  random = Random.new(5)
  rows =
    Array.new(count) do |n|
      [
        "Person #{n}",
        n.even? ? "" : "number #{n}",
        %w[man woman][n % 2],
        "19#{random.rand(40..99)}-0#{random.rand(1..9)}-1#{random.rand(10)}",
        random.rand(45.0..110.0).round(1),
        random.rand(150.0..200.0).round(1),
        random.rand(52.0..65.0).round(1),
        random.rand(45.0..57.0).round(1)
      ]
    end
  CSV.generate { |csv| [COLUMNS, *rows].each { |row| csv << row } }
end

def seconds
  started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  yield
  Process.clock_gettime(Process::CLOCK_MONOTONIC) - started
end

def resident_mb = File.read("/proc/self/status")[/VmRSS:\s+(\d+)/, 1].to_i / 1024

# Parses and COPYs, and asks nothing.
def bare(db, gym, by, text)
  db.transaction do
    rows = CSV.parse(text, headers: true).map { |row| [SecureRandom.uuid, row] }
    line = ->(values) { "#{values.join("\t")}\n" }
    db.copy_into(
      :clients,
      columns: %i[id gym_id name sex birth_date body_mass_kg detail_digest],
      data:
        rows.map do |id, row|
          line.call([id, gym.id, *row.values_at("name", "sex", "birth_date", "body_mass_kg", "detail")])
        end
    )
    db.run("ANALYZE clients") # else each reference is looked up in another index, row by row
    db.copy_into(
      :readings,
      columns: %i[gym_id client_id observation value_mm unit taken_by],
      data:
        rows.flat_map do |id, row|
          COLUMNS
            .last(3)
            .map { |name| line.call([gym.id, id, name.delete_suffix("_cm"), row[name].to_f * 10, "cm", by]) }
        end
    )
  end
end

def new_gym(db, name)
  gym = Verglas::Store::Gym.new(db, db[:gyms].returning(:id).insert(name: name).first[:id])
  [
    gym,
    db[:accounts].insert(gym_id: gym.id, email: "#{SecureRandom.hex(6)}@example.org", name: "Ines Harrow", role: "lead")
  ]
end

# Shortest of three.
def fastest(&) = Array.new(3, &).min

Measure.with_demo do
  db = Verglas::DB
  units = { "length" => "cm", "mass" => "kg" }
  intake = ->(gym, by, file, kind, **how) do
    Verglas::Application::Intake
      .new(gym, by: by)
      .whole(kind: kind, file: file, units: units, leave: false, until_asked: false, **how) { nil }
  end
  text = people(PEOPLE)
  bare_s, ours_s =
    [
      ->(gym, by) { bare(db, gym, by, text) },
      ->(gym, by) { intake.call(gym, by, StringIO.new(text), "clients") }
    ].map do |way|
      fastest do
        gym, by = new_gym(db, "A gym")
        seconds { way.call(gym, by) }
      end
    end
  puts format(
         "%<count>d clients with readings: parsed and copied unchecked %<bare>.2f s; looked through and taken in " \
           "%<ours>.2f s  %<ratio>.2f x  (wanted: at most 3)",
         count: PEOPLE,
         bare: bare_s,
         ours: ours_s,
         ratio: ours_s / bare_s
       )
  gym, by = new_gym(db, "Ten times as many")
  before = resident_mb
  many = StringIO.new(people(PEOPLE * 10))
  ten_s = seconds { intake.call(gym, by, many, "clients") }
  puts format(
         "ten times as many: %<s>.1f s, from %<before>d to %<after>d MB of memory (the file: %<file>d MB)",
         s: ten_s,
         before: before,
         after: resident_mb,
         file: many.size / 1_000_000
       )

  clients, fittings = [ARGV[0] || 10_000, ARGV[1] || 100_000].map { |count| Integer(count) }
  large =
    Verglas::Store::Gym.new(
      db,
      LargeGym::Generator.new(db, like: db[:gyms].order(:created_at).get(:id)).generate(
        clients: clients,
        fittings: fittings
      )[
        :gym
      ]
    )
  file = Tempfile.new("gym")
  before = resident_mb
  out_s = seconds { Verglas::Store::Archive::Outgoing.new(large, health: true).each { |part| file.write(part) } }
  file.flush
  told = {
    clients: clients,
    fittings: fittings,
    s: out_s,
    file: file.size / 1_000_000,
    before: before,
    after: resident_mb
  }
  puts format(
         "%<clients>d clients, %<fittings>d fittings out: %<s>.1f s, %<file>d MB, from %<before>d to %<after>d MB " \
           "of memory",
         told
       )
  # Its ids are the same in every gym: so the first one goes.
  %i[sets visits fittings readings clients].each { |table| db[table].where(gym_id: large.id).delete }
  machines = db[:machines].where(gym_id: large.id).select(:id)
  db[:machine_queues].where(gym_id: large.id).delete
  db[:machine_descriptions].where(machine_id: machines).delete
  db[:machines].where(gym_id: large.id).delete
  file.rewind
  before = resident_mb
  in_s = seconds { intake.call(large, db[:accounts].where(gym_id: large.id).get(:id), file, "gym") }
  puts format("in again: %<s>.1f s, %<before>d to %<after>d MB", s: in_s, before: before, after: resident_mb)
  file.rewind
  again = Verglas::Store::Archive::Outgoing.new(large, health: true)
  same = again.all? { |part| file.read(part.bytesize) == part.b } && file.eof?
  puts "and out again: #{same ? "the same to the byte" : "NOT the same"}"
end
