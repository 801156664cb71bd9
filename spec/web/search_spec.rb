# frozen_string_literal: true

require "web_helper"

RSpec.describe "What is found under some letters" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let!(:here) do
    machine(
      loft,
      "slide_back",
      name: "Leg extension 1",
      code: "E1",
      getting_in: "From the open side.",
      left_behind: "The start pin is sometimes left at 5."
    )
  end
  let!(:person) { client(loft, account, name: "José Pérez", stature: 1700) }

  before do
    machine(loft, "shared_seat", name: "Station 1")
    sign_in
  end

  def found(text) = call(:post, "/api/search", { text: text })
  def machines(text) = found(text)["machines"].map { |one| one.values_at("name", "why", "marks") }

  it "a client by a part of the name, accents aside; a machine by what it is called, its code and place" do
    expect(found("perez")["clients"].map { |one| one["name"] }).to eq(["José Pérez"])
    expect(machines("extension 1")).to eq([["Leg extension 1", nil, false]])
    expect(machines("e1").first).to eq(["Leg extension 1", nil, false])
    expect(machines("by the door").map(&:first)).to eq(["Leg extension 1", "Station 1"])
  end

  it "a machine by the moves that were picked for getting in and out, and by what they leave behind" do
    moves = { in: [{ move: "thigh_pad_up", who: "instructor", frees: false }], out: [] }
    curl = machine(loft, "curl_plain", name: "Leg curl 1")
    call(:patch, "/api/machines/#{curl[:id]}", { version: 1, moves: moves })
    expect(status).to eq(200)
    expect(machines("thigh pad up")).to eq([["Leg curl 1", "getting in: Thigh pad up (instructor).", false]])
    expect(machines("pad is up").map(&:first)).to eq(["Leg curl 1"])
  end

  it "a machine by a note of the walk-round, an adjuster, one of its marks with how many cards it stands on" do
    expect(machines("start pin")).to eq([["Leg extension 1", "The start pin is sometimes left at 5.", false]])
    expect(machines("open side")).to eq([["Leg extension 1", "getting in: From the open side.", false]])
    expect(machines("back pad")).to include(["Leg extension 1", "has a back pad", false])
    id = call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })["id"]
    call(
      :post,
      "/api/fittings/#{id}/acceptance",
      { marks: { "back pad" => "3", "roller" => "C", "start" => "2" }, version: 1, reason: "So." }
    )
    expect(machines("Roller c")).to include(["Leg extension 1", "roller C, on 1 of the latest cards", true])
  end

  it "nothing of what speaks of anybody's health, and nothing of another gym's" do
    call(:put, "/api/clients/#{person[:id]}/cautions", { caution: "loose_joints", version: nil, note: "zqxjk" })
    id = call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })["id"]
    call(
      :post,
      "/api/fittings/#{id}/acceptance",
      { marks: { "back pad" => "3", "roller" => "C", "start" => "2" }, version: 1, reason: "So.", note: "zqxjk" }
    )
    machine(gym("Elsewhere"), "slide_back", name: "zqxjk machine")
    expect(found("zqxjk")).to eq({ "clients" => [], "machines" => [] })
    expect(found("%")).to eq({ "clients" => [], "machines" => [] })
  end
end
