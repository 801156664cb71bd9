# frozen_string_literal: true

require "web_helper"
require "json_schemer"

RSpec.describe "What belongs to a person" do
  let(:loft) { gym }
  let!(:account) { staff(loft, role: "lead") }
  let(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
  let!(:person) do
    client(
      loft,
      account,
      name: "Perpetua Lowe",
      detail: "ferry crew",
      sex: "woman",
      stature: 1648,
      seat_to_kneecap: 576
    )
  end
  let!(:other) { client(loft, account, name: "Imre Talbot-Vane", stature: 1700) }
  let(:erasing) do
    {
      version: call(:get, "/api/clients/#{person[:id]}")["client"]["version"],
      name: "Perpetua Lowe",
      keep_marks: false
    }
  end

  before { sign_in }

  # Something of every kind.
  def remembered(who)
    id = call(:post, "/api/fittings", { client_id: who[:id], machine_id: here[:id] })["id"]
    page = call(:get, "/api/fittings/#{id}")
    call(
      :post,
      "/api/fittings/#{id}/acceptance",
      { marks: page["marks"], version: 1, note: "Scar on the shin.", cue: "Toes up.", reason: "So." }
    )
    call(
      :post,
      "/api/fittings/#{id}/sets",
      {
        load_kg: nil,
        repetitions: 10,
        last: "clean",
        reached: 1,
        felt: "front_thigh",
        sign: nil,
        leg: "",
        watched_by: account
      }
    )
    call(:put, "/api/clients/#{who[:id]}/cautions", { caution: "loose_joints", version: nil, note: "Said so herself." })
    loft.rules.set_for_client(who[:id], "extension_roller", "hand_above", reason: "A scar.", by: account)
    call(
      :put,
      "/api/refits/snooze",
      { client_id: who[:id], machine_id: here[:id], exercise: "", weeks: 2, reason: "Away on the boats." }
    )
    call(:post, "/api/fittings/#{id}/movements", { leg: "", planned: 10 })
    queue = call(:get, "/api/machines/#{here[:id]}/queue")
    call(:put, "/api/machines/#{here[:id]}/queue", { clients: [person[:id], other[:id]], version: queue["version"] })
    page["marks"]
  end

  def erase(**changes) = call(:post, "/api/clients/#{person[:id]}/erasure", { **erasing, **changes })
  def everything_kept = db.tables.flat_map { |table| db[table].all }.join

  it "is one file with everything about them, in the form that is described, for whoever leads the gym" do
    remembered(person)
    marsh = staff(loft, email: "dr@netloft.example", name: "Dr Solveig Marsh", role: "clinician")
    loft.shares.add(person[:id], marsh, by: account)
    loft.client_links.make(person[:id], by: account)
    archive = call(:get, "/api/clients/#{person[:id]}/archive.json")
    expect(archive["shown_to"]).to contain_exactly(include("clinician" => "Dr Solveig Marsh"))
    expect(archive["own_card"]).to contain_exactly(include("opened" => 0, "opened_at" => nil))
    text = JSON.generate(archive)
    expect(text).to include(
      "Perpetua Lowe",
      "ferry crew",
      "Scar on the shin.",
      "Toes up.",
      "Said so herself.",
      "A scar.",
      "Away on the boats.",
      "front_thigh",
      "seat_to_kneecap"
    )
    expect(text).not_to include("Imre")
    schema = JSONSchemer.schema(Pathname(Verglas::ROOT).join("docs/formats/person.schema.json"))
    expect(schema.validate(archive).map { |fault| fault["error"] }.to_a).to be_empty
    expect(schema.valid?(archive.merge("extra" => 1))).to be(false)
    expect(call(:get, "/api/audit")["entries"].first["says"]).to eq("took everything about a client")
    db[:accounts].where(id: account).update(role: "instructor")
    call(:get, "/api/clients/#{person[:id]}/archive.json")
    expect(status).to eq(403)
  end

  it "is erased whole, once the name was typed, and tells of nobody else" do
    remembered(person)
    key = SecureRandom.uuid
    call(:patch, "/api/clients/#{person[:id]}", { version: erasing[:version], body_mass_kg: 61 }, key: key)
    again = { version: call(:get, "/api/clients/#{person[:id]}")["client"]["version"] }
    expect(erase(**again, name: "perpetua lowe")["code"]).to eq("name_differs")
    expect(db[:clients].where(id: person[:id]).count).to eq(1)
    expect(erase(**again)).to eq("ok" => true)
    expect(everything_kept).not_to include(person[:id])
    expect(everything_kept).not_to include("Perpetua")
    expect(call(:get, "/api/machines/#{here[:id]}/queue")["entries"].map { |entry| entry["client"]["name"] }).to eq(
      ["Imre Talbot-Vane"]
    )
    call(:patch, "/api/clients/#{person[:id]}", { version: erasing[:version], body_mass_kg: 61 }, key: key)
    expect(status).to eq(404)
    trail = call(:get, "/api/audit")["entries"].first
    expect(trail).to include("says" => "erased a client", "client" => nil)
  end

  it "leaves the marks with the machine where the gym wants them, and no person" do
    marks = remembered(person)
    use = -> { call(:get, "/api/machines/#{here[:id]}")["use"].sum { |line| line["count"] } }
    expect(use.call).to eq(marks.size)
    erase(keep_marks: true)
    expect(use.call).to eq(marks.size)
    left = db[:nameless_fittings].first
    expect(left.keys).to contain_exactly(:id, :gym_id, :machine_id, :exercise, :marks, :grade, :month)
    expect(left[:month].day).to eq(1)
    expect(everything_kept).not_to match(/Perpetua|#{person[:id]}/)
  end

  it "is not erased over a colleague's change, by an instructor, or from another gym" do
    seen = erasing
    call(:patch, "/api/clients/#{person[:id]}", { version: seen[:version], body_mass_kg: 61 })
    expect([erase(**seen)["code"], status]).to eq(["stale", 409])
    db[:accounts].where(id: account).update(role: "instructor")
    erase
    expect(status).to eq(403)
    theirs = gym("Elsewhere")
    spy = staff(theirs, email: "spy@elsewhere.example")
    db[:accounts].where(id: spy).update(role: "lead")
    call(:post, "/auth/logout", {})
    sign_in(email: "spy@elsewhere.example")
    call(:post, "/api/clients/#{person[:id]}/erasure", seen)
    expect(status).to eq(404)
    expect(db[:clients].where(id: person[:id]).count).to eq(1)
  end

  # All that lies in the database, opened where it is sealed.
  def opened
    sealed =
      Verglas::Store::Rekeying::TABLES.flat_map do |table|
        table.ciphers.flat_map do |column, purpose|
          db[table.name]
            .exclude(column => nil)
            .select_map(column)
            .map { |cipher| Verglas::Store::Secrets.open(cipher, purpose) }
        end
      end
    # A file's bytes lie in base64.
    sealed = sealed.flat_map { |text| [text, text.unpack1("m").force_encoding(Encoding::UTF_8).scrub] }
    (sealed + [everything_kept]).join("\n")
  end

  # A draft kept, one that was discarded, and one that was accepted and taken back, each with words of its own.
  def planted_at(name, words, number)
    row = machine(loft, "slide_back", name: name)
    id = call(:post, "/api/fittings", { client_id: person[:id], machine_id: row[:id] })["id"]
    page = call(:get, "/api/fittings/#{id}")
    sheet = { marks: page["marks"], note: words[:"note_#{number}"], cue: words[:"cue_#{number}"] }
    call(:patch, "/api/fittings/#{id}", { **sheet, version: page["version"], flow: page["flow"] })
    return call(:post, "/api/fittings/#{id}/discard", { version: page["version"] + 1 }) if number.zero?

    call(
      :post,
      "/api/fittings/#{id}/acceptance",
      { **sheet, version: page["version"] + 1, reason: words[:"reason_#{number}"] }
    )
    expect(status).to be < 300
    call(
      :put,
      "/api/refits/snooze",
      { client_id: person[:id], machine_id: row[:id], exercise: "", weeks: 2, reason: words[:"snooze_#{number}"] }
    )
    return unless number > 2
    call(:post, "/api/fittings/#{id}/taking-back", { version: page["version"] + 2, reason: words[:"back_#{number}"] })
  end

  def planted_caution(caution, words)
    cleared = { cleared_by: words[:"clinician_#{caution}"], cleared_on: "2026-01-05" }
    call(
      :put,
      "/api/clients/#{person[:id]}/cautions",
      { caution: caution, version: nil, note: words[:"caution_#{caution}"], **cleared }
    )
    expect(status).to be < 300
    call(
      :post,
      "/api/clients/#{person[:id]}/cautions/removal",
      { caution: caution, version: 1, reason: words[:"removal_#{caution}"] }
    )
  end

  it "leaves no word of theirs anywhere: not in answers kept under the ids of what was theirs, nor in files on " \
       "their way" do
    words = Hash.new { |known, place| known[place] = "planted#{place.to_s.delete("_")}word" }
    remembered(person)
    7.times { |number| planted_at("Machine #{number}", words, number) }
    %w[neck_shoulder back ankle falls diabetes].each { |caution| planted_caution(caution, words) }
    { "grip" => "hard", "tempo" => "squeeze" }.each do |question, school|
      loft.rules.set_for_client(person[:id], question, school, reason: words[:"rule_#{question}"], by: account)
    end
    call(
      :patch,
      "/api/clients/#{person[:id]}",
      { version: call(:get, "/api/clients/#{person[:id]}")["client"]["version"], detail: words[:detail] }
    )
    file = call(:post, "/api/imports", { kind: "clients", bytes: 60, length_unit: "cm", mass_unit: "kg" })
    loft.imports.put_chunk(file["id"], 1, "name,detail\nPerpetua Lowe,#{words[:file]}\n")
    keep = call(:post, "/api/imports", { kind: "clients", bytes: 40, length_unit: "cm", mass_unit: "kg" })
    loft.imports.put_chunk(keep["id"], 1, "name,detail\nImre Talbot-Vane,the other\n")
    # A short name is no part of a longer one.
    expect([loft.imports.naming(%w[Talbot]), loft.imports.naming(%w[Tal])]).to eq([[keep["id"]], []])
    expect(words.size).to be > 40
    expect(words.values.reject { |word| opened.include?(word) }).to eq([])
    expect(erase(version: call(:get, "/api/clients/#{person[:id]}")["client"]["version"])).to eq("ok" => true)
    expect(words.values.select { |word| opened.include?(word) }).to eq([])
    expect(opened).not_to match(/Perpetua|#{person[:id]}|Scar on the shin|Away on the boats/)
    expect(loft.imports.find(keep["id"])).not_to be_nil
  end

  # Where a person can stand, by table: whoever makes a table says how it is met.
  places = {
    accounts: :staff,
    account_active_session_keys: :staff,
    account_password_hashes: :staff,
    client_cautions: :theirs,
    client_joins: :theirs,
    client_links: :theirs,
    client_rules: :theirs,
    client_shares: :theirs,
    circles: :left,
    programmes: :theirs,
    sessions: :theirs,
    clients: :theirs,
    account_pins: :staff,
    backups: :none,
    counters: :none,
    gym_equipment: :none,
    gym_plates: :none,
    gym_bands: :none,
    tablet_staff: :staff,
    fittings: :theirs,
    gym_aims: :none,
    gym_cautions: :none,
    gym_cues: :none,
    gym_rules: :none,
    gym_tempos: :none,
    gyms: :none,
    imports: :searched,
    import_chunks: :searched,
    import_keys: :searched,
    import_pieces: :searched,
    machine_descriptions: :none,
    machine_photographs: :none,
    machine_queues: :left,
    machines: :none,
    movement_samples: :theirs,
    movements: :theirs,
    nameless_fittings: :nameless,
    practice_looks: :staff,
    practice_runs: :staff,
    practice_tasks: :none,
    readings: :theirs,
    refit_snoozes: :theirs,
    schema_info: :none,
    sets: :theirs,
    staff_links: :staff,
    visits: :theirs,
    writes: :searched
  }

  it "knows of every table whether a person can stand in it, and those that point at a client go with them" do
    expect(db.tables.sort - places.keys).to eq([])
    pointing =
      db.tables.select do |table|
        db.foreign_key_list(table).any? { |key| key[:table].to_s.match?(/clients\z|fittings\z|visits\z/) }
      end
    expect(pointing - places.select { |_, how| how == :theirs }.keys).to eq([])
  end
end
