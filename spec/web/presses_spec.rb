# frozen_string_literal: true

require "web_helper"

# Presses and squats over HTTP: feet and chain are placed, limits are found, what does not fit names what does.
RSpec.describe "Presses and squats over HTTP" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:person) { client(loft, account, sex: "woman", stature: 1648, floor_to_knee_top: 519) }
  let(:press) { machine(loft, "incline_sled", name: "Leg press 1") }
  let(:hack) { machine(loft, "shoulder_sled", name: "Hack squat 1") }

  before { sign_in }

  def bench(row, who = person) = call(:post, "/api/fittings", { client_id: who[:id], machine_id: row[:id] })["id"]
  def page(id) = call(:get, "/api/fittings/#{id}")
  def finding(evaluation, code) = evaluation["findings"].find { |one| one["code"] == code }
  def evaluated(id, marks, aids = {}) = call(:post, "/api/fittings/#{id}/evaluation", { marks: marks, aids: aids })

  def measure(limit, reading)
    call(
      :put,
      "/api/clients/#{person[:id]}/limits/#{limit}",
      { reading: reading, version: call(:get, "/api/clients/#{person[:id]}/limits")["client"]["version"] }
    )
  end

  def caution(name, **fields)
    call(:put, "/api/clients/#{person[:id]}/cautions", { caution: name, version: nil, **fields })
  end
  def cleared = { cleared_by: "Dr Fenwick", cleared_on: "2026-02-11" }

  it "opens with the feet in the middle of their window, a step of their own, and the movement in poses" do
    measure("hip_bend", 115)
    shown = page(bench(press))
    plate, placed = shown["evaluation"].then { |evaluation| [evaluation["scene"]["plate"], evaluation["placed"].first] }
    expect(shown["steps"].map { |step| step["id"] }).to eq(
      %w[@before backrest @support stops @foot_mm @again @secure @light @watch @working]
    )
    expect(placed).to include("name" => "foot_mm", "value" => shown["aids"]["foot_mm"], "step" => 10)
    expect(plate["heel_mm"]).to be_within(1).of((plate["low_mm"] + plate["high_mm"]) / 2)
    expect(plate["says"]).to eq(["knees pass the toes", "pelvis rolls"])
    expect(shown["evaluation"]["scene"]["poses"].map { |pose| pose["share"] }.minmax).to eq([0, 1])
    expect(shown["evaluation"]["scene"]["poses"].first["deg"].map { |bend| bend["deg"] }[1]).to eq(
      finding(shown["evaluation"], "knee_depth")["value"].round
    )
    expect(shown["evaluation"]["scene"]["labels"].find { |label| label["set"] }["text"]).to eq(shown["marks"]["stops"])
  end

  it "has the depth of a hack squat facing the pad seen by eye and written down, and claims no angle" do
    towards = machine(loft, "shoulder_sled_towards", name: "Hack squat 2")
    measure("knee_bend", 95)
    shown = page(bench(towards))
    expect(shown["steps"].find { |step| step["id"] == "@carriage_down_mm" }["title"]).to eq("Depth by eye")
    expect(shown["steps"].flat_map { |step| step["first"] + step["notes"] }).to include(
      "Stop by eye where the knee reaches its own 95° of bend."
    )
    sent = {
      marks: shown["marks"],
      aids: shown["aids"].merge("carriage_down_mm" => 320),
      version: shown["version"],
      reason: "So."
    }
    call(:post, "/api/fittings/#{shown["id"]}/acceptance", sent)
    expect(status).to eq(200)
    expect(call(:get, "/api/clients/#{person[:id]}")["card"].first["accepted"]["cushions"]).to include(
      "Carriage 320 mm down, by eye."
    )
  end

  it "is entered with irregular stops, taped length by length with what is no length too, and then advises" do
    adjusters = [
      { label: "backrest", kind: "recline", forwards: true, marks: %w[I II III] },
      { label: "stops", kind: "stop", forwards: true, marks: %w[1 2 3 4] }
    ]
    made =
      call(
        :post,
        "/api/machines",
        {
          family: "press_sled",
          name: "Leg press 9",
          loading: {
            kind: "plates",
            unit: "kg",
            bare: 47,
            horns: 1
          },
          adjusters: adjusters
        }
      )
    path = "/api/machines/#{made["machine"]["id"]}/lengths"
    untaped = page(bench({ id: made["machine"]["id"] }))
    expect(
      [
        untaped["advice"]["status"],
        untaped["evaluation"]["scene"],
        untaped["evaluation"]["placed"],
        untaped["findable"]
      ]
    ).to eq([nil, nil, [], []])
    lengths = made["exercises"].first["lengths"]
    expect(lengths.to_h { |length| length.values_at("name", "unit") }).to include(
      "sled_mass" => "kg",
      "plate_y" => "mm",
      "plate_angle" => "deg"
    )
    keep = ->(**given) do
      made =
        call(:put, path, { version: made["version"], exercise: "", confirmed: false, **given }).tap do |answer|
          expect(status).to eq(200), answer.to_s
        end
    end
    Worked::MACHINES.fetch("incline_sled")["constants"].each { |name, value| keep.call(name: name, value: value) }
    keep.call(adjuster: "backrest", travel: [0, 11, 20])
    expect(made["machine"]["taped"]).to eq("untaped")
    keep.call(adjuster: "stops", travel: [0, 31, 77, 108])
    expect(
      [
        made["machine"]["taped"],
        made["exercises"].first["people"].map { |one| one["grade"] }.uniq - ["in line", "close", "off"]
      ]
    ).to eq(["taped", []])
    expect(
      page(call(:post, "/api/fittings", { client_id: person[:id], machine_id: made["machine"]["id"] })["id"])["advice"]
    ).to include("status" => "fits")
    odd = call(:put, path, { version: made["version"], exercise: "", confirmed: false, name: "plate_angle", value: 12 })
    expect([status, odd["code"], odd["params"].slice("low", "high")]).to eq(
      [422, "constant_out_of_range", { "low" => 30, "high" => 130 }]
    )
  end

  it "keeps the feet where they were put, and says what that does" do
    id = bench(press)
    marks = page(id)["marks"]
    high = evaluated(id, marks, { foot_mm: 300 })
    expect(finding(high, "knee_depth")).to include("band" => "off")
    expect(finding(high, "knee_depth")["says"]).to include("the pelvis rolls")
    expect(high["placed"].first).to include("value" => 300)
    expect(call(:post, "/api/fittings/#{id}/evaluation", { marks: marks, aids: { lamp_mm: 3 } })).to include(
      "code" => "unknown_field",
      "path" => "/aids/lamp_mm"
    )
  end

  it "shrinks the window for a stiff ankle, closes it with a low pelvis limit, and names what would open it" do
    measure("hip_bend", 115)
    open_width = page(bench(press))["evaluation"]["scene"]["plate"].then { |plate| plate["high_mm"] - plate["low_mm"] }
    measure("ankle", 4.9)
    narrow = page(bench(press))["evaluation"]["scene"]["plate"]
    expect(narrow["high_mm"] - narrow["low_mm"]).to be_between(1, open_width - 10)
    expect(narrow["says"]).to eq(["heels lift", "pelvis rolls"])
    measure("hip_bend", 104)
    closed = page(bench(press))["evaluation"]["scene"]["plate"]
    expect(closed.values_at("low_mm", "high_mm")).to eq([nil, nil])
    expect(closed["closed"]).to match(/No place of the feet gives 90°.*\. A 9° heel wedge would give the rest/)
  end

  it "gives one leg half at most, and says so only where it is more" do
    one_legged = machine(loft, "incline_sled", name: "Leg press 2", one_leg: true)
    id = bench(one_legged)
    remarks = ->(left) do
      call(:post, "/api/fittings/#{id}/loads", { wanted_kg: 80, left_kg: left, right_kg: 40, repetitions: 10 })[
        "remarks"
      ].grep(/One leg/)
    end
    expect([remarks.call(40), remarks.call(45)]).to eq([[], ["One leg takes half at most here: 40 kg."]])
    expect(page(id)["steps"].last.values_at("first", "notes").join(" ")).to include("One leg at a time: at most half")
  end

  it "remarks a lightest load that is nearly as heavy as whoever carries it on the shoulders" do
    db[:clients].where(id: person[:id]).update(body_mass_kg: 58)
    row =
      machine(
        loft,
        "shoulder_sled",
        name: "Hack squat 1",
        loading: Sequel.pg_jsonb({ kind: "sled", unit: "kg", bare: 58, incline_deg: 45 })
      )
    said = -> { page(bench(row))["steps"].first["first"].grep(/shoulders/) }
    expect(said.call).to eq(["On the shoulders the lightest is 58 kg: 100 % of body mass."])
    db[:clients].where(id: person[:id]).update(body_mass_kg: 90)
    expect(said.call).to be_empty
  end

  it "tells nobody with numb feet of a wedge" do
    caution("numb_feet")
    measure("ankle", 4.9)
    measure("hip_bend", 104)
    shown = page(bench(press))
    expect(shown["evaluation"]["scene"]["plate"]["closed"]).to match(
      /No place of the feet gives 90°.* is the deepest\.\z/
    )
    expect(JSON.generate(shown)).not_to include("wedge")
  end

  it "remembers where the pelvis starts to roll, with who and where, and decides by it on the next machine" do
    id = bench(press)
    before = page(id)
    expect(before["findable"].map { |one| one["limit"] }).to eq(%w[hip_bend ankle])
    kept =
      call(
        :post,
        "/api/fittings/#{id}/limits/hip_bend",
        { marks: before["marks"], aids: before["aids"], share: 0.25, client_version: before["client"]["version"] }
      )
    seen =
      before["evaluation"]["scene"]["poses"].min_by { |pose| (pose["share"] - 0.25).abs }["deg"].find do |bend|
        bend["motion"] == "hip_flexion"
      end[
        "deg"
      ]
    expect(kept["limits"].find { |limit| limit["name"] == "hip_bend" }["measured"]).to include(
      "by" => account_name,
      "on" => "Leg press 1",
      "deg" => be_within(4).of(seen)
    )
    expect(finding(page(id)["evaluation"], "knee_depth")["value"]).to be <
      finding(before["evaluation"], "knee_depth")["value"]
    expect(
      page(bench(machine(loft, "seat_on_rail", name: "Leg press 2")))["evaluation"]["scene"]["poses"].first[
        "deg"
      ].first[
        "limit"
      ]
    ).to be < 105
    stale =
      call(
        :post,
        "/api/fittings/#{id}/limits/hip_bend",
        { marks: before["marks"], aids: before["aids"], share: 0.25, client_version: before["client"]["version"] }
      )
    expect([status, stale["code"]]).to eq([409, "stale"])
  end

  def account_name = db[:accounts].where(id: account).get(:name)

  it "does not find a limit that a caution forbids to measure" do
    caution("back")
    id = bench(press)
    shown = page(id)
    expect(shown["findable"].map { |one| one["limit"] }).to eq(%w[ankle])
    refused =
      call(
        :post,
        "/api/fittings/#{id}/limits/hip_bend",
        { marks: shown["marks"], aids: shown["aids"], share: 0.0, client_version: shown["client"]["version"] }
      )
    expect([status, refused["code"]]).to eq([422, "limit_skipped"])
  end

  it "shows what a new hip bars under the new hip's figure, not under everybody's" do
    caution("hip_replacement", side: "left")
    shown = page(bench(press))
    expect(shown["bars"].size).to eq(1)
    hip = shown["evaluation"]["scene"]["poses"].map { |pose| pose["deg"].first }
    expect(hip.map { |bend| bend["limit"] }.uniq).to eq([90])
    expect(hip.map { |bend| bend["deg"] }.max).to be <= 90
  end

  it "takes ten degrees off the pelvis's limit with a sore back, and lets no stop past what is left" do
    caution("back", **cleared)
    id = bench(press)
    shown = page(id)
    expect(shown["evaluation"]["scene"]["poses"].first["deg"].first["limit"]).to eq(95)
    lowest = evaluated(id, { **shown["marks"], "stops" => "1" }, shown["aids"])
    expect(finding(lowest, "stop_slack")).to include("band" => "fault")
    refused =
      call(
        :post,
        "/api/fittings/#{id}/acceptance",
        { **sheet(shown), marks: { **shown["marks"], "stops" => "1" }, reason: "they asked for it" }
      )
    expect([status, refused["code"]]).to eq([422, "past_hip_limit"])
  end

  it "keeps a cleared knee at 70 degrees, in line there" do
    caution("knee", **cleared)
    shown = page(bench(press))
    expect(finding(shown["evaluation"], "knee_depth")).to include("value" => 70, "band" => "in line")
    expect(shown["steps"].find { |step| step["id"] == "@foot_mm" }["right"]).to include("70°")
    expect(shown["steps"].last.values_at("first", "notes").join(" ")).to include("Down to 70° of knee bend at most")
  end

  it "bars in pregnancy until cleared, and then sets the back upright, where one of the machine's own is" do
    caution("pregnancy")
    expect(page(bench(press))["bars"]).not_to be_empty
    call(:put, "/api/clients/#{person[:id]}/cautions", { caution: "pregnancy", version: 1, **cleared })
    low = page(bench(press))
    expect([low["bars"], low["advice"]["status"], finding(low["evaluation"], "knee_depth")["band"]]).to eq(
      [[], "impossible", "fault"]
    )
    expect(JSON.generate(low["evaluation"]["findings"].map { |one| one["move"] })).not_to include("backrest")
    shown = page(bench(machine(loft, "seat_on_rail", name: "Leg press 2")))
    expect([shown["bars"], shown["advice"]["marks"]["backrest"]]).to eq([[], "1"])
    expect(shown["steps"].find { |step| step["adjuster"] == "backrest" }["right"]).to eq(
      "As upright as it goes: a caution asks for it."
    )
    refused =
      call(
        :post,
        "/api/fittings/#{shown["id"]}/acceptance",
        { **sheet(shown), marks: { **shown["marks"], "backrest" => "3" }, reason: "more comfortable" }
      )
    expect([status, refused["code"]]).to eq([422, "not_upright"])
  end

  describe "a hack squat and somebody short" do
    let(:short) { client(loft, account, name: "Bettine Roe", sex: "woman", stature: 1380) }

    before do
      loft.equipment.replace(
        { "cushion_back" => [], "cushion_seat" => [], "hip_pad" => [], "block" => [20, 40, 80], "mat" => [] }
      )
    end

    it "says by how much the latch is out of reach, and accepts it for no reason" do
      id = bench(hack, short)
      shown = page(id)
      expect(shown["advice"]).to include("status" => "impossible")
      expect(shown["advice"]["shortfalls"].first["says"]).to match(/\d+ mm out of reach with the whole foot down/)
      refused =
        call(
          :post,
          "/api/fittings/#{id}/acceptance",
          { **sheet(shown), marks: shown["marks"], reason: "on tiptoe it goes" }
        )
      expect([status, refused["code"]]).to eq([422, "latch_out_of_reach"])
    end

    it "names the gym's other machine first, then the block where the maker allows one" do
      belt = machine(loft, "chain_on_lever", name: "Belt squat 1")
      allowed = machine(loft, "shoulder_sled", name: "Hack squat 2", cushions_allowed: true)
      shown = page(bench(allowed, short))
      expect(shown["advice"]["instead"].map { |one| one["machine_id"] }).to eq([belt[:id]])
      expect(shown["advice"]["instead"].first["says"]).to eq(
        "Belt squat 1, by the door, trains the same and fits: go there first."
      )
      expect(shown["advice"]["grade"]).to eq("close")
      expect(shown["advice"]["aids_says"].first).to match(
        /With the \d+ mm block under both feet, fixed and non-slip; without it the latch is \d+ mm out of reach/
      )
      expect(page(bench(belt, short))["advice"]["instead"]).to be_empty
      loft.machines.update(belt[:id], version: 1, by: account, state: "out_of_order")
      expect(page(bench(allowed, short))["advice"]["instead"]).to be_empty
    end

    it "offers no block under numb feet" do
      allowed = machine(loft, "shoulder_sled", name: "Hack squat 2", cushions_allowed: true)
      call(:put, "/api/clients/#{short[:id]}/cautions", { caution: "numb_feet", version: nil })
      shown = page(bench(allowed, short))
      expect([shown["machine"]["aids"], shown["advice"]["status"]]).to eq([[], "impossible"])
      expect([shown["advice"], shown["evaluation"]].map { |told| JSON.generate(told) }).to all(
        satisfy { |told| !told.match?(/\bblock\b|\bmats?\b|wedge/) }
      )
      explained =
        call(
          :post,
          "/api/fittings/#{shown["id"]}/signs",
          { marks: shown["marks"], aids: shown["aids"], signs: ["tiptoe_to_unlatch"] }
        )
      expect(JSON.generate(explained)).not_to include("block")
    end

    it "carries no block on once a caution forbids it, accepts none, and says so on the set-up list" do
      allowed = machine(loft, "shoulder_sled", name: "Hack squat 2", cushions_allowed: true)
      first = page(bench(allowed, short))
      accepted = call(:post, "/api/fittings/#{first["id"]}/acceptance", { **sheet(first), marks: first["marks"] })
      expect(first["aids"]["block_mm"]).to be_positive
      call(:put, "/api/clients/#{short[:id]}/cautions", { caution: "numb_feet", version: nil })
      expect(call(:get, "/api/fittings/#{accepted["id"]}/set-up")["bars"].join).to include("forbidden by a caution now")
      again = page(bench(allowed, short))
      expect(again["aids"]["block_mm"]).to eq(0)
      refused =
        call(
          :post,
          "/api/fittings/#{again["id"]}/acceptance",
          { **sheet(again), aids: first["aids"], marks: again["marks"], reason: "it went well before" }
        )
      expect([status, refused["code"]]).to eq([422, "forbidden_aid"])
    end

    it "accepts nothing while somebody is seen on tiptoe" do
      tall = client(loft, account, name: "Wendell Roe", sex: "man", stature: 1800)
      id = bench(hack, tall)
      shown = page(id)
      refused =
        call(
          :post,
          "/api/fittings/#{id}/acceptance",
          { **sheet(shown), marks: shown["marks"], signs: ["tiptoe_to_unlatch"], reason: "looked fine" }
        )
      expect([status, refused["code"]]).to eq([422, "seen_tiptoe_to_unlatch"])
    end
  end

  it "clips a belt squat's chain as short as still can be, with mats where nothing is short enough, and keeps the " \
       "link" do
    loft.equipment.replace(
      { "cushion_back" => [], "cushion_seat" => [], "hip_pad" => [], "block" => [], "mat" => [20, 40] }
    )
    belt = machine(loft, "chain_on_lever", name: "Belt squat 1", cushions_allowed: true)
    id = bench(belt)
    shown = page(id)
    expect(shown["aids"]["link"]).to eq(shown["evaluation"]["placed"].first["value"])
    longer = evaluated(id, shown["marks"], { link: shown["aids"]["link"] + 4 })
    expect(finding(longer, "chain_lift")["value"]).to be < finding(shown["evaluation"], "chain_lift")["value"]
    accepted = call(:post, "/api/fittings/#{id}/acceptance", { **sheet(shown), marks: shown["marks"] })
    expect(accepted["laid"]).to eq(["Chain clipped on at link #{shown["aids"]["link"].to_i}."])
    expect(call(:get, "/api/fittings/#{id}/set-up")["aids"]).to eq(accepted["laid"])
    small = client(loft, account, name: "Bettine Roe", sex: "woman", stature: 1370)
    expect(page(bench(belt, small))["advice"]["aids_says"].first).to match(/\A\s*With the \d+ mm mat under both feet/)
  end
end
