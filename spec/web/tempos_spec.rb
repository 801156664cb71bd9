# frozen_string_literal: true

require "web_helper"

RSpec.describe "Tempos by kind of machine" do
  let(:loft) { gym }
  let!(:account) { staff(loft, role: "lead") }
  let!(:curl) { machine(loft, "curl_plain", name: "Leg curl 1") }
  let!(:extension) { machine(loft, "slide_back", name: "Leg extension 1") }
  let!(:person) { client(loft, account, name: "Ada", stature: 1700) }
  let(:slow) { { family: "curl", up_s: 2.5, hold_s: 0, down_s: 4, pause_s: 1, slow_s: 1.5, slow_deg: 20 } }

  before { sign_in }

  def keep(*tempos, version: call(:get, "/api/tempos")["version"])
    call(:put, "/api/tempos", { tempos: tempos, version: version })
  end
  def tempo(family) = call(:get, "/api/tempos")["tempos"].find { |row| row["family"] == family }
  def bench(machine)
    call(
      :get,
      "/api/fittings/#{call(:post, "/api/fittings", { client_id: person[:id], machine_id: machine[:id] })["id"]}"
    )
  end
  def says(machine) = bench(machine)["id"].then { |id| call(:post, "/api/fittings/#{id}/loads", {})["tempo"]["says"] }

  it "are those of the gym's school until it writes its own seconds, over the version that was seen" do
    expect(tempo("curl")).to include("here" => true, "by_rule" => "2-1-3-0", "tempo" => nil)
    expect(tempo("level_bench")).to include("here" => false, "by_rule" => "2-1-4-1")
    expect(keep(slow)["version"]).to eq(2)
    expect(tempo("curl")["tempo"]).to eq(
      {
        "up_s" => 2.5,
        "hold_s" => 0,
        "down_s" => 4,
        "pause_s" => 1,
        "slow_s" => 1.5,
        "slow_deg" => 20,
        "says" => "1.5+1-0-4-1"
      }
    )
    expect(keep(version: 1)["code"]).to eq("stale")
    expect(keep["tempos"].filter_map { |row| row["tempo"] }).to be_empty
  end

  it "are refused where nothing is left to go faster, for half a slow start, twice for one kind, and for none" do
    expect(keep({ **slow, slow_s: 2.5 })["code"]).to eq("tempo_all_slow")
    expect(keep({ **slow, slow_s: 2.46, up_s: 2.5 })["code"]).to eq("tempo_all_slow")
    expect(keep({ **slow, slow_deg: nil })["code"]).to eq("tempo_half_said")
    expect(keep(slow, slow)["code"]).to eq("tempo_repeated")
    expect(keep({ **slow, family: "rowing" })["code"]).to eq("unknown_family")
    expect(keep({ **slow, up_s: 0 })["path"]).to eq("/tempos/0/up_s")
    expect(call(:get, "/api/tempos")["version"]).to eq(1)
  end

  it "hold on every machine of the kind and on no other, and give way to a client's own school, to an aim and to a " \
       "caution" do
    keep(slow)
    expect([says(curl), says(extension)]).to eq(%w[1.5+1-0-4-1 2-1-3-0])
    call(
      :put,
      "/api/aims",
      {
        aims: [
          {
            name: "Own",
            sets: 2,
            repetitions: 5,
            seconds: nil,
            rest_s: 60,
            tempo: {
              up_s: 1,
              hold_s: 0,
              down_s: 1,
              pause_s: 0
            }
          }
        ],
        version: 1
      }
    )
    expect(
      call(:post, "/api/fittings/#{bench(curl)["id"]}/loads", { aim: "Own" })["tempo"].values_at("says", "slow_s")
    ).to eq(["1-0-1-0", nil])
    call(
      :put,
      "/api/clients/#{person[:id]}/cautions",
      { caution: "blood_pressure", version: nil, cleared_by: "Dr Vale", cleared_on: "2026-01-02" }
    )
    expect(says(curl)).to eq("1.5+1-0-4-0")
    call(:put, "/api/clients/#{person[:id]}/rules/tempo", { school: "drive", reason: "Hurries.", version: 1 })
    expect(says(curl)).to eq("1-0-3-0")
  end

  it "tell where a slow start goes faster, drawn on the arc at the marks that are tried; nothing where up is one " \
       "part" do
    expect(bench(curl)["evaluation"]["quickens"]).to be_nil
    keep(slow)
    shown = bench(curl)
    quickens = shown["evaluation"]["quickens"]
    expect([quickens["shown"]["value"], quickens["says"]]).to eq([20, "Slowly to 20° of knee bend, then faster."])
    path = shown["evaluation"]["scene"]["parts"].find { |part| part["id"] == "arc" }
    arc, tick = quickens["parts"]
    expect(arc["degrees"].first).to eq(path["degrees"].first)
    expect(arc["degrees"].last).to be_between(*path["degrees"].minmax)
    from = tick["points"].first
    expect(Math.hypot(*from)).to be_within(0.2).of(path["radii"].first)
    expect(Math.atan2(*from.reverse) * 180 / Math::PI).to be_within(0.1).of(arc["degrees"].last)
    expect(shown["steps"].map { |step| step["do"] }).to include(
      match(/\A1\.5 s up slowly, 1 s up faster, 4 s down, 1 s paused/)
    )
    other =
      call(:post, "/api/fittings/#{shown["id"]}/evaluation", { marks: { **shown["marks"], "roller" => "E" } })[
        "quickens"
      ]
    expect(other["parts"].first["radii"]).not_to eq(arc["radii"])
  end

  it "are no house rule of the record, and what to do stands on the set-up list" do
    keep(slow)
    shown = bench(curl)
    call(
      :post,
      "/api/fittings/#{shown["id"]}/acceptance",
      { marks: shown["advice"]["marks"], version: shown["version"], reason: "So." }
    )
    list = call(:get, "/api/fittings/#{shown["id"]}/set-up")
    expect([list["tempo"]["says"], list["begins"]]).to eq(["1.5+1-0-4-1", "Slowly to 20° of knee bend, then faster."])
    expect(
      call(:get, "/api/fittings/#{shown["id"]}")["computed_from"]["rules"].map { |rule| rule["question"] }
    ).not_to include("tempo")
  end
end
