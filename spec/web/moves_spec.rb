# frozen_string_literal: true

require "web_helper"

# Getting in and out, move by move: entered with the machine, told wherever somebody is set up, an order that cannot be
# refused in words.
RSpec.describe "Moves in and out over HTTP" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:person) { matteus(loft, account) }
  let(:curl) { machine(loft, "curl_plain", name: "Leg curl 1", left_behind: "The pin is sometimes lost.") }

  before { sign_in }

  def shown = call(:get, "/api/machines/#{curl[:id]}")
  def list(*names) = names.map { |name| { move: name, who: "client", frees: false } }
  def correct(moves) = call(:patch, "/api/machines/#{curl[:id]}", { version: shown["version"], moves: moves })

  it "offers a family's usual ones, keeps those that were picked, and tells them in their order" do
    usual = call(:get, "/api/families")["families"].find { |one| one["id"] == "curl" }["moves"]
    expect(usual["out"].map { |move| move["name"] }).to include("thigh_pad_lifted", "thigh_pin_out")
    pad = { move: "thigh_pad_up", who: "instructor", frees: false }
    correct(
      { in: [pad, *list("sits_back", "both_legs_in")], out: list("load_at_rest", "thigh_pad_lifted", "thigh_pin_out") }
    )
    expect(status).to eq(200), last_response.body
    moves = shown["facts"]["moves"]
    expect(moves["says"]["in"]).to eq(
      "Thigh pad up (instructor), sit, hips right back, both legs together to the roller."
    )
    expect(moves["left"]).to eq("Thigh pad is up. The pin is sometimes lost.")

    id = call(:post, "/api/fittings", { client_id: person[:id], machine_id: curl[:id] })["id"]
    steps = call(:get, "/api/fittings/#{id}")["steps"]
    expect(steps.first["first"] + steps.first["notes"]).to include(moves["says"]["in"], moves["left"])
    expect(steps.last).to include("id" => "@out", "do" => moves["says"]["out"])
    page = call(:get, "/api/fittings/#{id}")
    call(:post, "/api/fittings/#{id}/acceptance", { **sheet(page), marks: page["marks"], reason: "As felt." })
    set_up = call(:get, "/api/fittings/#{id}/set-up")
    expect(set_up.slice("getting_in", "getting_out", "left_behind").values).to eq(
      [*moves["says"].values_at("in", "out"), moves["left"]]
    )
    expect(call(:get, "/api/clients/#{person[:id]}/card.txt")).to include("Thigh pad up (instructor)")
  end

  it "refuses what cannot be done in that order, in words, and changes nothing" do
    correct({ in: [], out: list("load_at_rest", "thigh_pin_out", "thigh_pad_lifted") })
    refused = JSON.parse(last_response.body)
    expect([status, refused["path"]]).to eq([422, "/moves/out/1"])
    expect(refused["message"]).to include("comes after “lift the thigh pad a little")
    correct({ in: [], out: list("legs_out") })
    expect(JSON.parse(last_response.body)["message"]).to include("still bears a load")
    correct({ in: list("hooks_on"), out: [] })
    expect([status, shown["facts"]["moves"]["in"]]).to eq([422, []])
  end
end
