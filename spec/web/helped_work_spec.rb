# frozen_string_literal: true

require "web_helper"
require "csv"
require_relative "../support/taking_in"

# Drop sets, a partner's help: counted apart, read by nothing, barred where a caution wants light hands or no holds.
RSpec.describe "Helped work over HTTP" do
  include TakingIn

  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:person) { matteus(loft, account) }
  let(:loading) { { kind: "stack", unit: "kg", masses: [5, 10, 15, 20, 25, 30, 35, 40], reach: false } }
  let(:here) { machine(loft, "slide_back", name: "Leg extension 1", loading: loading) }
  let(:fitting) do
    id = call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })["id"]
    shown = call(:get, "/api/fittings/#{id}")
    work = { **Verglas::Application::Sheet::NO_WORK, "load_kg" => 40, "repetitions" => 10, "last" => "clean" }
    call(
      :post,
      "/api/fittings/#{id}/acceptance",
      { **sheet(shown), marks: shown["marks"], work: work, reason: "As felt." }
    )
    id
  end

  before { sign_in }

  def visit = call(:get, "/api/fittings/#{fitting}/set-up")["visit"]

  def set(**said)
    plain = { load_kg: 40, repetitions: 10, last: "clean", reached: 1, felt: "front_thigh", sign: nil, leg: "" }
    call(:post, "/api/fittings/#{fitting}/sets", { **plain, watched_by: account, **said })
  end

  it "tells the next loads that exist, about a fifth less each, and who moves the pin" do
    set
    helped = visit["helped"]
    expect(helped["drops"].map { |load| load["kg"] }).to eq([30, 25, 20])
    expect(helped["says"]).to include("a second person")
    expect(helped["kinds"].map { |kind| kind["name"] }).to eq(%w[drop partner lowering self])
  end

  it "tells no load above what a clinician allows" do
    set
    word = { version: nil, cleared_by: "Dr Fenwick", cleared_on: "2026-02-11", load_to_kg: 22 }
    call(:put, "/api/clients/#{person[:id]}/cautions", { caution: "knee", **word })
    expect(status).to eq(200)
    expect(visit["helped"]["drops"].map { |load| load["kg"] }).to eq([20])
  end

  it "counts it apart: it is shown, and neither the next load nor strength reads it" do
    set
    before = visit["today"]["load"]["kg"]
    set(load_kg: 30, repetitions: 6, kind: "drop", last: "not_reached")
    set(load_kg: 40, repetitions: 4, kind: "partner", helped: 4, last: "not_reached")
    expect(status).to eq(201)
    shown = visit["going_on"]
    expect(shown["sets"].map { |one| one.values_at("kind", "helped") }).to eq([["", 0], ["drop", 0], ["partner", 4]])
    later = Sequel.lit("interval '7 days'")
    db[:visits].update(begun_at: Sequel[:begun_at] - later, last_at: Sequel[:last_at] - later)
    expect(visit["today"]["load"]["kg"]).to eq(before).or be > before
    lifted = Verglas::Store::Queries::LiftedSets.new(loft).call([person[:id]])[person[:id]]
    expect(lifted.map { |row| row[:load_kg].to_f }).to all(eq(40.0))
    latest = Verglas::Store::Queries::LatestLoads.new(loft).call(person[:id])
    expect(latest.values.map { |row| row[:load_kg] }).to eq([40.0])
  end

  it "still hears what hurt" do
    set(load_kg: 30, kind: "drop", felt: "knee", last: nil)
    expect(visit["going_on"]["stopped"]).to be(true)
  end

  it "is not offered, and refused, where a caution wants no holds and two in hand" do
    fitting
    call(
      :put,
      "/api/clients/#{person[:id]}/cautions",
      { caution: "blood_pressure", version: nil, cleared_by: "Dr Fenwick", cleared_on: "2026-02-11" }
    )
    expect(visit["helped"]).to be_nil
    refused = set(load_kg: 10, kind: "drop")
    expect([status, refused["code"], db[:sets].count]).to eq([422, "helped_barred", 0])
  end

  it "goes out with the visits and comes in again as what it was" do
    set
    set(load_kg: 30, kind: "drop", last: "not_reached")
    set(kind: "partner", helped: 3, last: "not_reached")
    db[:accounts].update(role: "lead")
    table = call(:get, "/api/export/visits.csv")
    rows = CSV.parse(table, headers: true).map { |row| row.to_h.slice("help", "helped") }
    expect(rows).to eq(
      [
        { "help" => nil, "helped" => nil },
        { "help" => "drop", "helped" => nil },
        { "help" => "partner", "helped" => "3" }
      ]
    )
    db[:sets].delete
    db[:visits].delete
    expect(take_in("visits", table)["state"]).to eq("taken")
    expect(db[:sets].order(:number).select_map(%i[kind helped])).to eq([["", 0], ["drop", 0], ["partner", 3]])
  end
end
