# frozen_string_literal: true

# A change of a mark at the bench, over HTTP on a warm connection, compared with the least that a route of the same server
# can do, in the same run.   RUBYOPT=--yjit bundle exec ruby benchmarks/http.rb
require_relative "support"

Bench.with_demo do
  Bench.with_server do |http|
    call = Bench::Caller.new(http, Verglas::Demo::Loader::SIGN_IN[:email])
    client = call.call("post", "/api/clients/search", { text: "perpetua" })["clients"].first
    page = call.call("get", "/api/clients/#{client["id"]}")
    fittings = page["machines"].flat_map do |machine|
      exercises = machine["exercises"].empty? ? [""] : machine["exercises"].map { |exercise| exercise["name"] }
      exercises.map { |exercise| call.call("post", "/api/fittings", { client_id: client["id"], machine_id: machine["id"], exercise: exercise })["id"] }
    end
    benches = fittings.to_h { |id| [id, call.call("get", "/api/fittings/#{id}")] }
    change = lambda do |id, number|
      adjuster = benches[id]["machine"]["adjusters"].then { |adjusters| adjusters[number % adjusters.size] }
      call.call("post", "/api/fittings/#{id}/evaluation", { marks: benches[id]["marks"].merge(adjuster["label"] => adjuster["marks"][number % adjuster["marks"].size]) })
    end

    200.times do |number|
      call.call("get", "/api/ping")
      change.call(fittings[number % fittings.size], number)
    end
    ping = Bench.median(400) { call.call("get", "/api/ping") }
    Bench.report("a bare JSON route (session checked, nothing else)", ping)
    fittings.each do |id|
      name = benches[id]["machine"]["name"]
      number = 0
      Bench.report("a change of a mark: #{name}", Bench.median(400) { change.call(id, number += 1) }, compared_with: ping, limit: "20 ms, 4 x")
      Bench.report("  opening the bench", Bench.median(40) { call.call("get", "/api/fittings/#{id}") }, compared_with: ping)
    end
    curl = page["machines"].find { |machine| machine["name"] == "Leg curl 1" }["id"]
    Bench.report("trying a length while it is typed", Bench.median(60) do
      call.call("post", "/api/machines/#{curl}/trial", { exercise: "", name: "back_face", value: -460 })
    end, compared_with: ping)
    Bench.report("opening a machine's page", Bench.median(30) { call.call("get", "/api/machines/#{curl}") }, compared_with: ping)
    Bench.report("who of the demo's clients fits it", Bench.median(30) { call.call("get", "/api/machines/#{curl}/population") }, compared_with: ping)
    Bench.report("opening a client's page", Bench.median(60) { call.call("get", "/api/clients/#{client["id"]}") }, compared_with: ping)
    Bench.report("the floor", Bench.median(100) { call.call("get", "/api/floor") }, compared_with: ping)
    Bench.report("finding a client by two letters", Bench.median(100) { call.call("post", "/api/clients/search", { text: "or" }) }, compared_with: ping)
    version = benches[fittings.first]["version"]
    Bench.report("keeping a draft", Bench.median(60) do
      version = call.call("patch", "/api/fittings/#{fittings.first}", { marks: benches[fittings.first]["marks"], version: version })["version"]
    end, compared_with: ping)
  end
end
