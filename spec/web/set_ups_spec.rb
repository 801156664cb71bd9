# frozen_string_literal: true

require "web_helper"

RSpec.describe "Setting up again, and who comes next" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let!(:other) { staff(loft, email: "tobias@netloft.example", name: "Tobias Wick") }
  let(:here) do
    machine(loft, "curl_plain", name: "Leg curl 1").tap do |row|
      adjusters =
        row[:adjusters].map.with_index do |adjuster, index|
          adjuster.merge(
            "walk_round" => {
              "side" => "right",
              "handle" => "red",
              "unlocks" => "pull pin",
              "reachable_seated" => index != 2,
              "weight_off_first" => index == 2
            }
          )
        end
      loft.machines.update(
        row[:id],
        version: 1,
        by: account,
        getting_in: "Pad up first.",
        loading: {
          kind: "stack",
          unit: "kg",
          masses: [5, 10, 20, 40]
        },
        description: {
          constants: row[:constants],
          adjusters: adjusters,
          exercises: {
          },
          taped: {
          }
        }
      )
    end
  end
  let(:person) { matteus(loft, account, thigh_depth: 150) }
  let(:tall) { client(loft, account, name: "Wendell Achterberg", sex: "man", stature: 1950) }

  before { sign_in }

  def fitted(person)
    id = call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })["id"]
    work =
      Verglas::Application::Sheet::NO_WORK.merge("load_kg" => 20, "repetitions" => 10, "sets" => 2, "last" => "easy")
    call(
      :post,
      "/api/fittings/#{id}/acceptance",
      {
        marks: call(:get, "/api/fittings/#{id}")["marks"],
        version: 1,
        work: work,
        cue: "Toes up.",
        reason: "The machine ends there."
      }
    )
    id
  end

  it "says on the bench, where it is seen at once, what comes before a pin is drawn" do
    id = call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })["id"]
    steps = call(:get, "/api/fittings/#{id}")["steps"].select { |step| step["adjuster"] }
    held, free = steps.partition { |step| step["adjuster"] == "thigh pad" }
    expect(held.first["first"].join(" ")).to match(/\ASet before anyone sits.*Take the weight off it first/)
    expect(held.first["notes"]).to include("Right side, red, pull pin")
    expect(free.flat_map { |step| step["first"] }.grep(/Set before|weight off/)).to be_empty
    expect(free.size).to eq(2)
  end

  it "is a walk-round list for any member of staff: what is set standing first, how each is met, then in, load, out" do
    id = fitted(person)
    call(:post, "/auth/logout", {})
    sign_in(email: "tobias@netloft.example")
    list = call(:get, "/api/fittings/#{id}/set-up")
    expect(list["lines"].map { |line| line["label"] }).to eq(["thigh pad", "back pad", "roller"])
    expect(list["lines"].first).to include(
      "standing" => true,
      "weight_off" => true,
      "how" => "Right side, red, pull pin"
    )
    expect(list).to include(
      "getting_in" => "Pad up first.",
      "load_text" => "20 kg",
      "cue" => "Toes up.",
      "by" => "Maren Oldcastle",
      "repetitions" => 10
    )
    expect(list["visit"]["today"]).to include(
      "load" => include("text" => "40 kg"),
      "light" => include("text" => "20 kg"),
      "says" => "Easy last time: one step up."
    )
  end

  it "asks for no more than a clinician allows since, and says so; a new fitting begins without what was lifted " \
       "before" do
    id = fitted(person)
    loft.cautions.put(
      person[:id],
      "back",
      version: nil,
      by: account,
      note: "",
      cleared_by: "Dr Fenwick",
      cleared_on: "2026-02-11",
      load_to_kg: 12
    )
    list = call(:get, "/api/fittings/#{id}/set-up")
    expect(list).to include("load_text" => "10 kg", "limited" => "No more than 12 kg: a clinician's limit.")
    expect(list["visit"]["today"]["load"]["text"]).to eq("10 kg")
    again =
      call(
        :get,
        "/api/fittings/#{call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })["id"]}"
      )
    expect([again["load"], again["work"].slice("load_kg", "repetitions")]).to eq(
      ["", { "load_kg" => nil, "repetitions" => 10 }]
    )
  end

  it "sets nobody up who is kept off since, or whose marks a limit no more allows" do
    id = fitted(person)
    loft.cautions.put(
      person[:id],
      "knee_ligament",
      version: nil,
      by: account,
      note: "",
      cleared_by: "Dr Fenwick",
      cleared_on: "2026-02-11",
      degrees: {
        "knee_flexion" => [nil, 60]
      }
    )
    expect(call(:get, "/api/fittings/#{id}/set-up")["bars"]).to eq(
      ["At these marks a joint goes past what it is allowed now: fit again before anybody sits."]
    )
    expect([call(:post, "/api/fittings/#{id}/set-up", {})["code"], status]).to eq(["past_straight_limit", 422])
    loft.cautions.put(person[:id], "heart", version: nil, by: account, note: "")
    expect(call(:get, "/api/fittings/#{id}/set-up")["bars"].first).to start_with("Heart condition")
    expect(call(:post, "/api/fittings/#{id}/set-up", {})["code"]).to eq("barred")
    expect(call(:get, "/api/machines/#{here[:id]}/queue")["standing"]).not_to be_nil
  end

  it "is there of accepted fittings only, and of this gym's" do
    draft = call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })["id"]
    call(:get, "/api/fittings/#{draft}/set-up")
    expect(status).to eq(404)
    theirs = gym("Elsewhere")
    staff(theirs, email: "spy@elsewhere.example")
    id = fitted(tall)
    call(:post, "/auth/logout", {})
    sign_in(email: "spy@elsewhere.example")
    [["/api/fittings/#{id}/set-up"], ["/api/machines/#{here[:id]}/queue"]].each do |(path)|
      call(:get, path)
      expect(status).to eq(404)
    end
  end

  it "counts the moves of each from the marks that the one before leaves, the first from where the machine stands" do
    id = fitted(person)
    call(:put, "/api/machines/#{here[:id]}/queue", { clients: [tall[:id], person[:id]], version: 0 })
    call(:post, "/api/fittings/#{id}/set-up", {})
    queue = call(:get, "/api/machines/#{here[:id]}/queue")
    mine = call(:get, "/api/fittings/#{id}")["marks"]
    expect(queue["standing"].to_h { |tag| tag.values_at("label", "mark") }).to eq(mine)
    first, second = queue["entries"]
    expect([first["fitting_id"], second["fitting_id"]]).to eq([nil, id])
    theirs = first["marks"].to_h { |tag| tag.values_at("label", "mark") }
    moving = mine.keys.reject { |label| mine[label] == theirs[label] }
    expect(first["moves"].map { |move| move.values_at("label", "from", "to") }).to eq(
      moving.map { |label| [label, mine[label], theirs[label]] }
    )
    expect(second["moves"].map { |move| move["by"] }).to eq(first["moves"].map { |move| -move["by"] })
    expect(call(:get, "/api/fittings/#{id}/set-up")["lines"].map { |line| line["move"] }).to all(be_nil)
  end

  it "overwrites nobody's list, and takes nobody else's clients" do
    path = "/api/machines/#{here[:id]}/queue"
    call(:put, path, { clients: [tall[:id]], version: 0 })
    stale = call(:put, path, { clients: [person[:id]], version: 0 })
    expect([status, stale["code"], stale["current"]["entries"].map { |entry| entry["client"]["name"] }]).to eq(
      [409, "stale", ["Wendell Achterberg"]]
    )
    call(:put, path, { clients: [SecureRandom.uuid], version: 1 })
    expect(status).to eq(404)
    expect(call(:put, path, { clients: [tall[:id], tall[:id]], version: 1 })["path"]).to eq("/clients")
    expect(call(:put, path, { exercise: "curl", clients: [], version: 0 })["code"]).to eq("not_allowed")
  end
end
