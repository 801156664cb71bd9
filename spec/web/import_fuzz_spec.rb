# frozen_string_literal: true

require "web_helper"
require_relative "../support/demo_gym"
require_relative "../support/everything"
require_relative "../support/taking_in"

# Files that nobody means well: cut off, of two encodings, binary, with the same keys twice, with cells that a
# spreadsheet would run or that are none. IMPORT_SEED and IMPORT_FILES ask for others.
RSpec.describe "Fuzzed files" do
  include TakingIn
  include Everything

  let(:random) { Random.new(Integer(ENV.fetch("IMPORT_SEED", "20261127"))) }
  let(:files) { Integer(ENV.fetch("IMPORT_FILES", "70")) }
  let(:cells) do
    [
      "=HYPERLINK(\"x\")",
      "+1",
      "-1",
      "@x",
      "\u0000",
      "\u202E",
      "x" * 25_000,
      "\"",
      "\n",
      "\r",
      ";",
      ",",
      "'",
      "NaN",
      "1e999",
      "9" * 40,
      "null",
      "{\"a\":[[[[[[[[1]]]]]]]]}",
      "2026-99-99",
      "%3B",
      "=",
      ";;;=",
      "00000000-0000-0000-0000-000000000000",
      "\u{1F9CA}" * 30,
      "<script>",
      "' OR 1=1 --",
      "",
      " "
    ]
  end

  def kept
    everything(
      but: [
        :account_active_session_keys,
        :counters,
        :writes,
        :tablet_staff,
        :imports,
        :import_chunks,
        :import_pieces,
        :import_keys,
        Sequel[:kept][:audit]
      ]
    )
  end
  def pick(list) = list[random.rand(list.size)]

  # One to three things wrong with a text.
  def spoilt(text)
    random.rand(1..3).times { text = send(pick(%i[cut doubled replaced binary mixed cell]), text.b) }
    text
  end

  def cut(text) = text[0, random.rand(text.bytesize + 1)]
  def doubled(text) = text.lines.then { |lines| [*lines, *Array.new(3) { pick(lines) }].join }
  def replaced(text) = text.lines.shuffle(random: random).join
  def binary(text)
    text.dup.tap do |bytes|
      20.times { bytes.setbyte(random.rand([bytes.bytesize, 1].max), random.rand(256)) unless bytes.empty? }
    end
  end
  def mixed(text) = text + "José\n".b + "José\n".encode("Windows-1252").b
  def cell(text)
    text
      .split(/(?<=[,:])/n)
      .then { |parts| parts.tap { 3.times { parts[random.rand([parts.size, 1].max)] = "#{pick(cells)},".b } }.join }
  end

  it "never fail, and are taken in whole or not at all" do
    DemoGym.lay(db)
    call(:post, "/auth/login", { email: "maren@netloft.example", password: Verglas::Demo::Loader::SIGN_IN[:password] })
    good =
      %w[clients readings machines marks fittings visits].to_h do |name|
        [name, call(:get, "/api/export/#{name}.csv").then { last_response.body }]
      end
    outcomes = Hash.new(0)
    files.times do
      kind = pick(good.keys)
      before = kept
      text = spoilt(good[kind])
      next if text.empty?

      import = look_through(kind, text)
      expect(status).to be < 500, "#{kind} #{text[0, 300].inspect}"
      outcomes[import["code"] || "looked through"] += 1
      expect(kept).to eq(before)
      next unless import["id"]

      taken = take(import, leave_refused: random.rand(2) == 1)
      expect(status).to be < 500, "#{kind} #{text[0, 300].inspect}"
      expect(kept).to eq(before) if taken["code"]
      outcomes[taken["code"] || "taken"] += 1
      %w[/api/clients/search /api/machines].zip(%i[post get], [{ text: "" }, nil]) do |path, verb, body|
        call(verb, path, body).then { expect(status).to eq(200) }
      end
    end
    expect(outcomes.values_at("looked through", "taken", "rows_refused").map(&:positive?)).to eq([true] * 3),
    outcomes.inspect
  end

  it "archives too: nothing of one that is spoilt" do
    DemoGym.lay(db)
    call(:post, "/auth/login", { email: "maren@netloft.example", password: Verglas::Demo::Loader::SIGN_IN[:password] })
    good = call(:get, "/api/export/gym-with-health-notes.json").then { last_response.body }
    emptied
    before = kept
    (files / 5).times do
      text = spoilt(good)
      next if text.empty?

      import = look_through("gym", text)
      expect(status).to be < 500, text[0, 300].inspect
      next unless import["id"]

      expect(import["counts"]["refuse"] + import["counts"]["add"]).to be_positive
      taken = import["counts"]["refuse"].zero? ? nil : take(import)
      expect(status).to be < 500
      expect(taken && taken["code"]).to eq("rows_refused").or be_nil
      expect(kept).to eq(before)
    end
  end
end
