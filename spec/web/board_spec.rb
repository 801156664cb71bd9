# frozen_string_literal: true

require "web_helper"

RSpec.describe "The board" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let!(:here) { machine(loft, "slide_back", name: "Leg extension 1", code: "E1") }
  let!(:station) { loft.machines.find(machine(loft, "shared_seat", name: "Leg station 1")[:id]) }
  let(:person) do
    client(loft, account, name: "Perpetua Lowe", detail: "ferry crew", stature: 1648, seat_to_kneecap: 576)
  end
  let(:other) { client(loft, account, name: "Imre Talbot-Vane", stature: 1700) }

  before { sign_in }

  def fitted(who)
    id = call(:post, "/api/fittings", { client_id: who[:id], machine_id: here[:id] })["id"]
    call(
      :post,
      "/api/fittings/#{id}/acceptance",
      { marks: call(:get, "/api/fittings/#{id}")["marks"], version: 1, reason: "So." }
    )
    id
  end

  def board(**query) = call(:get, "/api/board#{"?#{URI.encode_www_form(query)}" if query.any?}")
  def cells(person) = board["people"].find { |one| one["name"] == person[:name] }["cells"].map { |cell| cell["state"] }

  it "shows who was here lately by every machine and exercise: fitted, due again with why, or a gap" do
    id = fitted(person)
    client(loft, account, name: "Never Here")
    expect(board["machines"].map { |machine| machine["name"] }).to eq(
      ["Leg extension 1", "Leg station 1: extension", "Leg station 1: curl"]
    )
    expect(board["people"].map { |one| one["name"] }).to eq(["Perpetua Lowe"])
    expect(cells(person)).to eq(%w[fitted gap gap])
    call(:put, "/api/clients/#{person[:id]}/cautions", { caution: "back", version: nil })
    expect(board["people"].first["cells"].first).to eq(
      "state" => "due",
      "fitting_id" => id,
      "why" => ["A caution was written, changed or taken out since."]
    )
  end

  it "counts a visit as being here, and forgets who was not within the weeks" do
    id = fitted(person)
    fitted(other)
    db[:fittings].update(accepted_at: Time.now - (60 * 86_400))
    expect(board["people"]).to be_empty
    call(:post, "/api/fittings/#{id}/set-up", {})
    expect(board["people"].map { |one| one["name"] }).to eq(["Perpetua Lowe"])
    expect(board(weeks: 12)["people"].map { |one| one["name"] }).to eq(["Perpetua Lowe", "Imre Talbot-Vane"])
    call(:get, "/api/board?weeks=many")
    expect(status).to eq(422)
  end

  it "shows the machines of one place, none that is retired, and nobody of another gym" do
    fitted(person)
    loft.machines.update(station[:id], version: 1, by: account, place: "upstairs")
    expect(board(place: "upstairs")["machines"].map { |machine| machine["name"] }).to eq(
      ["Leg station 1: extension", "Leg station 1: curl"]
    )
    loft.machines.update(station[:id], version: 2, by: account, state: "retired")
    expect(board["machines"].size).to eq(1)
    theirs = gym("Elsewhere")
    staff(theirs, email: "spy@elsewhere.example")
    call(:post, "/auth/logout", {})
    sign_in(email: "spy@elsewhere.example")
    expect(board.values_at("people", "machines")).to eq([[], []])
  end

  it "has a column more for what a machine is done for beside, once somebody has a card of it" do
    press = machine(loft, "incline_sled", name: "Leg press 1")
    names = -> { board["machines"].map { |one| one["name"] }.grep(/press/) }
    fitted(person)
    expect(names.call).to eq(["Leg press 1"])
    id = call(:post, "/api/fittings", { client_id: person[:id], machine_id: press[:id], exercise: "calf" })["id"]
    shown = call(:get, "/api/fittings/#{id}")
    call(:post, "/api/fittings/#{id}/acceptance", { **sheet(shown), marks: shown["marks"], reason: "So." })
    expect(names.call).to eq(["Leg press 1", "Leg press 1: calf work"])
    at = board["machines"].index { |one| one["exercise"] == "calf" }
    expect(cells(person)[at - 1, 2]).to eq(%w[gap fitted])
  end
end
