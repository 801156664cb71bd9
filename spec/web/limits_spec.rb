# frozen_string_literal: true

require "web_helper"

RSpec.describe "Limits over HTTP" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
  let(:person) { matteus(loft, account) }

  before { sign_in }

  def measure(limit, reading, version: 1)
    call(:put, "/api/clients/#{person[:id]}/limits/#{limit}", { reading: reading, version: version })
  end
  def limit(page, name) = page["limits"].find { |one| one["name"] == name }

  it "holds a default until it is measured, then what was read, by whom, and forgets it when asked" do
    expect(limit(call(:get, "/api/clients/#{person[:id]}/limits"), "ankle")).to include(
      "default_deg" => 30,
      "measured" => nil,
      "unit" => "cm"
    )
    expect(limit(measure("ankle", 9), "ankle")["measured"]).to include(
      "deg" => 32.4,
      "reading" => 9,
      "by" => "Maren Oldcastle"
    )
    expect(limit(measure("ankle", nil, version: 2), "ankle")["measured"]).to be_nil
  end

  it "narrows the advice, is kept on the record, and cannot be passed by any marks" do
    measure("knee_bend", 70)
    id = call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })["id"]
    shown = call(:get, "/api/fittings/#{id}")
    expect(shown["narrowed"]).to eq("As measured: knee bent 70° at most.")
    deep =
      here[:adjusters].find { |adjuster| adjuster["label"] == "start" }["marks"]
        .map { |mark| shown["marks"].merge("start" => mark) }
        .find do |marks|
          call(:post, "/api/fittings/#{id}/evaluation", { marks: marks })["quantities"]["knee_bend_start_deg"] > 71
        end
    expect(
      call(:post, "/api/fittings/#{id}/acceptance", { marks: deep, version: 1, reason: "He wants it." })["code"]
    ).to eq("past_knee_bend_limit")
  end

  it "is not measured under a caution that nobody cleared, nor outside what can be, nor over a colleague's change" do
    expect(measure("knee_bend", 400)["path"]).to eq("/reading")
    expect(measure("knee_bend", 10)).to include(
      "code" => "limit_out_of_range",
      "params" => {
        "low" => 20.0,
        "high" => 160.0
      }
    )
    expect(measure("elbow", 90)["code"]).to eq("unknown_limit")
    expect([measure("hip_bend", 110, version: 7)["code"], status]).to eq(["stale", 409])
    call(:put, "/api/clients/#{person[:id]}/cautions", { caution: "knee", version: nil })
    expect(measure("knee_bend", 120)["code"]).to eq("limit_skipped")
    expect(limit(call(:get, "/api/clients/#{person[:id]}/limits"), "knee_bend")["skipped"]).to eq(
      ["Knee pain or injury"]
    )
  end
end
