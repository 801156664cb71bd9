# frozen_string_literal: true

require "web_helper"
require_relative "../support/taking_in"

# Two scales of one machine that have to agree: entered so, advised as one, said as one move, kept with both marks.
RSpec.describe "Adjusters that stand as one, over HTTP" do
  include TakingIn

  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:person) { matteus(loft, account) }

  before { sign_in }

  def adjusters(twin: { marks: %w[A B C D E F G], same_as: "back pad" })
    data = Worked::MACHINES.fetch("slide_back")["adjusters"]
    pad = data.find { |one| one["label"] == "back pad" }
    [
      { label: "back pad", kind: "back_pad", forwards: true, marks: pad["marks"] },
      { label: "far pad", kind: "recorded", forwards: true, walk_round: round, **twin }
    ]
  end

  def round
    {
      side: "left",
      handle: "red",
      unlocks: "pull pin",
      reachable_seated: false,
      weight_off_first: true,
      both_sides: true
    }
  end

  def enter(**given)
    call(:post, "/api/machines", { family: "extension", name: "Leg extension 9", adjusters: adjusters(**given) })
  end
  def marks(index) = { "back pad" => adjusters[0][:marks][index], "far pad" => adjusters[1][:marks][index] }

  # Taped as the worked machine is.
  def taped
    made = enter(twin: { marks: adjusters[0][:marks].each_index.map { |index| (index + 65).chr }, same_as: "back pad" })
    expect(status).to eq(201), last_response.body
    data = Worked::MACHINES.fetch("slide_back")
    path = "/api/machines/#{made["machine"]["id"]}/lengths"
    pad = data["adjusters"].find { |one| one["label"] == "back pad" }
    [
      *data["constants"].map { |name, value| { name: name, value: value } },
      { adjuster: "back pad", travel: pad["travel"] }
    ].each do |length|
      made = call(:put, path, { version: made["version"], exercise: "", confirmed: true, **length })
      expect(status).to eq(200), last_response.body
    end
    made
  end

  it "is entered with whose mark it takes, shown so, and kept through a correction" do
    made = taped
    told = made["exercises"].first["adjusters"].to_h { |one| [one["label"], one] }
    expect([told["back pad"]["same_as"], told["far pad"]["same_as"]]).to eq([nil, "back pad"])
    expect(told["far pad"]["walk_round"]).to include("both_sides" => true)
  end

  it "refuses one that takes the mark of nothing, of itself, or with other marks; nothing is kept" do
    [
      { same_as: "nowhere", marks: %w[A] },
      { same_as: "far pad", marks: %w[A] },
      { same_as: "back pad", marks: %w[A] }
    ].each do |twin|
      refused = enter(twin: twin)
      expect([status, refused["code"], refused["path"]]).to eq([422, "same_as_unlike", "/adjusters/1/same_as"])
    end
    expect(db[:machines].count).to eq(0)
  end

  it "is advised, said and set as one, and written down with both marks" do
    machine = taped["machine"]["id"]
    id = call(:post, "/api/fittings", { client_id: person[:id], machine_id: machine })["id"]
    shown = call(:get, "/api/fittings/#{id}")
    index = adjusters[0][:marks].index(shown["marks"]["back pad"])
    expect(shown["marks"]["far pad"]).to eq((index + 65).chr)
    expect(shown["machine"]["adjusters"].map { |one| one["name"] }).to eq(["Back pad and far pad"])
    expect(shown["advice"]["adjusters"].map { |one| one["name"] }).to eq(["Back pad and far pad"])
    step = shown["steps"].find { |one| one["adjuster"] == "back pad" }
    both = "#{shown["marks"]["back pad"]} and #{shown["marks"]["far pad"]}"
    expect(step["do"]).to include("back pad and far pad to #{both}")
    expect(shown["steps"].map { |one| one["adjuster"] }).not_to include("far pad")
    # Sent with the one alone, or with the other as it stood: the one that leads is meant.
    other = adjusters[0][:marks][index.zero? ? 1 : index - 1]
    sent = { **sheet(shown), marks: shown["marks"].merge("back pad" => other), reason: "As felt." }
    call(:post, "/api/fittings/#{id}/acceptance", sent)
    expect(status).to eq(200), last_response.body
    kept = db[:fittings].first(id: id)[:marks].to_h
    expect(kept).to eq("back pad" => other, "far pad" => (adjusters[0][:marks].index(other) + 65).chr)
    list = call(:get, "/api/fittings/#{id}/set-up")["lines"]
    expect(list.map { |one| one.values_at("name", "standing", "weight_off") }).to eq(
      [["Back pad and far pad", true, true]]
    )
    expect(list.first["mark"]).to eq(kept.values.join(" and "))
    expect(list.first["how"]).to match(/\AFar pad: left side, red, pull pin/)
    expect(step["notes"].first).to eq(list.first["how"])
    card = call(:get, "/api/clients/#{person[:id]}/card.txt")
    expect(card).to include("Back pad and far pad #{list.first["mark"]}")
  end

  describe "in files" do
    let!(:account) { staff(loft, role: "lead") }

    it "goes out with whose mark it takes and comes in again; where a fitting's marks disagree it is refused" do
      name = taped["machine"]["name"]
      marks = call(:get, "/api/export/marks.csv")
      expect(marks.lines.grep(/far pad/)).to all(include(",back pad"))
      db[:machine_descriptions].update(
        adjusters: Sequel.lit("(SELECT json_agg(one::jsonb - 'same_as') FROM json_array_elements(adjusters) AS one)")
      )
      expect(take_in("marks", marks)["counts"]).to include("change" => be_positive)
      kept = loft.machines.all.first[:adjusters].to_a.find { |one| one["label"] == "far pad" }
      expect(kept["same_as"]).to eq("back pad")
      fitting = ->(far) do
        "client,machine,marks,date,load\n#{person[:name]},#{name},back pad=2; far pad=#{far},1.3.2026,20 kg\n"
      end
      refused = look_through("fittings", fitting.call("D"))
      expect(refused["counts"]).to include("refuse" => 1)
      expect(refused.to_s).to include("these two disagree")
      expect(look_through("fittings", fitting.call("B"))["counts"]).not_to include("refuse" => 1)
    end
  end
end
