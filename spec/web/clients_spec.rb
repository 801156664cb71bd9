# frozen_string_literal: true

require "web_helper"

RSpec.describe "Clients over HTTP" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }

  before { sign_in }

  it "adds a client, finds them by two letters, and opens their page" do
    added =
      call(
        :post,
        "/api/clients",
        { name: "  Zéphyrine   Maddox ", detail: "choir", sex: "woman", birth_date: "1990-02-28", body_mass_kg: 61.5 }
      )
    expect([status, added["name"]]).to eq([201, "Zéphyrine Maddox"])
    expect(call(:post, "/api/clients/search", { text: "ma" })["clients"].map { |client| client["id"] }).to eq(
      [added["id"]]
    )
    page = call(:get, "/api/clients/#{added["id"]}")
    expect(page["client"]).to include("birth_date" => "1990-02-28", "body_mass_kg" => 61.5)
    expect(page["observations"].size).to eq(11)
  end

  it "tells namesakes apart or says so, keeping the first" do
    call(:post, "/api/clients", { name: "Matteus Orr", detail: "the baker" })
    refused = call(:post, "/api/clients", { name: "matteus orr", detail: "The Baker" })
    expect([status, refused["code"], refused["path"]]).to eq([422, "namesake", "/detail"])
    call(:post, "/api/clients", { name: "Matteus Orr", detail: "the younger" })
    expect([status, db[:clients].count]).to eq([201, 2])
  end

  it "adds once when a request is sent again" do
    key = SecureRandom.uuid
    first, second = Array.new(2) { call(:post, "/api/clients", { name: "Ada" }, key: key) }
    expect([second, db[:clients].count]).to eq([first, 1])
    call(:post, "/api/clients", { name: "Another" }, key: key)
    expect([status, db[:clients].count]).to eq([422, 1])
  end

  it "corrects a client only from the version that was seen, and shows what stands there" do
    row = client(loft, account)
    call(:patch, "/api/clients/#{row[:id]}", { version: 1, detail: "swims" })
    expect(status).to eq(200)
    stale = call(:patch, "/api/clients/#{row[:id]}", { version: 1, detail: "rows" })
    expect([status, stale["code"], stale["current"]["detail"]]).to eq([409, "stale", "swims"])
    expect(loft.clients.find(db[:clients].get(:id))[:detail]).to eq("swims")
  end

  it "refuses a date of birth to come and one that no calendar has" do
    %w[2999-01-01 2023-02-30].each do |date|
      refused = call(:post, "/api/clients", { name: "Ada", birth_date: date })
      expect([status, refused["path"]]).to eq([422, "/birth_date"])
    end
  end

  it "pages through many clients without losing or repeating one" do
    55.times { |number| loft.clients.insert(name: "Client #{format("%02d", number)}") }
    first = call(:post, "/api/clients/search", { text: "" })
    second = call(:post, "/api/clients/search", { text: "", after: first["next"] })
    expect((first["clients"] + second["clients"]).map { |client| client["name"] }).to eq(
      Array.new(55) { |number| "Client #{format("%02d", number)}" }
    )
    expect(second["next"]).to be_nil
  end

  describe "tape readings" do
    let(:person) { client(loft, account, sex: "man", stature: 1760) }
    let(:path) { "/api/clients/#{person[:id]}/readings" }

    it "keeps a reading in mm whatever it was read in, and recomputes the body" do
      page = call(:put, "#{path}/seat_to_kneecap", { value: 24.5, unit: "in", version: 1 })
      reading = page["observations"].find { |observation| observation["name"] == "seat_to_kneecap" }["reading"]
      expect(reading).to include(
        "value_mm" => 622.3,
        "unit" => "in",
        "state" => "used",
        "taken_by" => "Maren Oldcastle"
      )
      expect(page["body"].find { |dimension| dimension["name"] == "thigh" }["source"]).to eq("taped")
    end

    it "refuses a slip with what was expected, keeps nothing, and takes it when confirmed" do
      slip = call(:put, "#{path}/floor_to_knee_top", { value: 46, unit: "cm", version: 1 })
      expect([status, slip["code"], slip["path"]]).to eq([422, "slip", "/value"])
      expect(slip["params"]["expected_mm"]).to be_within(0.1).of(559.7)
      expect(slip["message"]).to include("10 cm less than this height makes likely")
      expect(db[:readings].count).to eq(1)
      page = call(:put, "#{path}/floor_to_knee_top", { value: 46, unit: "cm", confirmed: true, version: 1 })
      expect(
        page["observations"].find { |observation| observation["name"] == "floor_to_knee_top" }["reading"]["state"]
      ).to eq("confirmed")
    end

    it "refuses a height that cannot be one, confirmed or not" do
      [false, true].each do |confirmed|
        refused = call(:put, "#{path}/stature", { value: 110, unit: "cm", confirmed: confirmed, version: 1 })
        expect([status, refused["code"]]).to eq([422, "stature_out_of_range"])
      end
    end

    it "leaves out, and says so, what no longer agrees after a correction" do
      long_legged = client(loft, account, name: "Caspian Thwaite", sex: "man", floor_to_knee_top: 640)
      call(:patch, "/api/clients/#{long_legged[:id]}", { version: 1, sex: "woman" })
      page = call(:get, "/api/clients/#{long_legged[:id]}")
      expect(
        page["observations"].find { |observation| observation["name"] == "floor_to_knee_top" }["reading"]["state"]
      ).to eq("left_out")
      expect(page["body"].map { |dimension| dimension["source"] }).to all(eq("estimated"))
    end

    it "gives a reading sent again its first answer, whatever has changed since" do
      key = SecureRandom.uuid
      first = call(:put, "#{path}/floor_to_knee_top", { value: 56, unit: "cm", version: 1 }, key: key)
      call(:put, "#{path}/stature", { value: 130, unit: "cm", version: 2 })
      expect(call(:put, "#{path}/floor_to_knee_top", { value: 56, unit: "cm", version: 1 }, key: key)).to eq(first)
      expect(db[:clients].get(:version)).to eq(3)
    end

    it "takes a reading back" do
      page = call(:delete, "#{path}/stature?version=1")
      expect([status, page["observations"].count { |observation| observation["reading"] }]).to eq([200, 0])
    end

    it "does not write over what another instructor just read" do
      call(:put, "#{path}/seat_to_kneecap", { value: 62, unit: "cm", version: 1 })
      call(:put, "#{path}/seat_to_kneecap", { value: 63, unit: "cm", version: 1 })
      expect(status).to eq(409)
      expect(db[:readings].where(observation: "seat_to_kneecap").get(:value_mm)).to eq(620)
    end

    it "offers the reading that helps most, and asks for depths at a high body mass" do
      machine(loft)
      expect(call(:get, "/api/clients/#{person[:id]}")["next"]).to eq("seat_to_kneecap").or eq("seat_to_crease")
      db[:clients].update(body_mass_kg: 110)
      expect(call(:get, "/api/clients/#{person[:id]}")["ask_for"]).to eq(%w[seat_to_kneecap thigh_depth])
    end
  end
end
