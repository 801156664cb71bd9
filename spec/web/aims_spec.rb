# frozen_string_literal: true

require "web_helper"

RSpec.describe "The table by aim" do
  let(:loft) { gym }
  let!(:account) { staff(loft, role: "lead") }
  let!(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
  let!(:person) { client(loft, account, name: "Ada", stature: 1700) }
  let(:heavy) do
    {
      name: "Heavy singles",
      sets: 5,
      repetitions: 1,
      seconds: nil,
      rest_s: 240,
      tempo: {
        up_s: 1,
        hold_s: 2,
        down_s: 3.5,
        pause_s: 1
      }
    }
  end
  let(:timed) { { name: "Timed", sets: 1, repetitions: nil, seconds: 45, rest_s: 120, tempo: nil } }

  before { sign_in }

  def keep(aims, version: call(:get, "/api/aims")["version"])
    call(:put, "/api/aims", { aims: aims, version: version })
  end
  def open_fitting = call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })["id"]
  def loads(id, aim) = call(:post, "/api/fittings/#{id}/loads", { aim: aim })

  it "is the program's until the gym writes its own, over the version that was seen" do
    expect(call(:get, "/api/aims")).to include("own" => false, "version" => 1)
    expect(keep([heavy, timed])).to include("own" => true, "version" => 2)
    expect(call(:get, "/api/aims")["aims"].map { |aim| aim.transform_keys(&:to_sym) }).to eq(
      [{ **heavy, tempo: { "up_s" => 1, "hold_s" => 2, "down_s" => 3.5, "pause_s" => 1 } }, timed]
    )
    expect(keep([timed], version: 1)).to include("code" => "stale")
    expect(call(:get, "/api/aims")["aims"].size).to eq(2)
  end

  it "is refused where an aim counts nothing, has no name or another's" do
    expect(keep([{ **timed, seconds: nil }])["code"]).to eq("aim_counts_nothing")
    expect(keep([{ **timed, name: "  " }])["code"]).to eq("blank")
    expect(keep([timed, { **heavy, name: "timed" }])["code"]).to eq("aim_repeated")
    expect(keep([{ **timed, seconds: 1 }])["path"]).to eq("/aims/0/seconds")
    expect(call(:get, "/api/aims")["own"]).to be(false)
  end

  it "sets the tempo, the length of a set and the rest of whoever has that aim, and no hold where a caution " \
       "forbids them" do
    keep([heavy, timed])
    id = open_fitting
    expect(loads(id, nil)["tempo"]["says"]).to eq("2-1-3-0")
    expect(loads(id, "Heavy singles")["tempo"]["says"]).to eq("1-2-3.5-1")
    expect(loads(id, "Timed").then { |told| [told["set_seconds"], told["tempo"]["set_s"]] }).to eq([45, 45])
    expect(loads(id, "No more there")["tempo"]["says"]).to eq("2-1-3-0")
    work = {
      load_kg: nil,
      left_kg: nil,
      right_kg: nil,
      repetitions: 1,
      sets: 5,
      last: nil,
      felt: nil,
      felt_side: nil,
      belt: nil,
      aim: "Heavy singles"
    }
    call(
      :post,
      "/api/fittings/#{id}/acceptance",
      { marks: { "back pad" => "3", "roller" => "C", "start" => "2" }, version: 1, reason: "So.", work: work }
    )
    expect(
      call(:get, "/api/fittings/#{id}/set-up").then do |page|
        [page["visit"]["rest_s"], page["visit"]["sets"], page["tempo"]["says"]]
      end
    ).to eq([240, 5, "1-2-3.5-1"])
    call(
      :put,
      "/api/clients/#{person[:id]}/cautions",
      { caution: "blood_pressure", version: nil, cleared_by: "Dr Vale", cleared_on: "2026-01-02" }
    )
    expect(call(:get, "/api/fittings/#{id}/set-up")["tempo"]["says"]).to eq("1-0-3.5-0")
  end
end
