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

  it "give every instant a time zone and every length a unit" do
    columns = db.fetch("SELECT column_name, data_type FROM information_schema.columns WHERE table_schema = 'public'").all
    expect(columns.select { |column| column[:data_type] == "timestamp without time zone" }).to be_empty
    expect(columns.map { |column| column[:column_name] }.grep(/mass|stature|height|value/)).to all(match(/_(kg|mm|px)\z/))
  end

  it "name every check" do
    names = db.fetch("SELECT conname FROM pg_constraint WHERE contype = 'c' AND connamespace = 'public'::regnamespace").map(:conname)
    expect(names.grep(/_check\d*\z/)).to be_empty
  end
end
