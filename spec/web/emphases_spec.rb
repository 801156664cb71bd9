# frozen_string_literal: true

require "web_helper"

# What an exercise is done for: each emphasis is an exercise with a fitting, log and line of its own.
RSpec.describe "What an exercise is done for" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:person) { client(loft, account, sex: "woman", body_mass_kg: 66, stature: 1648, floor_to_knee_top: 519) }
  let(:loading) { { kind: "stack", unit: "kg", masses: (1..20).map { |step| step * 5 } } }
  let(:press) { machine(loft, "incline_sled", name: "Leg press 1", loading: loading) }
  let(:bench) { machine(loft, "pad_and_angle", name: "Hip bench 1") }

  before { sign_in }

  def opened(row, exercise = nil)
    call(
      :post,
      "/api/fittings",
      { client_id: person[:id], machine_id: row[:id], **(exercise ? { exercise: exercise } : {}) }
    )[
      "id"
    ]
  end

  def page(id) = call(:get, "/api/fittings/#{id}")

  def measure(limit, reading)
    call(
      :put,
      "/api/clients/#{person[:id]}/limits/#{limit}",
      { reading: reading, version: call(:get, "/api/clients/#{person[:id]}/limits")["client"]["version"] }
    )
    expect(status).to eq(200)
  end

  def measured
    measure("hip_bend", 125)
    measure("ankle", 10)
  end

  def caution(name, **fields)
    call(:put, "/api/clients/#{person[:id]}/cautions", { caution: name, version: nil, **fields })
    expect(status).to eq(201).or eq(200)
  end
  def cleared = { cleared_by: "Dr Fenwick", cleared_on: "2026-02-11" }

  def accept(row, exercise = nil, load_kg: 40)
    id = opened(row, exercise)
    shown = page(id)
    work = Verglas::Application::Sheet::NO_WORK.merge("load_kg" => load_kg, "repetitions" => 10, "sets" => 2)
    call(
      :post,
      "/api/fittings/#{id}/acceptance",
      { **sheet(shown), marks: shown["marks"], work: { **work, "last" => "clean" }, reason: "As felt." }
    )
    expect(status).to eq(200), last_response.body
    id
  end

  def line(name, id) = page(id)["emphases"].find { |one| one["name"] == name }

  it "offers even, hip and knee, tells what each does to knee and hip, and opens a bench of its own" do
    measured
    even = page(opened(press))
    expect(even["emphases"].map { |one| one.values_at("name", "title", "active") }).to eq(
      [
        ["", "Even", true],
        ["hip", "Hip", false],
        ["knee", "Knee", false],
        ["calf", "Calf work", false],
        ["calf_knees_bent", "Calf work, knees a little bent", false]
      ]
    )
    hip = page(opened(press, "hip"))
    knee = page(opened(press, "knee"))
    expect(hip["machine"]["name"]).to eq("Leg press 1: hip")
    heels = [knee, even, hip].map { |shown| shown["aids"]["foot_mm"] }
    expect(heels).to eq(heels.sort.uniq)
    told = hip["emphases"].find { |one| one["name"] == "hip" }
    expect(told["feet"]).to include("Heels #{heels.last.round} mm")
    expect(told.values_at("known", "said")).to all(be_a(String))
  end

  it "closes what leads into a joint with a caution on it, cleared or not" do
    measured
    id = opened(press)
    expect([line("hip", id), line("knee", id)]).to all(include("closed" => []))
    caution("knee", **cleared)
    expect(line("knee", id)).to be_nil
    expect(line("hip", id)).to include("closed" => [])
    caution("hip_replacement", **cleared)
    expect(page(id)["emphases"].select { |one| one["closed"].empty? }.map { |one| one["name"] }).to eq([""])
  end

  it "opens for the hip only once its bend was measured, for the knee once the ankle was, and says so" do
    id = opened(press)
    expect(line("hip", id)["closed"]).to eq(["For hip only once this is measured: bend of the hip."])
    expect(line("knee", id)["closed"].size).to eq(1)
    refused = call(:post, "/api/fittings", { client_id: person[:id], machine_id: press[:id], exercise: "hip" })
    expect([status, refused["code"], db[:fittings].count]).to eq([422, "emphasis_closed", 1])
    measured
    expect(%w[hip knee].map { |name| line(name, id)["closed"] }).to eq([[], []])
    call(:post, "/api/fittings", { client_id: person[:id], machine_id: press[:id], exercise: "rounded" })
    expect(status).to eq(422)
  end

  it "keeps two logs apart: loads, next load, lines of card and set-up" do
    measured
    even = accept(press, "", load_kg: 40)
    hip = accept(press, "hip", load_kg: 60)
    call(
      :post,
      "/api/fittings/#{hip}/sets",
      {
        load_kg: 60,
        repetitions: 10,
        last: "easy",
        reached: 1,
        felt: "back_thigh",
        sign: nil,
        leg: "",
        watched_by: account
      }
    )
    expect(status).to eq(201).or eq(200)
    today = ->(id) { call(:get, "/api/fittings/#{id}/set-up")["visit"]["today"]["load"]["kg"] }
    expect([today[even], today[hip]]).to match([40, a_value > 40])
    cards = call(:get, "/api/clients/#{person[:id]}")["card"]
    expect(cards.map { |one| one["exercise"] }).to contain_exactly("", "hip")
    lines = call(:get, "/api/clients/#{person[:id]}")["machines"].flat_map { |one| one["lines"] }
    expect(lines.map { |one| one.values_at("exercise", "name", "bars") }).to eq(
      [["", "Leg press 1", []], ["hip", "Leg press 1: hip", []]]
    )
    felt = call(:get, "/api/fittings/#{hip}/set-up")["visit"]["felt"]
    expect(felt.take(2).map { |one| one["name"] }).to match_array(%w[buttock back_thigh])
    expect(felt.find { |one| one["name"] == "back_thigh" }["meaning"]).to eq("works")
  end

  it "closes what a caution closes: on the bench, and for what was accepted before" do
    done = accept(bench, "rounded", load_kg: 0)
    expect(page(done)["machine"]["name"]).to eq("Hip bench 1: rounded")
    caution("back", **cleared)
    plain = opened(bench, "")
    expect(page(plain)["emphases"]).to eq([])
    refused = call(:post, "/api/fittings", { client_id: person[:id], machine_id: bench[:id], exercise: "back" })
    expect([status, refused["message"]]).to eq([422, "Not for back with this client's cautions."])
    expect(call(:get, "/api/fittings/#{done}/set-up")["bars"]).to include(
      "Not for rounded with this client's cautions."
    )
  end

  it "is what the house rule puts first where nobody says, and what it says is its own" do
    call(:put, "/api/clients/#{person[:id]}/rules/hinge_intent", { school: "spine_moves", version: 1, reason: "asked" })
    shown = page(opened(bench))
    expect(shown["emphases"].find { |one| one["active"] }["name"]).to eq("back")
    expect(JSON.generate(shown["steps"])).to include("held there; only the spine moves")
    expect(shown["evaluation"]["scene"]["poses"]).to eq([])
    expect(shown["machine"]["aids"].map { |aid| aid["name"] }).not_to include("held_kg")
    plain = page(opened(bench, ""))
    expect(plain["emphases"].find { |one| one["active"] }["title"]).to eq("Hip")
    expect(JSON.generate(plain["steps"])).to include("Up until the hips are straight")
  end
end
