# frozen_string_literal: true

require "web_helper"

RSpec.describe "Signs over HTTP" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
  let(:person) { matteus(loft, account) }
  let(:id) { call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })["id"] }
  let(:marks) { { "back pad" => "2", "roller" => "D", "start" => "3" } }

  before { sign_in }

  def explained(*signs, at: marks) = call(:post, "/api/fittings/#{id}/signs", { marks: at, signs: signs })["signs"]

  it "turns a sign into the notch to move, with what it would do, as the evaluation there says it" do
    cause = explained("roller_climbs").first["causes"].first
    expect(cause).to include(
      "name" => "knee_ahead",
      "title" => "Knee ahead of the pivot",
      "standing" => "shown",
      "move" => {
        "adjuster" => "back pad",
        "mark" => "3"
      }
    )
    moved = call(:post, "/api/fittings/#{id}/evaluation", { marks: marks.merge("back pad" => "3") })
    says = moved["findings"].find { |finding| finding["code"] == "offset" }["says"]
    expect(cause["says"]).to eq("Back pad to 3: #{says.sub("Knee", "knee")}")
  end

  it "says what to do where no notch is the answer, and what the numbers deny" do
    climbs, squint = explained("roller_slides", "one_side_works_harder")
    expect(climbs["causes"].find { |cause| cause["name"] == "knee_behind" }["standing"]).to eq("denied")
    expect(squint["causes"].map { |cause| cause.slice("standing", "move") }.uniq).to eq(
      [{ "standing" => "open", "move" => nil }]
    )
    expect(squint["causes"].first["says"]).to start_with("Hips square")
  end

  it "has the client slide on a bench, where nothing on the machine moves the knee" do
    bench = machine(loft, "lie_flat", name: "Lying curl 1")
    fitting = call(:post, "/api/fittings", { client_id: person[:id], machine_id: bench[:id] })["id"]
    causes =
      call(:post, "/api/fittings/#{fitting}/signs", { marks: first_marks(bench), signs: %w[roller_climbs hips_rise] })[
        "signs"
      ]
    past = causes.first["causes"].find { |cause| cause["name"] == "lies_past" }
    expect(past).to include(
      "title" => "Knee past the pivot",
      "move" => nil,
      "says" => "Slide up the bench a little, until the knee meets the pivot."
    )
    expect(causes.last["causes"].map { |cause| cause["name"] }).to eq(%w[load_high no_hip_pad])
  end

  it "counts the cushions in use: with one that brings the knee forward it is less far behind" do
    far_back = marks.merge("back pad" => "5")
    plain = explained("roller_slides", at: far_back).first["causes"].first
    cushioned =
      call(
        :post,
        "/api/fittings/#{id}/signs",
        { marks: far_back, aids: { cushion_back_mm: 40, cushion_seat_mm: 0, hip_pad_mm: 0 }, signs: ["roller_slides"] }
      )
    behind = cushioned["signs"].first["causes"].find { |cause| cause["name"] == "knee_behind" }
    expect([plain["name"], plain["standing"]]).to eq(%w[knee_behind shown])
    expect(behind["standing"]).to eq("denied")
  end

  it "writes nothing: the fitting stands as it stood" do
    before = call(:get, "/api/fittings/#{id}").slice("marks", "signs", "version", "updated_at")
    explained("roller_climbs", "gap_behind_knee")
    expect(call(:get, "/api/fittings/#{id}").slice("marks", "signs", "version", "updated_at")).to eq(before)
  end

  it "claims no number on a machine that is not taped" do
    bare = {
      constants: {
      },
      adjusters: here[:adjusters].map { |adjuster| adjuster.merge("travel" => nil) },
      exercises: {
      },
      taped: {
      }
    }
    loft.machines.update(here[:id], version: 1, by: account, description: bare)
    expect(explained("roller_climbs").first["causes"].map { |cause| cause.values_at("standing", "move") }).to eq(
      [["open", nil], ["open", nil]]
    )
  end

  it "refuses a sign that the machine does not have, and marks that it does not have" do
    expect(explained_error({ marks: marks, signs: ["hips_rise"] })).to eq(%w[unknown_sign /signs])
    expect(explained_error({ marks: marks.merge("back pad" => "99"), signs: ["roller_climbs"] }).first).to eq(
      "unknown_mark"
    )
    expect(explained_error({ marks: marks }).first).to eq("missing")
  end

  def first_marks(machine) = machine[:adjusters].to_h { |adjuster| [adjuster["label"], adjuster["marks"].first] }

  def explained_error(body)
    answer = call(:post, "/api/fittings/#{id}/signs", body)
    answer.values_at("code", "path")
  end
end
