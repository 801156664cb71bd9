# frozen_string_literal: true

require "database_helper"

RSpec.describe "The migrations" do
  it "go all the way down and up again" do
    tables = db.tables.sort
    Sequel::Migrator.run(db, Verglas::Store::Database::MIGRATIONS, target: 0)
    expect(db.tables - [:schema_info]).to be_empty
    Verglas::Store::Database.migrate(db)
    expect(db.tables.sort).to eq(tables)
  ensure
    db.disconnect # plans made for the old tables
  end

  it "keep a clinician's knee degrees as the knee's, so that they clear no other joint" do
    Sequel::Migrator.run(db, Verglas::Store::Database::MIGRATIONS, target: 14)
    gym = db[:gyms].returning(:id).insert(name: "The Net Loft").first[:id]
    by = db[:accounts].insert(gym_id: gym, email: "maren@netloft.example", name: "Maren Oldcastle")
    person = db[:clients].returning(:id).insert(gym_id: gym, name: "Ada").first[:id]
    cleared = { client_id: person, set_by: by, cleared_by: "Dr Fenwick", cleared_on: "2026-03-02" }
    db[:client_cautions].insert(caution: "knee", bend_from_deg: 10, **cleared)
    db[:client_cautions].insert(caution: "hip_replacement", bend_to_deg: 90, **cleared)
    db[:client_cautions].insert(caution: "back", **cleared)
    Sequel::Migrator.run(db, Verglas::Store::Database::MIGRATIONS, target: 15)
    expect(
      db
        .fetch("SELECT caution, degrees::text AS degrees FROM client_cautions")
        .as_hash(:caution, :degrees)
        .transform_values { |text| JSON.parse(text) }
    ).to eq(
      {
        "knee" => {
          "knee_flexion" => [10.0, nil]
        },
        "hip_replacement" => {
          "knee_flexion" => [nil, 90.0]
        },
        "back" => {
        }
      }
    )
  ensure
    Verglas::Store::Database.migrate(db)
    db.disconnect
  end

  it "encrypt what speaks of health as it stands, and give it back on the way down" do
    Sequel::Migrator.run(db, Verglas::Store::Database::MIGRATIONS, target: 17)
    gym_id = db[:gyms].returning(:id).insert(name: "The Net Loft").first[:id]
    by = db[:accounts].insert(gym_id: gym_id, email: "maren@netloft.example", name: "Maren Oldcastle")
    person =
      db[:clients]
        .returning(:id)
        .insert(gym_id: gym_id, name: "Ada", detail: "new knee", limits: '{"ankle":{"deg":30}}')
        .first[
        :id
      ]
    db[:client_cautions].insert(
      client_id: person,
      caution: "knee",
      side: "left",
      since: "2026-01-02",
      cleared_by: "Dr Fenwick",
      cleared_on: "2026-03-02",
      load_to_kg: 20,
      degrees: '{"knee_flexion":[10,null]}',
      set_by: by
    )
    db[:client_rules].insert(client_id: person, question: "grip", school: "light", reason: "Her wrist.", set_by: by)
    before =
      %i[clients client_cautions client_rules].to_h do |table|
        [table, db[table].all.map { |row| row.transform_values(&:to_s) }]
      end
    Verglas::Store::Database.migrate(db)
    db.disconnect
    loft = Verglas::Store::Gym.new(db, gym_id)
    expect(loft.clients.find(person)).to include(detail: "new knee", limits: { "ankle" => { "deg" => 30 } })
    expect(loft.cautions.of(person)).to contain_exactly(
      include(
        caution: "knee",
        side: "left",
        since: Date.new(2026, 1, 2),
        cleared_by: "Dr Fenwick",
        load_to_kg: 20,
        degrees: {
          "knee_flexion" => [10, nil]
        }
      )
    )
    expect(loft.rules.of_client(person).first).to include(reason: "Her wrist.")
    Sequel::Migrator.run(db, Verglas::Store::Database::MIGRATIONS, target: 17)
    db.disconnect
    expect(
      before
        .keys
        .to_h { |table| [table, db[table].all.map { |row| row.transform_values(&:to_s) }] }
        .transform_values { |rows| rows.map { |row| row.sort.to_h } }
    ).to eq(before.transform_values { |rows| rows.map { |row| row.sort.to_h } })
  ensure
    Verglas::Store::Database.migrate(db)
    db.disconnect
  end

  it "give every instant a time zone and every length a unit" do
    columns =
      db.fetch("SELECT column_name, data_type FROM information_schema.columns WHERE table_schema = 'public'").all
    expect(columns.select { |column| column[:data_type] == "timestamp without time zone" }).to be_empty
    expect(columns.map { |column| column[:column_name] }.grep(/mass|stature|height|value/)).to all(
      match(/_(kg|mm|px)\z/)
    )
  end

  it "name every check" do
    names =
      db.fetch("SELECT conname FROM pg_constraint WHERE contype = 'c' AND connamespace = 'public'::regnamespace").map(
        :conname
      )
    expect(names.grep(/_check\d*\z/)).to be_empty
  end
end
