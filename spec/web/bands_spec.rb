# frozen_string_literal: true

require "web_helper"

# Elastic bands by the gym's own names: entered once, told wherever a band is, and chosen among what there is.
RSpec.describe "The gym's bands over HTTP" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:person) { client(loft, account, body_mass_kg: 68, stature: 1700) }
  let(:bench) { machine(loft, "level_pad", name: "Level bench 1") }

  before { sign_in }

  def shown = call(:get, "/api/bands")
  def keep(*bands, version: shown["version"])
    call(:put, "/api/bands", { version: version, bands: bands.map { |name, newton| { name: name, newton: newton } } })
  end

  it "keeps a name and its newtons, weakest first, over the version that was seen" do
    expect(keep(["black", 180], [" light   red ", 60])["bands"]).to eq(
      [{ "name" => "light red", "newton" => 60 }, { "name" => "black", "newton" => 180 }]
    )
    stale = keep(["blue", 100], version: 1)
    expect([status, stale["current"]["bands"].size]).to eq([409, 2])
    expect(keep["bands"]).to eq([])
  end

  it "refuses two of one name, two that pull alike, a name of nothing, and newtons that no band has" do
    [
      [["red", 60], ["Red", 80]],
      [["red", 60], ["blue", 60]],
      [["  ", 60]],
      [["red", 0]],
      [["red\u200E", 60]]
    ].each do |bands|
      keep(*bands)
      expect(status).to eq(422).or(eq(400)), bands.inspect
    end
    expect(shown["bands"]).to eq([])
  end

  it "is only of this gym" do
    keep(["red", 60])
    other = gym("The Rope Walk")
    expect(Verglas::Store::Gym.new(other.db, other.id).equipment.bands).to eq({})
  end

  describe "on a glute-ham bench" do
    let(:level) { machine(loft, "one_plate", name: "Glute-ham bench 1") }

    def opened
      id = call(:post, "/api/fittings", { client_id: person[:id], machine_id: level[:id], exercise: "glute_ham" })["id"]
      call(:get, "/api/fittings/#{id}")
    end
    def placed(page) = page["evaluation"]["placed"].find { |one| one["name"] == "band_help_n" }

    it "steps by even newtons where the gym wrote none down" do
      band = placed(opened)
      expect([band["value"] % 50, band["up"]&.fetch("value"), band.key?("called")]).to match([0, anything, false])
    end

    it "begins with a band that is there, by its name, and steps from one to the next" do
      keep(["yellow", 40], ["red", 110], ["black", 180])
      page = opened
      band = placed(page)
      expect(band["value"]).to be_between(40, 180)
      names = { 40 => "yellow", 110 => "red", 180 => "black" }
      expect(band["called"]).to eq(names.fetch(band["value"]))
      lower = names.keys.select { |newton| newton < band["value"] }.max || 0
      expect(band["down"]&.slice("value", "called")).to eq({ "value" => lower, "called" => names[lower] }.compact)
      rungs = page["ready"]["rungs"].map { |rung| rung["text"] }
      expect(rungs.grep(/\ABand (yellow|red|black)/).size).to be >= 1
      expect(rungs.grep(/A band that takes off/)).to eq([])
      call(:post, "/api/fittings/#{page["id"]}/acceptance", { **sheet(page), marks: page["marks"], reason: "As felt." })
      expect(status).to eq(200), last_response.body
      aids = call(:get, "/api/fittings/#{page["id"]}/set-up")["aids"]
      expect(aids.join).to include("Band #{band["called"]}: it takes off #{band["value"]} N.")
    end
  end
end
