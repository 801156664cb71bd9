# frozen_string_literal: true

require "web_helper"
require "pdf/reader"

# Names in any script: kept and found as they are written; on paper as text where the letters can be set, else by the
# client's number, said so.
RSpec.describe "Names in any script" do
  let(:loft) { gym }
  let!(:account) { staff(loft, role: "lead") }

  before { sign_in }

  set = {
    "Latin" => "Zoë Łukasiewicz-Ødegård",
    "Vietnamese" => "Nguyễn Thị Bích",
    "Greek" => "Ελένη Παπαδοπούλου",
    "Cyrillic" => "Дмитрий Ёлкин"
  }
  unset = {
    "Arabic" => "محمد علي",
    "Hebrew" => "דוד לוי",
    "Devanagari" => "अनिता शर्मा",
    "Thai" => "สมชาย ใจดี",
    "Chinese" => "王小明",
    "emoji" => "Zoë 🦭"
  }

  def add(name)
    call(:post, "/api/clients", { name: name })["client"] ||
      call(:post, "/api/clients/search", { text: name })["clients"].first
  end

  def printed(id, paper)
    get "/api/clients/#{id}/card.pdf?paper=#{paper}"
    PDF::Reader
      .new(StringIO.new(last_response.body))
      .pages
      .map { |page| page.runs(merge: false).map(&:text).join }
      .join
      .unicode_normalize(:nfc)
      .gsub(/\s+/, "")
  end

  { **set, **unset }.each do |script, name|
    it "keeps, finds and exports one in #{script}" do
      add(name)
      expect(call(:post, "/api/clients/search", { text: name[0, 3] })["clients"].map { |one| one["name"] }).to eq(
        [name]
      )
      call(:get, "/api/export/clients.csv")
      expect(last_response.body.dup.force_encoding("UTF-8")).to include(name)
    end
  end

  set.each do |script, name|
    it "prints one in #{script}" do
      id = add(name)["id"]
      machine(loft)
      expect(%w[a6 a4].map { |paper| printed(id, paper).include?(name.gsub(/\s+/, "")) }).to include(true)
      expect(printed(id, "a4")).to include(name.gsub(/\s+/, ""))
    end
  end

  unset.each do |script, name|
    it "prints the number of somebody whose name is in #{script}, and says so" do
      id = add(name)["id"]
      machine(loft)
      expect(printed(id, "a4")).to include("Client#{id[0, 4].upcase}(lettersofthenamecannotbeprinted)")
    end
  end

  it "refuses signs that are not seen in names, wherever they come from, and says so" do
    ["Ada\u202Eabc", "Ada\u0007", "Ada\nBo", "\u2066Ada", "Ada\u200F"].each do |name|
      expect(call(:post, "/api/clients", { name: name })).to include("code" => "unseen_sign", "path" => "/name"),
      name.inspect
      expect { loft.clients.insert(name: name, detail: "") }.to raise_error(Verglas::Invalid) { |error|
        expect(error.code).to eq(:unseen_sign)
      }
    end
    expect(call(:post, "/api/clients", { name: "Ada", detail: "x\u202E" })).to include(
      "code" => "unseen_sign",
      "path" => "/detail"
    )
    expect(call(:post, "/api/machines", { family: "extension", name: "Leg\u202E", place: "" })["code"]).to eq(
      "unseen_sign"
    )
    written =
      [Verglas::Web::Contract::FILE, File.join(Verglas::ROOT, "docs/formats/gym.schema.json")].flat_map do |file|
        File.read(file).gsub("\\\\", "\\").scan(/\\A\[\^(\S*?)\]\*\\z/).flatten
      end
    expect(written.uniq).to eq([Verglas::Formats::Csv::Types::UNSEEN.source[1..-2]])
    text = Verglas::Formats::Csv::Types::Text.new(80)
    expect { text.read("Ada\u202Eabc") }.to raise_error(Verglas::Invalid)
  end
end
