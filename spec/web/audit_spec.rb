# frozen_string_literal: true

require "web_helper"
require_relative "../support/taking_in"

RSpec.describe "The audit trail" do
  include TakingIn

  let(:loft) { gym }
  let!(:account) { staff(loft, role: "lead") }
  let(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
  let(:person) { client(loft, account, name: "Perpetua Lowe", stature: 1648, seat_to_kneecap: 576) }

  before { sign_in }

  def trail(**query) = call(:get, "/api/audit#{"?#{URI.encode_www_form(query)}" if query.any?}")
  def rows = db[Sequel[:kept][:audit]].where(gym_id: loft.id)

  it "tells every write with who, what and about whom, once however often it is sent, and nothing that was refused" do
    key = SecureRandom.uuid
    2.times { call(:patch, "/api/clients/#{person[:id]}", { version: 1, body_mass_kg: 61 }, key: key) }
    call(:patch, "/api/clients/#{person[:id]}", { version: 1, body_mass_kg: 62 })
    id = call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })["id"]
    call(
      :post,
      "/api/fittings/#{id}/acceptance",
      { marks: call(:get, "/api/fittings/#{id}")["marks"], version: 1, reason: "So." }
    )
    said =
      trail["entries"].map do |entry|
        [entry["by"], entry["says"], entry.dig("client", "name"), entry.dig("machine", "name")]
      end
    expect(said).to eq(
      [
        ["Maren Oldcastle", "accepted a fitting", "Perpetua Lowe", "Leg extension 1"],
        ["Maren Oldcastle", "opened the bench", "Perpetua Lowe", "Leg extension 1"],
        ["Maren Oldcastle", "corrected a client", "Perpetua Lowe", nil],
        ["Maren Oldcastle", "signed in", nil, nil]
      ]
    )
    expect(trail(of: here[:id])["entries"].size).to eq(2)
    expect(trail(of: person[:id])["entries"].size).to eq(3)
    # Whoever reads it is told of too, with about whom.
    expect(
      trail["entries"]
        .first(3)
        .map { |entry| [entry["says"], entry.dig("client", "name"), entry.dig("machine", "name")] }
    ).to eq(
      [
        ["read the trail", "Perpetua Lowe", nil],
        ["read the trail", nil, "Leg extension 1"],
        ["read the trail", nil, nil]
      ]
    )
  end

  it "tells who came in and by which door, who went, and how often somebody tried in vain" do
    sign_in(email: "maren@netloft.example")
    call(:post, "/auth/pin", { password: Given::PASSWORD, pin: "2468" })
    call(:post, "/auth/lock", {})
    2.times { call(:post, "/auth/switch", { account_id: account, pin: "9999" }) }
    call(:post, "/auth/switch", { account_id: account, pin: "2468" })
    call(:post, "/auth/logout", {})
    3.times { call(:post, "/auth/login", { email: "maren@netloft.example", password: "guess" }) }
    call(:post, "/auth/login", { email: "nobody@netloft.example", password: "guess" })
    sign_in
    expect(trail["entries"].map { |entry| entry["says"] }.first(7)).to eq(
      [
        "signed in",
        "tried a wrong password, 3 times",
        "signed out",
        "opened the tablet with the PIN",
        "tried a wrong PIN, 2 times",
        "locked the tablet",
        "set a PIN"
      ]
    )
  end

  it "tells of each person whom a file brought" do
    take_in("clients", "name\nImre Talbot\nIda Quist\n")
    expect(rows.where(action: "made_by_import").select_map(:subject)).to match_array(
      db[:clients].where(name: ["Imre Talbot", "Ida Quist"]).select_map(:id)
    )
  end

  it "tells every opening of cautions and every paper that leaves" do
    call(:get, "/api/clients/#{person[:id]}/cautions")
    get "/api/clients/#{person[:id]}/card.pdf"
    call(:put, "/api/clients/#{person[:id]}/cautions", { caution: "back", version: nil, note: "" })
    get "/api/clients/#{person[:id]}/card.txt"
    get "/api/machines/#{here[:id]}/sheet.pdf"
    expect(trail["entries"].map { |entry| entry["says"] }).to eq(
      [
        "printed a wall sheet",
        "had the cautions on paper",
        "copied a card as text",
        "wrote a caution",
        "printed a card",
        "opened the cautions with their notes",
        "signed in"
      ]
    )
  end

  it "has words for everything that can be done" do
    operations =
      YAML.load_file("#{Verglas::ROOT}/web/openapi.yaml", aliases: true)["paths"].values.flat_map(&:values).grep(Hash)
    writes =
      operations.select { |operation| operation["parameters"].to_a.any? { |one| one["$ref"].to_s.end_with?("/Key") } }
    names = writes.map { |operation| operation["operationId"].gsub(/[A-Z]/) { |letter| "_#{letter.downcase}" } }
    expect(names.size).to be > 30
    expect(names.reject { |name| Verglas::Formats::Words.known?("audit.#{name}") }).to be_empty
  end

  it "cannot be changed, shortened or dated otherwise by the application's own role" do
    call(:get, "/api/clients/#{person[:id]}/cautions")
    [
      "UPDATE kept.audit SET action = 'nothing'",
      "DELETE FROM kept.audit",
      "TRUNCATE kept.audit",
      "DROP TABLE kept.audit",
      "ALTER TABLE kept.audit DISABLE TRIGGER ALL",
      "DROP TRIGGER audit_stays ON kept.audit",
      "DROP SCHEMA kept CASCADE",
      "ALTER TABLE kept.audit OWNER TO verglas",
      "INSERT INTO kept.audit (gym_id, account_id, action, at) VALUES ('#{loft.id}', 1, 'nothing', '2020-01-01')"
    ].each do |statement|
      expect { db.transaction(savepoint: true) { db.run(statement) } }.to raise_error(
        Sequel::DatabaseError,
        /permission denied|must be owner/
      ),
      statement
    end
    expect(rows.order(:id).select_map(:action)).to eq(%w[signed_in cautions])
  end

  it "is read by whoever leads the gym, a page at a time, of their gym alone; it holds no name" do
    105.times { loft.trail.add("save_fitting", by: account, subject: person[:id]) }
    first = trail
    second = trail(before: first["next"])
    expect([first["entries"].size, second["entries"].size, second["next"]]).to eq([100, 6, nil])
    expect(rows.first.values.join).not_to match(/Perpetua|Lowe/)
    theirs = gym("Elsewhere")
    spy = staff(theirs, email: "spy@elsewhere.example")
    call(:post, "/auth/logout", {})
    sign_in(email: "spy@elsewhere.example")
    expect([trail["code"], status]).to eq(["lead_only", 403])
    db[:accounts].where(id: spy).update(role: "lead")
    expect(trail["entries"].map { |entry| entry["says"] }).to eq(["signed in"])
    expect(trail(of: person[:id])["entries"]).to eq([])
  end
end
