# frozen_string_literal: true

# The pages of one gym with 100,000 clients, 1,000,000 fittings and 3,000,000 sets, over HTTP, compared with a route
# that asks one statement and answers as little (GET /api/machines) and with the same pages of the demo gym, in the same
# run.
#   RUBYOPT=--yjit bundle exec ruby benchmarks/large_gym.rb [CLIENTS] [FITTINGS]
require_relative "support"
require_relative "large_gym/generator"

# The statements that a block makes, asked again by themselves: what a bare route with the same SQL would wait for.
def same_sql(db)
  made = []
  logger = Class.new { define_method(:info) { |line| made << line } }.new
  %i[debug warn error].each { |level| logger.define_singleton_method(level) { |*| nil } }
  db.loggers << logger
  yield
  db.loggers.delete(logger)
  statements = made.map { |line| line.sub(/\A\([\d.]+s\) /, "").sub(/; \[.*\z/m, "") }.grep(/\A(SELECT|WITH)/)
  [statements.size, Measure.median(15) { statements.each { |sql| db.fetch(sql).all } }]
end

clients, fittings = [ARGV[0] || 100_000, ARGV[1] || 1_000_000].map { |count| Integer(count) }
Measure.with_demo do
  db = Verglas::DB
  started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  large = LargeGym::Generator.new(db, like: db[:gyms].get(:id)).generate(clients: clients, fittings: fittings)
  puts format(
         "%<clients>d clients, %<fittings>d fittings made in %<s>d s",
         clients: clients,
         fittings: fittings,
         s: Process.clock_gettime(Process::CLOCK_MONOTONIC) - started
       )
  Measure.with_server do |http|
    gyms =
      {
        "the demo gym" => Verglas::Demo::Loader::SIGN_IN[:email],
        "the large gym" => large[:email]
      }.transform_values { |email| Measure::Caller.new(http, email) }
    ping = Measure.median(200) { gyms["the large gym"].call("get", "/api/ping") }
    Measure.report("a bare JSON route (session checked, nothing else)", ping)
    bare = Measure.median(100) { gyms["the large gym"].call("get", "/api/machines") }
    Measure.report("a list of a dozen machines", bare, compared_with: ping)
    gyms.each do |name, caller|
      machine =
        caller.call("get", "/api/machines")["machines"].find do |one|
          one["taped"] == "taped" && one["exercises"].empty?
        end[
          "id"
        ]
      client = caller.call("get", "/api/floor")["recent"].first["id"]
      fitting = caller.call("get", "/api/clients/#{client}")["card"].filter_map { |line| line["accepted"] }.first["id"]
      {
        "the floor" => %w[get /api/floor],
        "a client's page with the card" => ["get", "/api/clients/#{client}"],
        "a machine's page" => ["get", "/api/machines/#{machine}"],
        "a client's visits on a machine" => ["get", "/api/fittings/#{fitting}/progress"],
        "a machine set up again" => ["get", "/api/fittings/#{fitting}/set-up"],
        "the queue at a machine" => ["get", "/api/machines/#{machine}/queue?exercise="],
        "who fits a machine" => ["get", "/api/machines/#{machine}/population?exercise="],
        "whose advice a rule changes" => ["post", "/api/rules/extension_roller/changes", { school: "hand_above" }],
        "finding a client by two letters" => ["post", "/api/clients/search", { text: "ta" }]
      }.each do |what, request|
        3.times { caller.call(*request) }
        Measure.report("#{what}: #{name}", Measure.median(15) { caller.call(*request) }, compared_with: ping)
      end
    end
  end
  # Each page without HTTP, against its own statements alone.
  gym = Verglas::Store::Gym.new(db, large[:gym])
  person = gym.fittings.dataset.where(state: "accepted").get(:client_id)
  row = gym.clients.find(person)
  views = Verglas::Web::Views
  questions = Verglas::Application::Questions
  {
    "the board" => -> { views::Board.of(questions::Board.of(gym, since: Time.now - (12 * 7 * 86_400))) },
    "search" => -> { views::Search.of(Verglas::Application::Search.new(gym), "tal") },
    "the card" => -> { views::ClientPage.of(questions::ClientPage.of(gym, row)) },
    "the history" => -> do
      Verglas::Store::Queries::ClientCard.new(gym).history(person).map { |one| views::Fitting.history_line(one) }
    end
  }.each do |what, page|
    3.times { page.call }
    count, sql = same_sql(db, &page)
    Measure.report("#{what}: #{count} statements, asked by themselves", sql)
    Measure.report("  made of them", Measure.median(15) { page.call }, compared_with: sql, limit: "3 x")
  end
end
