# frozen_string_literal: true

# What somebody waits for when they plan, over HTTP, on a warm server: a session of half an hour and of an hour for each
# client of the demo, the first time after the client's page and again; a group of twelve at twelve stations, after its
# people were picked and straight away.   RUBYOPT=--yjit bundle exec ruby benchmarks/plans_http.rb
require_relative "support"

ROUNDS = 6
MOST = 12

Measure.with_demo do
  Measure.with_server do |http|
    call = Measure::Caller.new(http, Verglas::Demo::Loader::SIGN_IN[:email])
    clients = Verglas::DB[:clients].where(gym_id: Verglas::DB[:gyms].order(:created_at).get(:id)).select_map(:id)
    people = clients.first(MOST)
    machines = call.call("get", "/api/machines")["machines"].select { |machine| machine["state"] == "in_use" }
    stations =
      machines
        .first(MOST)
        .map { |machine| "#{machine["id"]}/#{machine["exercises"].first["name"] if machine["exercises"].size > 1}" }
    # Everything kept of them counts for nothing any more.
    forget = -> { Verglas::DB[:clients].update(version: Sequel[:version] + 1) }
    plan = ->(id, minutes) { call.call("post", "/api/clients/#{id}/session-plan", { minutes: minutes }) }
    gather =
      lambda do
        circle = call.call("post", "/api/circles", { name: "Measured", work_s: 60, stations: stations, people: people })
        call.call("post", "/api/circles/#{circle.fetch("id")}/removal", { version: circle.fetch("version") })
      end
    took = Hash.new { |all, name| all[name] = [] }
    timed = ->(name, &block) { took[name] << Measure.timed(&block) }

    ROUNDS.times do |round|
      # The first rounds warm the server.
      took.clear if round < 3
      forget.call
      clients.each do |id|
        call.call("get", "/api/clients/#{id}")
        call.call("get", "/api/clients/#{id}/predictions")
        timed.call("half an hour, the first time after the client's page") { plan.call(id, 30) }
        timed.call("half an hour, again") { plan.call(id, 30) }
        timed.call("an hour, after half an hour") { plan.call(id, 60) }
      end
      forget.call
      picked = ->(id) { call.call("get", "/api/clients/#{id}/stations") }
      people.each { |id| timed.call("where somebody works, as they are picked") { picked.call(id) } }
      timed.call("a group of #{people.size} at #{stations.size} stations, after its people were picked", &gather)
      forget.call
      timed.call("the same straight away", &gather)
    end
    took.each do |name, times|
      Measure.report(name, times.sort[times.size / 2])
      puts "  at most #{times.max.round} ms"
    end
  end
end
