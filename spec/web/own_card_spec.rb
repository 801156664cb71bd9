# frozen_string_literal: true

require "web_helper"
require_relative "../support/known"

# A client's own card, by a link that they hold.
RSpec.describe "A client's own card" do
  include Known

  let!(:known) { known_gym }
  let(:loft) { known[:gym] }
  let(:person) { known[:ids]["clients"].first }
  let(:other) { known[:ids]["clients"].last }

  before do
    sign_in
    db[:gyms].where(id: loft.id).update(own_pages: true)
  end

  def made = call(:post, "/api/clients/#{person}/links", {})
  def secret(link) = link["address"].split("#").last
  def opened(secret) = call(:post, "/auth/own-card", { secret: secret })
  def links = call(:get, "/api/clients/#{person}/links")["links"]

  # On a phone, where nobody is signed in.
  def phone
    call(:post, "/auth/logout", {})
    yield
  ensure
    sign_in
  end

  it "opens on a phone with marks and load, and says nothing of health and no name but theirs" do
    loft.cautions.put(person, "back", version: nil, by: known[:account], note: Known::HIDDEN)
    db[:client_rules].insert(
      client_id: person,
      question: "extension_roller",
      school: "just_above",
      set_by: known[:account],
      **Verglas::Store::Sealed.columns(:client_rules, { reason: Known::HIDDEN })
    )
    link = made
    expect(link["address"]).to match(%r{/mine#[\w-]{22}\z})
    phone do
      card = opened(secret(link))
      expect(card).to include("name" => "Perpetua", "gym" => "The Net Loft", "stop" => /[Pp]ain/)
      station = card["machines"].first
      expect(station).to include("name" => /Station/, "marks" => include(include("mark" => be_a(String))))
      text = card.to_s
      titles =
        Verglas::Guidance::Cautions::RULES.keys.map { |name| Verglas::Formats::Words.say("cautions.#{name}.title") }
      expect(titles.select { |title| text.include?(title) }).to eq([])
      names = db[:accounts].select_map(:name) + db[:clients].select_map(:name)
      expect(names.select { |name| text.include?(name) }).to eq([])
      expect(text).not_to include(Known::HIDDEN)
    end
    expect(links).to contain_exactly(include("opened" => 1, "opened_at" => be_a(String)))
  end

  it "tells how one works as far as a caution goes, in words that name neither it nor whoever allowed it" do
    rules = Verglas::Guidance::Cautions::RULES
    word = { cleared_by: "Dr Solveig Marsh", cleared_on: Date.today.to_s, load_to_kg: 30, note: Known::HIDDEN }
    told =
      rules.each_value.map do |rule|
        db[:client_cautions].delete
        degrees = rule.degrees_of ? { rule.degrees_of => [10, 80] } : {}
        loft.cautions.put(person, rule.name.to_s, version: nil, by: known[:account], **word, degrees: degrees)
        card = Verglas::Application::Questions::Card.of(loft, loft.clients.find(person))
        [
          rule.name,
          Verglas::Web::Views::OwnCard.of(Verglas::Application::Questions::OwnCard.new(card: card, session: nil)).to_s
        ]
      end
    said = told.select { |name, text| text.downcase.scan(/[[:alpha:]]+/).intersect?(words_of(name)) }
    expect(said.map(&:first)).to eq([])
    expect(told.map(&:last).join).not_to match(/Marsh|#{Known::HIDDEN}|clinician|cleared|caution/io)
    expect(told.map(&:last).uniq.size).to be > 5
  end

  # Of a caution's name, those that no machine and no sentence about work has.
  def words_of(name)
    title = Verglas::Formats::Words.say("cautions.#{name}.title")
    title.downcase.scan(/[[:alpha:]]{4,}/) -
      %w[pain knee back ankle very with loose joint joints today last weeks feet swollen calf]
  end

  it "names a machine that a caution bars, without why and without its marks" do
    loft.cautions.put(person, "knee", version: nil, by: known[:account], note: "")
    link = made
    phone do
      card = opened(secret(link))
      expect(card["machines"]).to eq([])
      expect(card["ask"]).to contain_exactly(/Station/)
      expect(card.to_s).not_to match(/knee pain|barred|clear/i)
    end
  end

  it "opens nothing once it is taken back, once the gym turns such pages off, or once the client is erased" do
    first = made
    second = made
    call(:post, "/api/clients/#{person}/links/removal", { link: links.last["id"] })
    expect(opened(secret(first))["code"]).to eq("own_card_over")
    expect(opened(secret(second))["name"]).to eq("Perpetua")
    db[:gyms].where(id: loft.id).update(own_pages: false)
    expect(opened(secret(second))["code"]).to eq("own_card_over")
    expect(made["code"]).to eq("no_own_pages")
    db[:gyms].where(id: loft.id).update(own_pages: true)
    Verglas::Store::Erasure.new(loft).call([loft.clients.find(person)], keep_marks: false, gone: [404, "{}"])
    expect([opened(secret(second))["code"], status]).to eq(["own_card_over", 404])
  end

  it "takes nobody's link back by another's, makes no more than five, and counts who guesses but not who opens" do
    link = made
    call(:post, "/api/clients/#{other}/links/removal", { link: links.first["id"] })
    expect(status).to eq(404)
    4.times { made }
    expect(made["code"]).to eq("links_full")
    25.times { expect(opened(secret(link))["name"]).to eq("Perpetua") }
    codes = Array.new(21) { opened(SecureRandom.urlsafe_base64)["code"] }
    expect(codes.last).to eq("too_many_tries")
  end

  it "keeps of a link nothing that opens it" do
    opens = secret(made)
    opened(opens)
    expect("#{db.tables.map { |table| db[table].all.to_s }.join}#{Http::LOG.string}").not_to include(opens)
  end
end
