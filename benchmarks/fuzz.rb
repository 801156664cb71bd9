# frozen_string_literal: true

# Twenty thousand requests that nobody would send, on the demo gym; ends with 1 when any of them is answered with a
# fault, without an Error, or with something of another gym's.   bundle exec ruby benchmarks/fuzz.rb [COUNT [SEED]]
require_relative "support"
require_relative "../spec/support/fuzzing"

HIDDEN = "zxsecret"
count = Integer(ARGV[0] || 20_000)
seed = Integer(ARGV[1] || (Random.new_seed % 1_000_000))

# A gym whose things nobody of the demo may see.
def elsewhere(db)
  theirs = Verglas::Store::Gym.new(db, db[:gyms].returning(:id).insert(name: "Elsewhere").first[:id])
  [
    theirs.clients.insert(name: "#{HIDDEN} client", detail: HIDDEN)[:id],
    theirs.machines.insert(family: "extension", name: "#{HIDDEN} machine", description: {})
  ]
end

Measure.with_demo do
  db = Verglas::DB
  hidden_client, hidden_machine = elsewhere(db)
  draft = db[:fittings].first(state: "draft")
  ids = {
    "clients" => [*db[:clients].limit(5).select_map(:id), hidden_client],
    "machines" => [*db[:machines].limit(5).select_map(:id), hidden_machine],
    "fittings" => db[:fittings].limit(6).select_map(:id)
  }
  fuzz =
    Fuzz.new(
      seed: seed,
      ids: ids,
      known: {
        "marks" => [draft[:marks].to_h],
        "version" => [1, 2, 3],
        "client_id" => ids["clients"],
        "machine_id" => ids["machines"],
        "observation" => %w[stature seat_to_kneecap],
        "caution" => %w[back knee],
        "exercise" => ["", "curl"],
        "question" => %w[tempo extension_roller]
      }
    )
  started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  app = Verglas::Web::Stack.build(db, limits: false)
  faults = Fuzzing.new(app, fuzz, **Verglas::Demo::Loader::SIGN_IN, hidden: HIDDEN).run(count)
  took = Process.clock_gettime(Process::CLOCK_MONOTONIC) - started
  puts format(
         "%<count>d requests (seed %<seed>d) in %<seconds>.0f s: %<faults>d faults",
         count: count,
         seed: seed,
         seconds: took,
         faults: faults.size
       )
  faults.uniq.first(20).each { |fault| puts fault }
  exit 1 if faults.any?
end
