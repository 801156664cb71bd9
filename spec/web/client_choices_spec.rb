# frozen_string_literal: true

require "web_helper"

# What clients decide of what is kept of them.
RSpec.describe "A client's choices" do
  let(:loft) { gym }
  let!(:account) { staff(loft, role: "lead") }
  let!(:person) { client(loft, account, name: "Perpetua Lowe", stature: 1648, seat_to_kneecap: 576) }
  let!(:here) { machine(loft, "slide_back", name: "Leg extension 1") }

  before { sign_in }

  def words = "My readings, settings and loads are kept so that I am set up well here."
  def page = call(:get, "/api/clients/#{person[:id]}")
  def choose(**chosen)
    call(:put, "/api/clients/#{person[:id]}/choices", { version: page["client"]["version"], **chosen })
  end
  def write_words(text = words)
    settings = call(:get, "/api/gym")
    call(:put, "/api/gym", { **settings.slice("version", "address", "wall_names"), consent_text: text })
  end
  def listed = call(:post, "/api/clients/search", { text: "" })["clients"].map { |one| one["name"] }

  it "are an agreement in the gym's words of that day, kept when those change, and its withdrawal" do
    expect([choose(consent: true)["code"], choose(consent: false)["code"]]).to eq(%w[no_consent_text not_consented])
    write_words
    today = Date.today.iso8601
    expect(choose(consent: true)["choices"]["consent"]).to eq("day" => today, "text" => words, "withdrawn_on" => nil)
    write_words("Other words.")
    expect(page["choices"]["consent"]["text"]).to eq(words)
    withdrawn = choose(consent: false)["choices"]
    expect(withdrawn["consent"]).to include("text" => words, "withdrawn_on" => today)
    expect(withdrawn["teaches"]).to be(false)
    expect(choose(consent: true)["choices"]["consent"]).to include("text" => "Other words.", "withdrawn_on" => nil)
  end

  it "are not written over a colleague's change, and stand in the trail and in what the person is given" do
    version = page["client"]["version"]
    choose(teaches: false)
    call(:put, "/api/clients/#{person[:id]}/choices", { version: version, away: true })
    expect([status, page["choices"]]).to match([409, include("teaches" => false, "away_since" => nil)])
    expect(call(:get, "/api/audit")["entries"].first["says"]).to eq("wrote down what a client decided")
    archive = call(:get, "/api/clients/#{person[:id]}/archive.json")
    expect(archive["client"]).to include("teaches" => false, "consented_on" => nil, "away_since" => nil)
  end

  describe "to teach nothing" do
    # Three people, seen on the dot where they sit: the first of them may be asked not to teach.
    def taught
      accepted_as_advised(loft, person, here, account) { { knee_off_mm: 20, roller_seen: true } }
      [1600, 1700].each do |stature|
        other = client(loft, account, name: "Of #{stature}", stature: stature, seat_to_kneecap: stature * 0.35)
        accepted_as_advised(loft, other, here, account) { { knee_off_mm: 20, roller_seen: true } }
      end
    end

    it "leave machines and loads without what they showed" do
      taught
      expect(call(:get, "/api/machines/#{here[:id]}/errors")["errors"].map { |one| one["count"] }).to all(eq(3))
      ids = -> { Verglas::Store::Queries::LiftedSets.new(loft).on(here[:id], "", most: 10) }
      expect(ids.call).to include(person[:id])
      choose(teaches: false)
      expect(call(:get, "/api/machines/#{here[:id]}/errors")["errors"]).to be_empty
      expect(ids.call).not_to include(person[:id])
      marks = Verglas::Store::Queries::MachineFittings.new(loft).marks(here[:id], "", most: 10)
      expect(marks.map { |row| row[:client_id] }).not_to include(person[:id])
      # Their own body goes on being known by what was seen on them.
      expect(page["learned"]).not_to be_empty
    end
  end

  it "put away who left: in no list, due nowhere, found by name, and back with the next fitting" do
    accepted_as_advised(loft, person, here, account)
    db[:fittings].update(accepted_at: Time.now - (800 * 86_400))
    expect(call(:get, "/api/refits")["due"].size).to eq(1)
    expect(choose(away: true)["choices"]["away_since"]).to eq(Date.today.iso8601)
    expect([listed, call(:get, "/api/refits")["due"]]).to eq([[], []])
    expect(call(:get, "/api/floor").to_s).not_to include("Perpetua")
    expect(call(:get, "/api/board?weeks=52").to_s).not_to include("Perpetua")
    found = call(:post, "/api/clients/search", { text: "perp" })["clients"]
    expect(found.map { |one| one["name"] }).to eq(["Perpetua Lowe"])
    expect(choose(away: false)["choices"]["away_since"]).to be_nil
    choose(away: true)
    call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })
    expect([status, page["choices"]["away_since"], listed]).to eq([201, nil, ["Perpetua Lowe"]])
  end

  it "stand beside what the gym has for all: after how long a shared tablet locks itself" do
    expect(call(:get, "/api/me")["gym"]["idle_minutes"]).to eq(5)
    settings = call(:get, "/api/gym")
    set = ->(minutes) do
      call(:put, "/api/gym", { **settings.slice("version", "address", "wall_names"), idle_minutes: minutes })
    end
    expect([set[0]["code"], set[2]["idle_minutes"], call(:get, "/api/me")["gym"]["idle_minutes"]]).to eq(
      ["too_small", 2, 2]
    )
  end
end
