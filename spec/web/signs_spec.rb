# frozen_string_literal: true

require "web_helper"

RSpec.describe "Signs over HTTP" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
  let(:person) { client(loft, account, name: "Matteus Orr", sex: "man", stature: 1822, seat_to_kneecap: 641, floor_to_knee_top: 572) }
  let(:id) { call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })["id"] }
  let(:marks) { { "back pad" => "2", "roller" => "D", "start" => "3" } }

  before { sign_in }

  def explained(*signs, at: marks) = call(:post, "/api/fittings/#{id}/signs", { marks: at, signs: signs })["signs"]

  it "turns a sign into the notch to move, with what it would do, as the evaluation there says it" do
    cause = explained("roller_climbs").first["causes"].first
    expect(cause).to include("name" => "knee_ahead", "title" => "Knee ahead of the pivot", "standing" => "shown", "move" => { "adjuster" => "back pad", "mark" => "3" })
    moved = call(:post, "/api/fittings/#{id}/evaluation", { marks: marks.merge("back pad" => "3") })
    says = moved["findings"].find { |finding| finding["code"] == "offset" }["says"]
    expect(cause["says"]).to eq("Back pad to 3: #{says.sub("Knee", "knee")}")
  end

  it "says what to do where no notch is the answer, and what the numbers deny" do
    climbs, squint = explained("roller_slides", "one_side_works_harder")
    expect(climbs["causes"].find { |cause| cause["name"] == "knee_behind" }["standing"]).to eq("denied")
    expect(squint["causes"].map { |cause| cause.slice("standing", "move") }.uniq).to eq([{ "standing" => "open", "move" => nil }])
    expect(squint["causes"].first["says"]).to start_with("Hips square")
  end

  it "claims no number on a machine that is not taped" do
    bare = { constants: {}, adjusters: here[:adjusters].map { |adjuster| adjuster.merge("travel" => nil) }, exercises: {}, taped: {} }
    loft.machines.update(here[:id], version: 1, by: account, description: bare)
    expect(explained("roller_climbs").first["causes"].map { |cause| cause.values_at("standing", "move") }).to eq([["open", nil], ["open", nil]])
  end

  it "refuses a sign that the machine does not have, and marks that it does not have" do
    expect(explained_error({ marks: marks, signs: ["hips_rise"] })).to eq(["unknown_sign", "/signs"])
    expect(explained_error({ marks: marks.merge("back pad" => "99"), signs: ["roller_climbs"] }).first).to eq("unknown_mark")
    expect(explained_error({ marks: marks }).first).to eq("missing")
  end

  def explained_error(body)
    answer = call(:post, "/api/fittings/#{id}/signs", body)
    answer.values_at("code", "path")
  end
end
