# frozen_string_literal: true

require "web_helper"
require_relative "../support/known"

# A helper sees what a client's cautions do, and not what they are; a clinician sees whom they were shown.
RSpec.describe "Discretion" do
  include Known

  operations = Fuzz.new(seed: 1).operations.reject { |_, path, _| path.start_with?("/auth/") }
  table = YAML.safe_load_file(Verglas::Web::Roles::FILE)
  rules = Verglas::Guidance::Cautions::RULES.keys
  titles = rules.map { |name| Verglas::Formats::Words.say("cautions.#{name}.title") }
  let!(:known) { known_gym }
  let(:loft) { known[:gym] }
  let(:people) { known[:ids]["clients"] }

  def role(name) = db[:accounts].where(id: known[:account]).update(role: name)

  def give_everything(client_id, rules)
    rules.each do |name|
      loft.cautions.put(client_id, name.to_s, version: nil, by: known[:account], note: "#{Known::HIDDEN} note")
    end
  end

  # Every answer to what a helper may ask, of somebody with every caution; as Ruby data and as text.
  def answers(operations)
    fuzz = fuzz_of(known, seed: 3, of: known[:ids])
    operations.flat_map do |operation|
      Array.new(3) do
        request = fuzz.right(operation)
        header "Content-Type", "application/json"
        header "Idempotency-Key", request.headers["Idempotency-Key"]
        custom_request(request.verb.upcase, request.path, {}, { input: request.raw.to_s })
        [operation[2]["operationId"], last_response.status, last_response.body.force_encoding("UTF-8").scrub]
      end
    end
  end

  it "names no caution to a helper, in no answer to anything that they may ask" do
    people.each { |id| give_everything(id, rules) }
    sign_in
    role("helper")
    told = answers(operations.select { |operation| table[operation[2]["operationId"]].include?("helper") })
    expect(told.count { |_, code, _| code == 200 }).to be > 40
    # Whole names of the table: a word of one may stand in a sentence about what to do.
    named = told.select { |_, _, body| titles.any? { |title| body.downcase.include?(title.downcase) } }
    expect(named.map(&:first).uniq).to eq([])
    # Some are words of joints too.
    coded = told.select { |_, _, body| (rules - %i[knee hip back ankle]).any? { |name| body.include?("\"#{name}\"") } }
    expect(coded.map(&:first).uniq).to eq([])
    expect(told.map(&:last).join).not_to include("#{Known::HIDDEN} note")
  end

  it "still says to a helper what a caution does, and bars what it bars" do
    give_everything(people.last, %i[knee])
    sign_in
    role("helper")
    page = call(:get, "/api/clients/#{people.last}")
    expect(page["cautions"]).to contain_exactly(
      include(
        "name" => "withheld",
        "title" => "A caution",
        "does" => /knee|extension|curl/i,
        "joint" => "",
        "side" => ""
      )
    )
    bars = call(:get, "/api/clients/#{people.last}/predictions").to_s
    expect(bars).to include("A caution")
  end

  it "shows a clinician those who were shared with them, and takes their word under their own name alone" do
    seen, unseen = people
    give_everything(seen, %i[knee])
    give_everything(unseen, %i[knee])
    clinician = staff(loft, email: "dr@netloft.example", name: "Dr Ada Quill", role: "clinician")
    sign_in
    expect(call(:put, "/api/clients/#{seen}/sharing", { clinician: clinician, shared: true })["clinicians"]).to eq(
      [{ "id" => clinician, "name" => "Dr Ada Quill", "shared" => true }]
    )
    call(:put, "/api/clients/#{seen}/sharing", { clinician: known[:mate], shared: true })
    expect(status).to eq(404)
    call(:post, "/auth/logout", {})
    sign_in(email: "dr@netloft.example")
    expect(call(:post, "/api/clients/search", { text: "" })["clients"].map { |one| one["id"] }).to eq([seen])
    %w[cautions limits].each do |part|
      call(:get, "/api/clients/#{seen}/#{part}")
      expect(status).to eq(200)
      call(:get, "/api/clients/#{unseen}/#{part}")
      expect(status).to eq(404)
    end
    word = { caution: "knee", version: 1, cleared_on: Date.today.iso8601, cleared_by: "Somebody Else", note: "other" }
    call(:put, "/api/clients/#{seen}/cautions", { **word, degrees: { knee_flexion: { from: 10, to: 80 } } })
    expect(loft.cautions.of(seen).first).to include(
      cleared_by: "Dr Ada Quill",
      note: "#{Known::HIDDEN} note",
      degrees: {
        "knee_flexion" => [10, 80]
      }
    )
    expect(call(:put, "/api/clients/#{seen}/cautions", { caution: "back", version: nil, note: "" })["code"]).to eq(
      "role_refused"
    )
    call(:put, "/api/clients/#{unseen}/cautions", word)
    expect(status).to eq(404)
    call(:get, "/api/floor")
    expect(status).to eq(403)
  end

  it "ends what a clinician sees with the sharing, and with the role" do
    clinician = staff(loft, email: "dr@netloft.example", name: "Dr Ada Quill", role: "clinician")
    seen = people.first
    sign_in
    share = ->(shared) { call(:put, "/api/clients/#{seen}/sharing", { clinician: clinician, shared: shared }) }
    share[true]
    expect(loft.shares.dataset.count).to eq(1)
    share[false]
    expect(loft.shares.dataset.count).to eq(0)
    share[true]
    call(:put, "/api/staff/#{clinician}/role", { role: "helper", version: 1 })
    expect(loft.shares.dataset.count).to eq(0)
  end
end
