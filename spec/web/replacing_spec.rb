# frozen_string_literal: true

require "web_helper"

# A machine that goes, and another in its place: everybody's settings there at once, and who is to be looked at first.
RSpec.describe "Replacing a machine" do
  let(:loft) { gym }
  let!(:account) { staff(loft, role: "lead") }
  let(:old) { machine(loft, "slide_back", name: "Leg extension 1") }
  let!(:new) { machine(loft, "slide_back", name: "Leg extension 9") }
  let(:people) do
    [
      client(loft, account, name: "Perpetua Lowe", sex: "woman", stature: 1648, seat_to_kneecap: 576),
      client(loft, account, name: "Anselm Bray", sex: "man", stature: 1790),
      client(loft, account, name: "Wilfred Orme", sex: "man", stature: 1790, seat_to_kneecap: 620)
    ]
  end

  before do
    sign_in
    people.each { |person| accept(person, old) }
  end

  def accept(who, machine)
    id = call(:post, "/api/fittings", { client_id: who[:id], machine_id: machine[:id] })["id"]
    page = call(:get, "/api/fittings/#{id}")
    call(:post, "/api/fittings/#{id}/acceptance", { marks: page["marks"], version: 1, reason: "So." })
  end

  def settings(**asked) = call(:get, "/api/machines/#{old[:id]}/replacement?#{URI.encode_www_form(asked)}")
  def replace(instead: new[:id], version: 1)
    call(:post, "/api/machines/#{old[:id]}/replacement", { instead: instead, version: version })
  end
  def line(name) = settings(instead: new[:id])["lines"].find { |one| one["client"]["name"] == name }

  it "offers machines that train the same, and says nothing of anybody before one is chosen" do
    machine(loft, "incline_sled", name: "Leg press 1")
    told = settings
    expect(told["others"].map { |one| one["name"] }).to eq(["Leg extension 9"])
    expect(told.values_at("lines", "of", "following")).to eq([[], 0, nil])
  end

  it "tells what each is advised there, by name, as their bench does, and whom to look at first" do
    told = settings(instead: new[:id])
    expect(told["lines"].map { |one| one["client"]["name"] }).to eq(["Anselm Bray", "Perpetua Lowe", "Wilfred Orme"])
    expect(told.values_at("of", "following")).to eq([3, nil])
    id = call(:post, "/api/fittings", { client_id: people.first[:id], machine_id: new[:id] })["id"]
    marks = line("Perpetua Lowe")["marks"].to_h { |tag| tag.values_at("label", "mark") }
    expect(call(:get, "/api/fittings/#{id}")["marks"].slice(*marks.keys)).to eq(marks)
    expect([line("Anselm Bray"), line("Perpetua Lowe")].map { |one| one["unsure"] }).to eq(
      [["back pad", "roller"], ["roller"]]
    )
    expect(line("Perpetua Lowe").values_at("check", "grade")).to eq([true, "in line"])
    stub_const("Verglas::Application::Replacing::SURE", 0.5)
    expect(line("Perpetua Lowe").values_at("check", "unsure")).to eq([false, []])
  end

  it "goes through everybody's cautions, and tells no mark to whom they bar" do
    loft.cautions.put(people.first[:id], "knee_ligament", version: nil, by: account, note: "")
    barred = line("Perpetua Lowe")
    expect(barred).to include("marks" => [], "grade" => nil, "sure" => nil, "check" => true, "load" => "")
    expect(barred["keeps_off"].join).to include("knee ligament").or include("degrees")
  end

  it "goes on where the last answer ended, until everybody was asked" do
    stub_const("Verglas::Application::Replacing::PEOPLE", 2)
    first = settings(instead: new[:id])
    rest = settings(instead: new[:id], from: first["following"])
    expect([first, rest].map { |one| one["lines"].size }).to eq([2, 1])
    expect(rest["following"]).to be_nil
  end

  it "retires the old one for it, keeps its record, says so on both ends, and is taken back by its state" do
    page = replace
    expect([status, page["machine"]["state"], page["replaced_by"]["name"]]).to eq([200, "retired", "Leg extension 9"])
    expect(page["fittings"].size).to eq(3)
    card = call(:get, "/api/clients/#{people.first[:id]}")["card"]
    expect(card.find { |one| one["machine"]["id"] == old[:id] }["machine"]["replaced_by"]).to eq(new[:id])
    expect(line("Perpetua Lowe")["tried"]).to be(false)
    accept(people.first, new)
    expect(line("Perpetua Lowe")).to include("tried" => true, "sure" => nil, "marks" => be_any)
    back = call(:patch, "/api/machines/#{old[:id]}", { version: page["version"], state: "in_use" })
    expect(back["replaced_by"]).to be_nil
  end

  it "is done by nothing that trains something else, by none of another gym, and not over another's change" do
    press = machine(loft, "incline_sled", name: "Leg press 1")
    theirs = machine(gym("Elsewhere"), "slide_back", name: "Leg extension 3")
    [press, theirs, old].each { |one| expect(replace(instead: one[:id])["code"]).to eq("not_allowed") }
    call(:patch, "/api/machines/#{old[:id]}", { version: 1, place: "by the door" })
    replace
    expect([status, loft.machines.find(old[:id])[:state]]).to eq([409, "in_use"])
  end

  it "is no business of a helper" do
    staff(loft, email: "tobias@netloft.example", name: "Tobias Wren", role: "helper")
    sign_in(email: "tobias@netloft.example")
    settings(instead: new[:id])
    expect(status).to eq(403)
  end
end
