# frozen_string_literal: true

# A change of a mark at the bench, over HTTP on a warm connection, compared with the least that a route of the same
# server can do, in the same run.   RUBYOPT=--yjit bundle exec ruby benchmarks/http.rb
require_relative "support"

Measure.with_demo do
  Measure.with_server do |http|
    call = Measure::Caller.new(http, Verglas::Demo::Loader::SIGN_IN[:email])
    client = call.call("post", "/api/clients/search", { text: "perpetua" })["clients"].first
    page = call.call("get", "/api/clients/#{client["id"]}")
    fittings =
      page["machines"].flat_map do |machine|
        exercises = machine["exercises"].empty? ? [""] : machine["exercises"].map { |exercise| exercise["name"] }
        exercises.map do |exercise|
          call.call(
            "post",
            "/api/fittings",
            { client_id: client["id"], machine_id: machine["id"], exercise: exercise }
          )[
            "id"
          ]
        end
      end
    benches = fittings.to_h { |id| [id, call.call("get", "/api/fittings/#{id}")] }
    change =
      lambda do |id, number|
        adjuster = benches[id]["machine"]["adjusters"].then { |adjusters| adjusters[number % adjusters.size] }
        call.call(
          "post",
          "/api/fittings/#{id}/evaluation",
          { marks: benches[id]["marks"].merge(adjuster["label"] => adjuster["marks"][number % adjuster["marks"].size]) }
        )
      end

    200.times do |number|
      call.call("get", "/api/ping")
      change.call(fittings[number % fittings.size], number)
    end
    bare = -> { call.call("get", "/api/ping") }
    ping = Measure.median(400, &bare)
    Measure.report("a bare JSON route (session checked, nothing else)", ping)
    fittings.each do |id|
      name = benches[id]["machine"]["name"]
      number = 0
      least, changed = Measure.medians(20, bare, -> { change.call(id, number += 1) })
      Measure.report(
        "a change of a mark: #{name} (the bare route: #{format("%.2f", least)})",
        changed,
        compared_with: least,
        limit: "3.5 x"
      )
      Measure.report(
        "  opening the bench",
        Measure.median(40) { call.call("get", "/api/fittings/#{id}") },
        compared_with: ping
      )
    end
    curl = page["machines"].find { |machine| machine["name"] == "Leg curl 1" }["id"]
    Measure.report(
      "trying a length while it is typed",
      Measure.median(60) do
        call.call("post", "/api/machines/#{curl}/trial", { exercise: "", name: "back_face", value: -460 })
      end,
      compared_with: ping
    )
    Measure.report(
      "opening a machine's page",
      Measure.median(30) { call.call("get", "/api/machines/#{curl}") },
      compared_with: ping
    )
    Measure.report(
      "who of the demo's clients fits it",
      Measure.median(30) { call.call("get", "/api/machines/#{curl}/population") },
      compared_with: ping
    )
    Measure.report(
      "opening a client's page",
      Measure.median(60) { call.call("get", "/api/clients/#{client["id"]}") },
      compared_with: ping
    )
    Measure.report("the floor", Measure.median(100) { call.call("get", "/api/floor") }, compared_with: ping)
    Measure.report(
      "finding a client by two letters",
      Measure.median(100) { call.call("post", "/api/clients/search", { text: "or" }) },
      compared_with: ping
    )
    version = benches[fittings.first]["version"]
    Measure.report(
      "keeping a draft",
      Measure.median(60) do
        version =
          call.call(
            "patch",
            "/api/fittings/#{fittings.first}",
            { marks: benches[fittings.first]["marks"], version: version }
          )[
            "version"
          ]
      end,
      compared_with: ping
    )
  end
end
