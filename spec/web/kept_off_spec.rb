# frozen_string_literal: true

require "web_helper"
require "icalendar"

# Whoever is barred, or has no mark that can be accepted, appears in no list as somebody who is fitted.
RSpec.describe "Somebody who is kept off a machine" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let!(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
  let(:barred) { client(loft, account, name: "Perpetua Lowe", sex: "woman", stature: 1648, seat_to_kneecap: 576) }
  let(:other) { client(loft, account, name: "Imre Talbot-Vane", sex: "man", stature: 1790, seat_to_kneecap: 640) }

  before { sign_in }

  def fitted(who)
    id = call(:post, "/api/fittings", { client_id: who[:id], machine_id: here[:id] })["id"]
    call(
      :post,
      "/api/fittings/#{id}/acceptance",
      { marks: call(:get, "/api/fittings/#{id}")["marks"], version: 1, reason: "So." }
    )
    expect(status).to eq(200)
    id
  end

  def bar(who) = call(:put, "/api/clients/#{who[:id]}/cautions", { caution: "knee_ligament", version: nil })
  def queue = call(:get, "/api/machines/#{here[:id]}/queue")

  it "has not moved the pads for whoever comes after, and has neither marks nor load in the queue" do
    first = fitted(other)
    fitted(barred)
    call(:post, "/api/fittings/#{first}/set-up", {})
    call(:put, "/api/machines/#{here[:id]}/queue", { clients: [barred[:id], other[:id]], version: queue["version"] })
    expect(queue["entries"].map { |entry| entry["bars"].empty? }).to eq([true, true])
    expect(queue["entries"].last["moves"]).not_to be_empty
    bar(barred)
    kept_off, after = queue["entries"]
    expect(kept_off).to include("marks" => [], "moves" => nil, "load" => "", "bars" => include(/Knee ligament/))
    expect(after).to include("moves" => [], "bars" => [])
  end

  it "has no marks in the queue where none can be accepted, fitted or not" do
    person = client(loft, account, name: "Wren Ashgrove", sex: "man", stature: 1790)
    degrees = { degrees: { knee_flexion: { from: nil, to: 60 } }, cleared_by: "Dr Fenwick", cleared_on: "2026-02-11" }
    call(:put, "/api/clients/#{person[:id]}/cautions", { caution: "diabetes", version: nil, **degrees })
    expect(status).to eq(200)
    call(:put, "/api/machines/#{here[:id]}/queue", { clients: [person[:id]], version: 0 })
    expect(queue["entries"].first).to include(
      "marks" => [],
      "moves" => nil,
      "bars" => ["No mark can be accepted here for this client: another machine."]
    )
    prediction = call(:get, "/api/clients/#{person[:id]}/predictions")["predictions"].first
    expect(prediction).to include("status" => "impossible", "marks" => [], "bars" => [])
  end

  it "stands on no wall and in no calendar, on the board as barred, and among what is due with why nothing can be " \
       "fitted" do
    fitted(barred)
    fitted(other)
    names = -> { call(:get, "/api/machines/#{here[:id]}/sheet")["rows"].map { |row| row["name"] } }
    calendar = -> { Icalendar::Calendar.parse(call(:get, "/api/refits.ics")).first.events.size }
    expect([names.call.size, calendar.call]).to eq([2, 2])
    bar(barred)
    expect(names.call).to eq(["Imre T."])
    expect(calendar.call).to eq(1)
    cells = call(:get, "/api/board")["people"].to_h { |one| [one["name"], one["cells"].first] }
    expect(cells.transform_values { |cell| cell["state"] }).to eq(
      "Perpetua Lowe" => "barred",
      "Imre Talbot-Vane" => "fitted"
    )
    expect(cells.fetch("Perpetua Lowe")).to include("fitting_id" => nil, "why" => [/Knee ligament/])
    expect(call(:get, "/api/refits")["due"].map { |one| one["bars"] }).to match([[/Knee ligament/]])
  end
end
