# frozen_string_literal: true

require "database_helper"

RSpec.describe Verglas::Store::Queries::SearchClients do
  let(:loft) { gym }
  let(:search) { described_class.new(loft) }

  def names(text, **given) = search.call(text, **given).map { |row| row[:name] }

  before do
    [
      "Zéphyrine Maddox",
      "Ósk Brannagh",
      "Imre Talbot-Vane",
      "Matteus Orr",
      "Conor O'Shea",
      "Dagny Holm-Reyes",
      "Per_cy 100%"
    ].each { |name| loft.clients.insert(name: name) }
  end

  it "finds two letters of any part of a name, accents and case aside" do
    {
      "ze" => ["Zéphyrine Maddox"],
      "OS" => ["Ósk Brannagh"],
      "va" => ["Imre Talbot-Vane"],
      "sh" => ["Conor O'Shea"],
      "rey" => ["Dagny Holm-Reyes"],
      "é" => names(""),
      "xx" => []
    }.each { |text, found| expect(names(text)).to eq(found) }
  end

  it "puts names in which a word starts with the letters before those which merely hold them" do
    loft.clients.insert(name: "Aaron Thorne")
    expect(names("or")).to eq(["Matteus Orr", "Aaron Thorne", "Conor O'Shea"])
  end

  it "takes letters literally" do
    expect(names("%%")).to be_empty
    expect(names("r_c")).to eq(["Per_cy 100%"])
    expect(names("' OR 1=1 --")).to be_empty
  end

  it "sees only its own gym" do
    gym("The Sail Shed").clients.insert(name: "Zeno Elsewhere")
    expect(names("ze")).to eq(["Zéphyrine Maddox"])
  end

  it "pages through everybody by name, in the order people expect" do
    first = search.call("", limit: 3)
    expect(first.map { |row| row[:name] }).to eq(["Conor O'Shea", "Dagny Holm-Reyes", "Imre Talbot-Vane"])
    rest = search.call("", limit: 50, after: first.last.values_at(:search_name, :id))
    expect(rest.map { |row| row[:name] }).to eq(["Matteus Orr", "Ósk Brannagh", "Per_cy 100%", "Zéphyrine Maddox"])
  end

  it "can use the trigram index for two letters at the start of a word" do
    db.transaction do
      db.run("SET LOCAL enable_seqscan = off")
      plan = db[:clients].where(Sequel.lit("search_name LIKE '% or%'")).explain
      expect(plan).to include("clients_trigrams")
    end
  end
end
