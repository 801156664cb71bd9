# frozen_string_literal: true

require "web_helper"

RSpec.describe "Fittings side by side" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let!(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
  let!(:person) { client(loft, account, name: "Ada", stature: 1700) }

  before { sign_in }

  def fitted(marks, **given)
    id = call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })["id"]
    version = call(:get, "/api/fittings/#{id}")["version"]
    call(
      :post,
      "/api/fittings/#{id}/acceptance",
      {
        marks: {
          "back pad" => "3",
          "roller" => "C",
          "start" => "2",
          **marks
        },
        version: version,
        reason: "So.",
        **given
      }
    )
    id
  end

  def history(machine = here[:id]) = call(:get, "/api/clients/#{person[:id]}/history?machine=#{machine}")
  def cells(told, label)
    told["rows"].find { |row| row["label"] == label }["cells"].map { |cell| cell.values_at("text", "changed") }
  end

  it "say what was set, lifted, found and known each time, and what differs from the one before" do
    first = fitted({})
    call(
      :put,
      "/api/clients/#{person[:id]}/readings/seat_to_kneecap",
      { value: 60, unit: "cm", version: call(:get, "/api/clients/#{person[:id]}")["client"]["version"] }
    )
    second = fitted({ "roller" => "D" }, reason: "Scar.")
    told = history
    expect(told["fittings"].map { |one| one.values_at("id", "state", "why") }).to eq(
      [[second, "accepted", "Scar."], [first, "accepted", "So."]]
    )
    expect(cells(told, "Roller")).to eq([["D", true], ["C", false]])
    expect(cells(told, "Back pad")).to eq([["3", false], ["3", false]])
    taped = told["rows"].select { |row| row["part"] == "body" }.map { |row| row["cells"].map { |cell| cell["text"] } }
    expect(taped).to include(["1700 mm", "1700 mm"], ["600 mm", ""])
    expect(told["rows"].count { |row| row["part"] == "fit" }).to be >= 3
  end

  it "keep one that was taken back, with why" do
    id = fitted({})
    call(
      :post,
      "/api/fittings/#{id}/taking-back",
      { version: call(:get, "/api/fittings/#{id}")["version"], reason: "Wrong person." }
    )
    fitted({ "roller" => "B" })
    expect(history["fittings"].map { |one| one.values_at("state", "why") }).to eq(
      [%w[accepted So.], ["taken_back", "So. Wrong person."]]
    )
  end

  it "are nobody's of another gym, and none of a machine that is not there" do
    expect(history(machine(gym("Elsewhere"), name: "Theirs")[:id])["code"]).to eq("not_found")
    expect(history["fittings"]).to eq([])
    expect(history("#{here[:id]}?version=9")["code"]).to eq("wrong_form")
    expect(history("#{here[:id]}%FF")["code"]).to eq("not_json")
  end
end
