# frozen_string_literal: true

require "spec_helper"
require_relative "../../config/formats"
require "stringio"
require "csv"

RSpec.describe Verglas::Formats::Csv do
  let(:clients) { described_class::Sheets::CLIENTS }
  let(:units) { { "length" => "cm", "mass" => "kg" } }

  def rows(text) = [].tap { |all| described_class.each_row(StringIO.new(text)) { |cells, line| all << [line, cells] } }

  def refused
    yield
    nil
  rescue Verglas::Invalid => e
    [e.code, e.path]
  end

  def values(header, cells, **other) = clients.values(clients.places(header).first, cells, { **units, **other })
  def encoding(*pieces) = described_class.encoding(pieces.map(&:b))

  it "finds what separates cells, takes quoted ones with breaks in them, and says which row it is" do
    expect(rows("name,detail\r\n\"Lowe, \"\"Pip\"\"\",\"two\nlines\"\r\nAda,\r\n")).to eq(
      [[1, %w[name detail]], [2, ["Lowe, \"Pip\"", "two\nlines"]], [3, ["Ada", nil]]]
    )
    expect(rows("name;mass\nAda;71,5\n").last.last).to eq(%w[Ada 71,5])
    expect(rows("name\tmass\nAda\t71.5\n").last.last).to eq(%w[Ada 71.5])
  end

  it "refuses what is no table, with its line" do
    expect(refused { rows("") }).to eq([:no_header, ""])
    expect(refused { rows("name,detail\nAda,\"open\nand open") }&.first).to eq(:not_a_table)
    expect(refused { rows("name\nAda \"x\"\n") }).to eq([:not_a_table, "/2"])
    expect(refused { rows("name\n\"#{"x" * 30_000}\"\n") }&.first).to eq(:not_a_table)
    stub_const("#{described_class}::MOST_ROWS", 3)
    expect(refused { rows("name\n#{"Ada\n" * 4}") }&.first).to eq(:too_many_rows)
  end

  it "reads a file as what it is: UTF-8 with or without a mark, UTF-16, Windows-1252; a letter may be cut between " \
       "two pieces" do
    expect(encoding("name\nJosé\n")).to eq("UTF-8")
    expect(encoding("name\nJos\xC3", "\xA9\n")).to eq("UTF-8")
    expect(encoding("\xEF\xBB\xBFname\n")).to eq("UTF-8")
    expect(encoding("\xFF\xFEn\x00a\x00")).to eq("UTF-16LE")
    expect(encoding("name\nJos\xE9\n")).to eq("Windows-1252")
    expect(encoding("name\nJos\xE9\n", "x" * 100_000)).to eq("Windows-1252")
  end

  it "refuses what is no text, and letters of two kinds in one file" do
    expect(refused { encoding("na\x00me") }&.first).to eq(:not_text)
    expect(refused { encoding("\x8F\x01\x90\n") }&.first).to eq(:not_text)
    expect(refused { encoding("name\nJosé\n", "Jos\xE9\n") }&.first).to eq(:mixed_encodings)
    expect(refused { encoding("\xEF\xBB\xBFname\nJos\xE9\n") }&.first).to eq(:mixed_encodings)
  end

  it "refuses a line that does not end before anybody holds it, wherever it is cut, and takes any number that do" do
    endless = ["name\nAda\n", *["x" * 700_000] * 5]
    expect(refused { encoding(*endless) }).to eq([:not_a_table, "/3"])
    expect(encoding("name\n", *["#{"x" * 699_999}\n"] * 8)).to eq("UTF-8")
  end

  it "cuts random text into pieces anywhere and always finds the same" do
    random = Random.new(11)
    100.times do
      text = Array.new(30) { ["a", "é", "ß", "€", "🧊", "\n", ";"].sample(random: random) }.join
      bytes = text.b
      cuts = Array.new(3) { random.rand(bytes.bytesize + 1) }.sort
      pieces = [0, *cuts, bytes.bytesize].each_cons(2).map { |from, to| bytes[from...to] }
      expect(encoding(*pieces)).to eq("UTF-8"), text
    end
  end

  it "knows its columns by other names too, with their unit, and says which it does not know" do
    places, unknown = clients.places(["Full name", "Body mass (lb)", "Height in", "Shoe size"])
    expect(places.map { |place| [place.column.name, place.unit] }).to eq(
      [[:name, nil], [:body_mass, "lb"], [:stature, "in"]]
    )
    expect(unknown).to eq(["Shoe size"])
    expect(refused { clients.places(%w[born detail]) }).to eq([:column_missing, "/1"])
    expect(refused { clients.places(%w[name client]) }).to eq([:column_twice, "/1"])
  end

  it "reads numbers with a comma or a point, in the unit of the cell, of its header or of the file" do
    header = %w[name body_mass stature]
    expect(values(header, %w[Ada 71,5 164,8])).to eq({ name: "Ada", body_mass: 71.5, stature: 1648.0 })
    expect(values(header, ["Ada", "158 lb", "64.9 in"])).to include(body_mass: 71.67, stature: 1648.5)
    expect(values(header, %w[Ada 158 64.9], "mass" => "lb", "length" => "in")).to include(
      body_mass: 71.67,
      stature: 1648.5
    )
    expect(values(%w[name body_mass_kg], %w[Ada 71.5], "mass" => "lb")).to include(body_mass: 71.5)
    expect(values(header, ["Ada", nil, "  "])).to eq({ name: "Ada" })
  end

  it "says what is wrong with a cell, and in which column" do
    header = %w[name sex birth_date body_mass]
    expect(refused { values(header, ["Ada", "plenty", nil, nil]) }).to eq([:not_allowed, "/sex"])
    expect(refused { values(header, ["Ada", nil, "31/02/1990", nil]) }).to eq([:no_date, "/birth_date"])
    expect(refused { values(header, ["Ada", nil, nil, "1,234.5"]) }).to eq([:no_number, "/body_mass"])
    expect(refused { values(header, ["Ada", nil, nil, "1e3"]) }).to eq([:no_number, "/body_mass"])
    expect(refused { values(header, ["Ada", nil, nil, "7 kg"]) }).to eq([:out_of_range, "/body_mass"])
    expect(refused { values(header, ["Ada", nil, nil, "70 in"]) }).to eq([:unknown_unit, "/body_mass"])
    expect(refused { values(header, ["A" * 81, nil, nil, nil]) }).to eq([:too_long, "/name"])
  end

  it "takes a day either way round, and a moment with its zone" do
    expect(values(%w[name born], %w[Ada 31.5.1990])[:birth_date]).to eq(Date.new(1990, 5, 31))
    moment = described_class::Types::Moment
    expect(moment.read("2026-03-01T10:00:00+02:00")).to eq(Time.utc(2026, 3, 1, 8))
    expect(moment.read("1/3/2026")).to eq(Time.utc(2026, 3, 1, 12))
    expect(moment.read(moment.write(Time.at(1_700_000_000, 123_456).utc))).to eq(Time.at(1_700_000_000, 123_456))
  end

  it "writes nothing that a spreadsheet would run, and reads it back as it was" do
    type = described_class::Types::Text.new(80)
    hostile = ["=1+1", "+44", "-2", "@SUM(A1)", "'=x", "''=x", "'quoted'", "a=b", "\"; DROP", "Ä, ö\nü"]
    hostile.each do |text|
      cell = CSV.parse_line(described_class.line([type.write(text)]), row_sep: "\r\n").first
      expect(cell).not_to match(/\A[=+\-@\t\r]/)
      expect(type.read(described_class.plain(cell))).to eq(text.gsub(/\s+/, " "))
    end
  end

  it "keeps names and values whose signs are those that divide them" do
    pairs = described_class::Types::Pairs.new(false)
    marks = { "back; pad" => "3=4", "50%" => "%3B", "=x" => "1" }
    expect(pairs.read(described_class.plain(pairs.write(marks)))).to eq(marks)
    expect(described_class::Types::Pairs.new(true).read("a=1,5; b=-2")).to eq({ "a" => 1.5, "b" => -2.0 })
    expect(refused { pairs.read("seat") }&.first).to eq(:no_pairs)
  end
end
