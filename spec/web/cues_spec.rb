# frozen_string_literal: true

require "web_helper"

# What is said that helps: offered by sign, counted for the gym with nobody's name, first what helped this client.
RSpec.describe "Cues over HTTP" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:person) { matteus(loft, account) }
  let(:here) { machine(loft, "slide_back", name: "Leg extension 1", loading: loading) }
  let(:loading) { { kind: "stack", unit: "kg", masses: [5, 10, 15, 20, 25, 30] } }

  before { sign_in }

  def page(id) = call(:get, "/api/fittings/#{id}")
  def draft(who = person) = call(:post, "/api/fittings", { client_id: who[:id], machine_id: here[:id] })["id"]

  def offered(id, sign)
    shown = page(id)
    call(:post, "/api/fittings/#{id}/signs", { marks: shown["marks"], aids: shown["aids"], signs: [sign] })[
      "signs"
    ].first[
      "cues"
    ]
  end

  def accept(id, **work)
    shown = page(id)
    call(
      :post,
      "/api/fittings/#{id}/acceptance",
      {
        **sheet(shown),
        marks: shown["marks"],
        work: {
          **Verglas::Application::Sheet::NO_WORK,
          "load_kg" => 20,
          "repetitions" => 10,
          **work
        },
        reason: "As felt."
      }
    )
  end

  def set(id, **said)
    plain = { load_kg: 20, repetitions: 10, last: "clean", reached: 1, felt: "front_thigh", sign: nil, leg: "" }
    call(:post, "/api/fittings/#{id}/sets", { **plain, watched_by: account, **said })
  end

  def count(name) = db[:gym_cues].where(name: name).select_map(%i[about helped tried])

  it "offers what helped here most, and first what helped this client" do
    id = draft
    names = offered(id, "leg_flies_back").map { |cue| cue["name"] }
    expect(names.size).to eq(3)
    said = [
      { cue: names[2], about: "leg_flies_back", went: "better" },
      { cue: names[0], about: "leg_flies_back", went: "same" }
    ]
    accept(id, "cues" => said)
    expect(status).to eq(200), last_response.body
    expect([count(names[2]), count(names[0])]).to eq([[["leg_flies_back", 1, 1]], [["leg_flies_back", 0, 1]]])

    again = offered(draft, "leg_flies_back")
    expect(again.first).to include("name" => names[2], "theirs" => true, "helped" => 1, "tried" => 1)
    other = client(loft, account, name: "Imre", sex: "man", stature: 1800)
    theirs = offered(draft(other), "leg_flies_back")
    expect(theirs.first).to include("name" => names[2], "theirs" => false)
    expect(theirs.map { |cue| cue["name"] }.last).to eq(names[0])
  end

  it "counts what was said at a set, and keeps it with the set" do
    id = draft
    accept(id)
    set(id, sign: "leg_flies_back", said: { cue: "brake_all_the_way", about: "leg_flies_back", went: "worse" })
    expect(status).to eq(201), last_response.body
    expect(count("brake_all_the_way")).to eq([["leg_flies_back", 0, 1]])
    set(id, said: { cue: "squeeze_before", about: "leg_flies_back", went: "better" })
    expect([status, JSON.parse(last_response.body)["code"]]).to eq([422, "unknown_cue"])
    expect(db[:sets].count).to eq(1)
  end

  it "takes the gym's own beside them, and takes it out again" do
    call(:post, "/api/cues", { words: "  Slow as the tide.  ", about: "leg_flies_back" })
    expect(status).to eq(201)
    own = call(:get, "/api/cues")["abouts"].find { |one| one["about"] == "leg_flies_back" }["cues"].last
    expect(own).to include("words" => "Slow as the tide.", "own" => true, "tried" => 0)
    id = draft
    accept(id, "cues" => [{ cue: own["name"], about: "leg_flies_back", went: "better" }])
    expect(offered(draft, "leg_flies_back").first).to include("words" => "Slow as the tide.")
    call(:post, "/api/cues/removal", { cue: own["name"] })
    expect(status).to eq(200)
    expect(offered(draft, "leg_flies_back").map { |cue| cue["name"] }).not_to include(own["name"])
    call(:post, "/api/cues/removal", { cue: own["name"] })
    expect(status).to eq(404)
  end

  it "tells nothing that a caution spares a client, and the gym's own words to nobody with one" do
    call(:post, "/api/cues", { words: "Hold your breath.", about: "leg_flies_back" })
    own = call(:get, "/api/cues")["abouts"].find { |one| one["about"] == "leg_flies_back" }["cues"].last["name"]
    loft.cues.count(own, about: "leg_flies_back", helped: true)
    loft.cues.count("breath_at_the_end", about: "leg_flies_back", helped: true)
    id = draft
    names = offered(id, "leg_flies_back").map { |cue| cue["name"] }
    expect(names).to include(own, "breath_at_the_end")
    call(
      :put,
      "/api/clients/#{person[:id]}/cautions",
      { caution: "blood_pressure", version: nil, cleared_by: "Dr Fenwick", cleared_on: "2026-02-11" }
    )
    expect(status).to eq(200)
    left = offered(id, "leg_flies_back").map { |cue| cue["name"] }
    expect(left).to include("brake_all_the_way")
    expect(left & [own, "breath_at_the_end"]).to eq([])
  end

  it "names no lap belt on a machine that has none" do
    expect(offered(draft, "hips_lift").map { |cue| cue["name"] }).to eq(%w[hips_back])
    db[:machines].where(id: here[:id]).update(belt: true)
    expect(offered(draft, "hips_lift").map { |cue| cue["name"] }).to eq(%w[hips_back belt_snug])
  end

  it "refuses words for nothing, and about nothing" do
    call(:post, "/api/cues", { words: "   ", about: "leg_flies_back" })
    expect(status).to eq(422)
    call(:post, "/api/cues", { words: "Up!", about: "the_weather" })
    expect([status, db[:gym_cues].count]).to eq([422, 0])
  end

  it "is one gym's own" do
    theirs = gym("The other loft")
    theirs.cues.add("Theirs alone.", about: :leg_flies_back)
    expect(JSON.generate(call(:get, "/api/cues"))).not_to include("Theirs alone.")
    expect(JSON.generate(offered(draft, "leg_flies_back"))).not_to include("Theirs alone.")
  end
end
