# frozen_string_literal: true

require "web_helper"
require_relative "../../ops/record_schema"
require_relative "../support/taking_in"

# The examples of docs/formats go in as they stand there, and what comes out of them is what stands beside them.
RSpec.describe "The examples of docs/formats" do
  include TakingIn

  folder = File.join(Verglas::ROOT, "docs", "formats", "examples")
  file = ->(name) { File.read(File.join(folder, name)) }
  let!(:account) { staff(gym, role: "lead") }

  before { sign_in }

  it "are taken in, each, in their order" do
    %w[clients readings machines marks fittings visits].each do |kind|
      import = look_through(kind, file["#{kind}.csv"])
      expect([kind, import["counts"]["refuse"], import["unknown"]]).to eq([kind, 0, []])
      expect(take(import)["state"]).to eq("taken"), kind
    end
    expect(%i[clients readings machines fittings visits sets].to_h { |table| [table, db[table].count] }).to eq(
      { clients: 2, readings: 5, machines: 1, fittings: 1, visits: 1, sets: 2 }
    )
  end

  it "the archive too, and out again to the byte" do
    expect(take_in("gym", file["gym.json"])["state"]).to eq("taken")
    call(:get, "/api/export/gym-with-health-notes.json")
    expect(last_response.body).to eq(file["gym.json"])
    call(:get, "/api/export/movements.csv")
    expect(last_response.body.gsub("\r\n", "\n").force_encoding("UTF-8")).to eq(file["movements.csv"])
  end

  it "are as their schemas say; that of the tables is the program's own" do
    schema = JSONSchemer.schema(Pathname(Verglas::ROOT).join("docs/formats/gym.schema.json"))
    expect(schema.validate(JSON.parse(file["gym.json"])).map { |fault| fault["error"] }.to_a).to be_empty
    person = JSONSchemer.schema(Pathname(Verglas::ROOT).join("docs/formats/person.schema.json"))
    expect(person.validate(JSON.parse(file["person.json"])).map { |fault| fault["error"] }.to_a).to be_empty
    expect(JSON.parse(File.read(File.join(Verglas::ROOT, "docs/formats/tables.schema.json")))).to eq(
      Verglas::Formats::Csv::Described.schema
    )
    expect(JSON.parse(File.read(Verglas::Ops::RecordSchema::FILE))).to eq(Verglas::Ops::RecordSchema.document)
    tables = JSONSchemer.schema(Pathname(Verglas::ROOT).join("docs/formats/tables.schema.json"))
    Verglas::Formats::Csv::Sheets::ALL.each_key do |kind|
      CSV
        .parse(file["#{kind}.csv"], headers: true)
        .each do |row|
          cells = row.to_h.compact
          # Headers may be written in other ways: those of the readings beside a client are.
          known = tables.ref("#/$defs/#{kind}").validate(cells.transform_keys { |name| name.sub(/_cm\z/, "_mm") })
          expect(known.map { |fault| fault["error"] }.to_a).to be_empty, kind.to_s
        end
    end
  end

  it "leave out no column of any table that a gym's archive holds" do
    sections = Verglas::Store::Archive::SECTIONS.values
    definitions = JSON.parse(File.read(File.join(Verglas::ROOT, "docs/formats/gym.schema.json")))["$defs"]
    sections.each do |section|
      columns = section.columns(db).map { |name| name.to_s.delete_suffix("_cipher") }
      expect([section.name, columns.sort]).to eq(
        [section.name, definitions.fetch(section.name.to_s)["properties"].keys.sort]
      )
    end
    apart = %i[
      account_active_session_keys
      account_password_hashes
      account_pins
      backups
      client_joins
      client_links
      client_shares
      counters
      gyms
      import_chunks
      import_keys
      import_pieces
      imports
      movement_samples
      movements
      practice_looks
      practice_runs
      practice_tasks
      schema_info
      staff_links
      tablet_staff
      writes
    ]
    expect((db.tables - apart - sections.map(&:table)).sort).to eq([])
  end
end
