# frozen_string_literal: true

require "web_helper"

# The first family that came to the house when it stood: from entering the machine to the record, over HTTP.
RSpec.describe "A seated calf raise over HTTP" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:person) { client(loft, account, sex: "woman", stature: 1648, floor_to_knee_top: 519) }
  let(:machine_row) { machine(loft, "pad_on_lever", name: "Calf raise 1") }

  before { sign_in }

  def open_bench = call(:post, "/api/fittings", { client_id: person[:id], machine_id: machine_row[:id] })["id"]
  def page(id) = call(:get, "/api/fittings/#{id}")
  def finding(evaluation, code) = evaluation["findings"].find { |one| one["code"] == code }

  def entered
    adjuster = { label: "pad", kind: "knee_pad", forwards: true, marks: %w[1 2 3 4 5 6 7 8 9] }
    call(:post, "/api/machines", { family: "calf_raise", name: "Calf raise 2", adjusters: [adjuster] })
  end

  it "is entered, taped length by length, and then advises" do
    made = entered
    path = "/api/machines/#{made["machine"]["id"]}/lengths"
    [
      { name: "pad_above_block", value: 455 },
      { adjuster: "pad", travel: (0..8).map { |mark| mark * 20 } },
      { name: "catch_rise", value: 60 }
    ].each_with_index do |length, index|
      made = call(:put, path, { version: made["version"], exercise: "", confirmed: false, **length })
      expect(made["machine"]["taped"]).to eq(%w[untaped partly taped][index])
    end
    expect(made["exercises"].first["people"].map { |one| one["grade"] }).to all(eq("in line"))
    expect(made["exercises"].first["drawing"]["lengths"].keys).to eq(%w[pad_above_block catch_rise seat_height])
    id = call(:post, "/api/fittings", { client_id: person[:id], machine_id: made["machine"]["id"] })["id"]
    expect(page(id)["advice"]).to include("status" => "fits")
  end

  it "asks for a length again that no machine has" do
    path = "/api/machines/#{machine_row[:id]}/lengths"
    odd = call(:put, path, { version: 1, exercise: "", confirmed: false, name: "pad_above_block", value: 320 })
    expect([status, odd["code"]]).to eq([422, "odd_length"])
  end

  it "tells the steps, what to keep to, and that the heels' drop was never measured" do
    shown = page(open_bench)
    expect(shown["steps"].map { |step| step["id"] }).to eq(
      %w[@before @support pad @again @secure @light @watch @working]
    )
    expect(shown["steps"][1]["do"]).to include("forefeet on the block")
    expect(shown["steps"][2]["do"]).to include("no further than 10°")
    expect(shown["steps"].last["first"].first).to eq("Heels down to 10° at most, and no bounce there.")
    expect(shown["evaluation"]).to include("targets" => [], "motion" => nil)
    expect(shown["evaluation"]["says"]).to include("Side view", "The pad rests on the thighs")
    expect(shown["creep_angles"]).to eq([])
  end

  it "says what an ankle caution does here: the heels stay level, and are drawn so" do
    call(:put, "/api/clients/#{person[:id]}/cautions", { caution: "ankle", version: nil })
    shown = page(open_bench)
    expect(shown["evaluation"]["quantities"]["heel_drop_deg"]).to eq(0)
    expect(shown["steps"].first["first"].join(" ")).to include("Ankle, Achilles or calf: Heels level.")
    expect(shown["steps"].last["first"].first).to eq("Heels never below the toes.")
  end

  it "goes by the drop that was measured, and draws it" do
    usual = page(open_bench)["advice"]["marks"]
    call(:put, "/api/clients/#{person[:id]}/limits/heel_drop", { reading: 0, version: 1 })
    measured = page(open_bench)
    expect(measured["evaluation"]["quantities"]["heel_drop_deg"]).to eq(0)
    expect(measured["advice"]["marks"]["pad"].to_i).to be > usual["pad"].to_i
    expect(measured["steps"].last["first"].first).to eq("Heels never below the toes.")
  end

  it "keeps the heels level under an ankle caution, whatever was measured, and bars nobody for knee or back" do
    call(:put, "/api/clients/#{person[:id]}/limits/heel_drop", { reading: 14, version: 1 })
    %w[ankle back knee].each do |name|
      call(:put, "/api/clients/#{person[:id]}/cautions", { caution: name, version: nil })
    end
    shown = page(open_bench)
    expect([shown["bars"], shown["evaluation"]["quantities"]["heel_drop_deg"]]).to eq([[], 0])
  end

  it "bars those whom every machine bars, and a knee that may not bend so far" do
    call(:put, "/api/clients/#{person[:id]}/cautions", { caution: "heart", version: nil })
    expect(page(open_bench)["bars"]).not_to be_empty
    call(
      :put,
      "/api/clients/#{person[:id]}/cautions",
      {
        caution: "knee_replacement",
        version: nil,
        cleared_by: "Dr Fenwick",
        cleared_on: "2026-02-11",
        degrees: {
          knee_flexion: {
            from: nil,
            to: 70
          }
        }
      }
    )
    expect(page(open_bench)["bars"].join).to include("The knee is held near 90°")
  end

  it "turns its signs into a notch, and accepts nothing over a numb thigh" do
    id = open_bench
    advised = page(id)["advice"]["marks"]
    too_high = { "pad" => (advised["pad"].to_i + 2).to_s }
    causes =
      call(:post, "/api/fittings/#{id}/signs", { marks: too_high, signs: ["pad_leaves_thighs"] })["signs"].first[
        "causes"
      ]
    expect(causes.first).to include("name" => "pad_high", "standing" => "shown")
    expect(causes.first["says"]).to match(/\APad to \d:/)
    call(:post, "/api/fittings/#{id}/acceptance", { marks: advised, version: 1, signs: ["numb_under_pad"] })
    expect(status).to eq(409).or eq(422)
  end

  it "is accepted, kept, and set up again from the card; it teaches nothing of the body" do
    id = open_bench
    marks = page(id)["advice"]["marks"]
    call(:post, "/api/fittings/#{id}/acceptance", { marks: marks, version: 1, load: "34 kg", signs: [] })
    record = page(id)
    expect([record["state"], record["evaluation"]["format"], record["marks"]]).to eq(["accepted", 2, marks])
    expect(finding(record["evaluation"], "pad_slack")["says"]).to eq(
      "The pad rests on the thighs down to the heels' lowest point."
    )
    expect(record["computed_from"]["wishes"]).to include("heel_drop_deg" => 10.0, "sole_mm" => 25.0)
    expect(call(:get, "/api/fittings/#{id}/set-up")["lines"].map { |line| line["mark"] }).to eq(marks.values)
    expect(call(:get, "/api/clients/#{person[:id]}")["learned"]).to eq([])
  end

  it "wants a reason where the pad leaves the thighs" do
    id = open_bench
    call(:post, "/api/fittings/#{id}/acceptance", { marks: { "pad" => "9" }, version: 1 })
    expect([status, JSON.parse(last_response.body)["code"]]).to eq([422, "reason_needed"])
  end
end
