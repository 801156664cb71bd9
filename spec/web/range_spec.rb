# frozen_string_literal: true

require "web_helper"

# Where the house begins with less of the range: opened by the rung, closed by a sign, solved like any wish.
RSpec.describe "A range that grows" do
  let(:loft) { gym }
  let!(:account) { staff(loft, role: "lead") }
  let(:person) do
    client(
      loft,
      account,
      name: "Matteus Orr",
      sex: "man",
      body_mass_kg: 80,
      stature: 1760,
      seat_to_kneecap: 615,
      floor_to_knee_top: 552,
      knee_to_ankle: 428
    )
  end

  before do
    sign_in
    begin_with("less_first")
  end

  def begin_with(school)
    call(:put, "/api/rules/newcomers_range", { school: school, version: loft.versions[:rules] })
  end

  def page(id) = call(:get, "/api/fittings/#{id}")
  def listed(id) = call(:get, "/api/fittings/#{id}/set-up")

  def accept(row)
    id = call(:post, "/api/fittings", { client_id: person[:id], machine_id: row[:id] })["id"]
    shown = page(id)
    work = Verglas::Application::Sheet::NO_WORK.merge("load_kg" => 20, "repetitions" => 10, "sets" => 2)
    call(
      :post,
      "/api/fittings/#{id}/acceptance",
      { **sheet(shown), marks: shown["marks"], aids: shown["aids"], work: work, reason: "As felt." }
    )
    expect(status).to eq(200), last_response.body
    id
  end

  # One visit a week: everything before lies a week further back.
  def visit(id, sign: nil)
    back = Sequel.lit("interval '7 days'")
    db[:visits].update(begun_at: Sequel[:begun_at] - back, last_at: Sequel[:last_at] - back)
    db[:sets].update(done_at: Sequel[:done_at] - back)
    db[:fittings].exclude(accepted_at: nil).update(accepted_at: Sequel[:accepted_at] - back)
    said = { load_kg: 20, repetitions: 10, last: "clean", reached: 1, felt: nil, sign: sign, leg: "" }
    call(:post, "/api/fittings/#{id}/sets", { **said, watched_by: account })
    expect(status).to eq(200).or(eq(201)), last_response.body
    db[:visits].update(begun_at: Sequel[:begun_at] - back, last_at: Sequel[:last_at] - back)
    db[:sets].update(done_at: Sequel[:done_at] - back)
    db[:fittings].exclude(accepted_at: nil).update(accepted_at: Sequel[:accepted_at] - back)
  end

  def told(id) = listed(id)["allowed"].grep(/of the range today/).first
  def mark(id, label) = listed(id)["lines"].find { |one| one["label"] == label }["mark"]

  def row(fixture)
    machine(loft, fixture).tap do |one|
      loft.machines.update(
        one[:id],
        version: 1,
        by: account,
        loading: {
          kind: "stack",
          unit: "kg",
          masses: [5, 10, 15, 20, 25, 30]
        }
      )
    end
  end

  # A press with a stop every 40 mm.
  def press
    stops = { "label" => "stops", "marks" => ("1".."9").to_a, "travel" => (0..8).map { |step| step * 40 } }
    sled = Worked::MACHINES.fetch("incline_sled")
    adjusters = sled["adjusters"].map { |one| one["label"] == "stops" ? one.merge(stops) : one }
    id =
      loft.machines.insert(
        family: sled["family"],
        name: "Leg press 1",
        loading: {
          kind: "stack",
          unit: "kg",
          masses: [5, 10, 15, 20, 25, 30]
        },
        description: {
          constants: sled["constants"],
          adjusters: adjusters,
          exercises: {
          }
        }
      )
    loft.machines.find(id)
  end

  # What sets the range before each of ten visits, and what is told; a sign at the fifth, on the rung above.
  def ten_visits(id, label)
    sign = page(id)["machine"]["signs"].find { |one| !one["never"] }["name"]
    Array.new(10) do |index|
      [label ? mark(id, label) : listed(id)["placed"].last["mark"].to_i, told(id)&.slice(/\A[^.]+/)].tap do
        visit(id, sign: index == 4 ? sign : nil)
      end
    end
  end

  def shares = [0.5, 0.5, 0.75, 0.75, 1, 0.75, 0.75, 1, 1, 1]
  def half = "Half of the range today"
  def three_quarters = "Three quarters of the range today"

  # The same mark on the same rung.
  def expect_rungs(shown)
    expect(shown.map(&:last)).to eq(shares.map { |share| { 0.5 => half, 0.75 => three_quarters }[share] })
    by_rung = shares.zip(shown.map(&:first)).group_by(&:first).transform_values { |pairs| pairs.map(&:last).uniq }
    expect(by_rung.values.map(&:size)).to eq([1, 1, 1])
    by_rung.transform_values(&:first)
  end

  it "opens a press by its stop, and goes one back after a sign" do
    marks = expect_rungs(ten_visits(accept(press), "stops"))
    expect(marks[0.5]).not_to eq(marks[1])
  end

  it "opens a curl by its start" do
    marks = expect_rungs(ten_visits(accept(row("curl_slide")), "start"))
    expect(marks.values.uniq.size).to be >= 2
  end

  it "opens a hinge by how far down it goes" do
    marks = expect_rungs(ten_visits(accept(machine(loft, "pad_and_angle")), nil))
    expect([marks[0.5], marks[0.75], marks[1]]).to eq([marks[0.5], marks[0.75], marks[1]].sort.uniq)
    expect(marks[0.5]).to be_within(1).of(marks[1] * 0.5)
  end

  it "solves for today, and says what the whole range will be" do
    here = press
    id = call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })["id"]
    shown = page(id)
    depth = shown["evaluation"]["findings"].find { |one| one["code"] == "knee_depth" }
    stop = shown["evaluation"]["findings"].find { |one| one["code"] == "stop_slack" }
    expect([depth["says"], stop["band"]]).to match([/Knees bend \d+° today; the whole range is \d+°/, "in line"])
    said = shown["steps"].flat_map { |step| step["first"] + step["notes"] }.grep(/of the range today/).uniq
    expect(said).to match([/\AHalf of the range today. The whole range, with stops \w+, after 4 clean visits.\z/])
    begin_with("whole")
    whole = page(id)["advice"]["marks"]["stops"]
    expect(said.first).to include("stops #{whole},")
  end

  it "shows today's marks wherever somebody is set up from: card, page, plan, wall" do
    here = press
    id = accept(here)
    first = mark(id, "stops")
    2.times { visit(id) }
    2.times { visit(id) }
    now = mark(id, "stops")
    expect(now).not_to eq(first)
    card = call(:get, "/api/clients/#{person[:id]}")["card"].first
    expect(card["accepted"]["marks"].find { |tag| tag["label"] == "stops" }["mark"]).to eq(now)
    again = call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })["id"]
    expect(page(again)["marks"]["stops"]).to eq(now)
    wall = call(:get, "/api/machines/#{here[:id]}/sheet")
    stops = wall["columns"].index { |column| column["label"] == "stops" }
    expect(wall["rows"].map { |line| line["cells"][stops] }).to eq([now])
  end

  it "goes back from what was accepted over the whole range, and never past what is the client's own" do
    begin_with("whole")
    here = machine(loft, "pad_and_angle")
    id = accept(here)
    whole = listed(id)["placed"].last["mark"].to_i
    begin_with("less_first")
    half = listed(id)["placed"].last["mark"].to_i
    expect(half).to be_within(1).of(whole / 2.0)
    4.times { visit(id) }
    expect(listed(id)["placed"].last["mark"].to_i).to eq(whole)
    expect(listed(id)["bars"]).to eq([])
  end

  it "says nothing of it where the gym begins with the whole range" do
    begin_with("whole")
    expect(told(accept(press))).to be_nil
  end
end
