# frozen_string_literal: true

require "web_helper"

RSpec.describe "Cautions over HTTP" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
  let(:person) do
    client(loft, account, name: "Dagny Holm", sex: "man", stature: 1700, seat_to_kneecap: 604, floor_to_knee_top: 541)
  end
  let(:path) { "/api/clients/#{person[:id]}/cautions" }
  let(:cleared) { { cleared_by: "Dr Fenwick", cleared_on: "2026-03-02" } }

  before { sign_in }

  def written(caution, version: nil, **fields) = call(:put, path, { caution: caution, version: version, **fields })

  def knee(from, upto) = { knee_flexion: { from: from, to: upto } }

  def removed(caution, version, reason)
    call(:post, "#{path}/removal", { caution: caution, version: version, reason: reason })
  end

  def fitting(machine = here)
    call(
      :get,
      "/api/fittings/#{call(:post, "/api/fittings", { client_id: person[:id], machine_id: machine[:id] })["id"]}"
    )
  end

  def accept(page, marks = page["marks"])
    call(:post, "/api/fittings/#{page["id"]}/acceptance", { marks: marks, version: page["version"] })
  end

  it "bars the machines, says why on bench and card, and lets nothing be accepted by any door" do
    written("knee", side: "left", since: "2026-01-10")
    page = fitting
    expect(page["bars"]).to eq(["Knee pain or injury: this machine is not advised until a clinician has cleared it."])
    refused = accept(page)
    expect([status, refused["code"]]).to eq([422, "barred"])
    expect(db[:fittings].where(state: "accepted").count).to eq(0)
    expect(call(:get, "/api/clients/#{person[:id]}")["cautions"].first).to include(
      "title" => "Knee pain or injury",
      "side" => "left",
      "cleared" => false
    )
  end

  it "speaks of several with one voice: no belt that another forbids, no load over another's, the stricter figure " \
       "alone" do
    belted = machine(loft, "slide_back", name: "Leg extension 2", belt: true)
    written("blood_pressure", **cleared, load_to_kg: 40)
    written("pregnancy", **cleared, load_to_kg: 30)
    written("loose_joints")
    written("knee", **cleared)
    told = fitting(belted)["cautions"].to_h { |one| [one["name"], one["does"]] }
    expect(told.values.join).to include("No lap belt.", "No more than 30 kg")
    expect(told.values.join).not_to match(/Wear the belt|40 kg/)
    expect(told["loose_joints"]).not_to include("80°")
    page = call(:get, "/api/clients/#{person[:id]}")["cautions"].map { |one| one["does"] }.join(" ")
    expect(page).to include("No lap belt.")
    expect(page).not_to include("Wear the belt")
  end

  it "narrows what is advised once it is cleared, and writes down what it was" do
    before = fitting["advice"]["marks"]
    written("knee", side: "left", **cleared)
    page = fitting
    expect([page["bars"], page["narrowed"]]).to eq(
      [[], "Because of the cautions: knee between 10° and 80° of bend, roller 110 mm above the ankle."]
    )
    expect(page["advice"]["marks"]).not_to eq(before)
    expect(accept(page, page["advice"]["marks"])["state"]).to eq("accepted")
    record = call(:get, "/api/fittings/#{page["id"]}")
    expect(record["cautions"].map { |caution| [caution["name"], caution["cleared"]] }).to eq([["knee", true]])
    expect(record["computed_from"]["envelope"]).to eq({ "knee_flexion" => [10.0, 80.0] })
  end

  it "accepts no joint past a clinician's degrees, and no pad on the kneecap, whatever the marks" do
    written("knee_ligament", side: "left", **cleared, degrees: knee(10, 70))
    page = fitting
    expect(page["bars"]).to be_empty
    deep = accept(page, page["marks"].merge("start" => "1"))
    expect([status, deep["code"]]).to eq([422, "past_knee_bend_limit"])
    curl = machine(loft, "curl_plain", name: "Leg curl 1")
    db[:client_cautions].delete
    on_the_kneecap = fitting(curl)
    refused = accept(on_the_kneecap, on_the_kneecap["marks"].merge("back pad" => "7"))
    expect([status, refused["code"]]).to eq([422, "on_the_kneecap"])
    expect(db[:fittings].where(state: "accepted").count).to eq(0)
  end

  it "keeps every other figure of the row where a clinician names one end, and no joint but the one that is named" do
    written("knee", side: "left", **cleared, degrees: knee(15, nil))
    expect(fitting["narrowed"]).to eq(
      "Because of the cautions: knee between 15° and 80° of bend, roller 110 mm above the ankle."
    )
    written("hip_replacement", side: "left", **cleared, degrees: knee(0, 90))
    expect(fitting["bars"]).to eq(
      ["Hip replacement: this machine is not advised until a clinician has given the degrees allowed (hip bend)."]
    )
    written(
      "hip_replacement",
      version: 1,
      side: "left",
      **cleared,
      degrees: {
        hip_flexion: {
          from: nil,
          to: 70
        }
      },
      named: ["extension"]
    )
    expect(fitting["bars"]).to eq(["The hip is held near 90° here, and 70° is allowed. Another machine."])
  end

  it "bars a machine where a clinician and a measure leave no range, and still opens the bench to say so" do
    written("knee", side: "left", **cleared, degrees: knee(85, nil))
    expect(fitting["bars"]).to eq(["The limits together leave no range of knee bend. Ask the clinician first."])
    expect(accept(fitting)["code"]).to eq("barred")
  end

  it "tells a client only what the cautions leave: no hold, no hard grip, no straight end, a load that needs no belt" do
    loft.rules.set("grip", "hard", by: account)
    written("blood_pressure")
    page = fitting
    told =
      page["steps"]
        .flat_map { |step| [*step.values_at("do", "look", "right"), *step["first"], *step["notes"]] }
        .join(" ")
    expect(told).to include("2 s up, 3 s down.").and include("they do not squeeze")
    expect(told).not_to match(/held|Pull hard/i)
    loads = call(:post, "/api/fittings/#{page["id"]}/loads", {})
    expect([loads["tempo"].values_at("hold_s", "pause_s", "says"), loads["remarks"]]).to eq(
      [[0, 0, "2-0-3-0"], ["The lightest only: no belt here, and body mass is not known."]]
    )
    db[:clients].where(id: person[:id]).update(body_mass_kg: 80)
    expect(call(:post, "/api/fittings/#{page["id"]}/loads", {})["remarks"]).to eq(
      ["No more than 40 kg: there is no belt here to hold the hips."]
    )
    over =
      call(
        :post,
        "/api/fittings/#{page["id"]}/acceptance",
        {
          marks: page["marks"],
          version: 1,
          work: {
            load_kg: 45,
            left_kg: nil,
            right_kg: nil,
            repetitions: 10,
            sets: 2,
            last: nil,
            felt: nil,
            felt_side: nil,
            belt: nil
          }
        }
      )
    expect(over["code"]).to eq("past_load_limit")
  end

  it "tells no client with a caution to go fully straight, on bench and set-up list alike" do
    written("loose_joints")
    page = fitting
    told = page["steps"].flat_map { |step| [step["right"], *step["first"], *step["notes"]] }.join(" ")
    expect(told).to include("Stop 10° short of straight.")
    expect(told).not_to match(/fully straight/i)
    accept(page, page["advice"]["marks"])
    expect(call(:get, "/api/fittings/#{page["id"]}/set-up")["allowed"]).to include("Stop 10° short of straight.")
  end

  it "keeps to the maker's limits of mass and age" do
    loft.machines.update(here[:id], version: 1, by: account, user_mass_limit_kg: 90, least_age_years: 14)
    db[:clients].where(id: person[:id]).update(body_mass_kg: 95, birth_date: Date.today << (12 * 13))
    expect(fitting["bars"]).to eq(
      ["The maker allows users up to 90 kg: another machine.", "The maker allows users from 14 years: another machine."]
    )
    expect(accept(fitting)["code"]).to eq("barred")
    db[:clients].where(id: person[:id]).update(body_mass_kg: 90, birth_date: Date.today << (12 * 14))
    expect(fitting["bars"]).to be_empty
  end

  it "asks for the maker's plate before a child sits, where its limit was not written down" do
    notes = -> { fitting["steps"].first["first"] }
    told = "Under 16: look at the maker's plate for who may use this machine."
    db[:clients].where(id: person[:id]).update(birth_date: Date.today << (12 * 15))
    expect(notes.call).to include(told)
    loft.machines.update(here[:id], version: 1, by: account, least_age_years: 14)
    expect(notes.call).not_to include(told)
    loft.machines.update(here[:id], version: 2, by: account, least_age_years: nil)
    db[:clients].where(id: person[:id]).update(birth_date: Date.today << (12 * 16))
    expect(notes.call).not_to include(told)
  end

  it "lets nobody clear a caution without a name and a day, nor give degrees" do
    expect(written("knee", cleared_by: "Dr Fenwick")).to include(
      "code" => "clearance_unsigned",
      "path" => "/cleared_on"
    )
    expect(written("knee", cleared_on: "2026-03-02")).to include(
      "code" => "clearance_unsigned",
      "path" => "/cleared_by"
    )
    expect(written("knee", degrees: knee(nil, 80))).to include("code" => "degrees_uncleared", "path" => "/cleared_by")
    expect(written("knee", **cleared, degrees: knee(80, 10))).to include(
      "code" => "degrees_reversed",
      "path" => "/degrees/knee_flexion"
    )
    expect(written("knee", **cleared, degrees: { elbow_flexion: { from: 0, to: 10 } })).to include(
      "code" => "unknown_motion"
    )
    expect(written("knee", **cleared, degrees: knee(0, 161))).to include("path" => "/degrees/knee_flexion/to")
    expect(written("knee", since: "2999-01-01")).to include("path" => "/since")
    expect(written("knee", since: (Date.today + 1).iso8601)).to include("code" => "since_in_future", "path" => "/since")
    expect(written("lamp")).to include("code" => "unknown_caution")
    {
      side: "up",
      cleared_by: "x" * 81,
      note: "x" * 1001,
      version: 0,
      mood: "low",
      caution: "Lamp!"
    }.each { |field, bad| expect(written("knee", **cleared, field => bad)).to include("path" => "/#{field}") }
    expect(db[:client_cautions].count).to eq(0)
  end

  it "overwrites nobody, and encrypts the note" do
    written("knee", side: "left", note: "Cartilage, 2019")
    expect(db[:client_cautions].get(:note_cipher)).not_to include("Cartilage")
    expect(call(:get, path)["cautions"].first["note"]).to eq("Cartilage, 2019")
    written("knee", version: 1, side: "both")
    stale = written("knee", version: 1, side: "right")
    expect([status, stale["current"]["side"]]).to eq([409, "both"])
    written("knee", side: "right")
    expect(status).to eq(409)
  end

  it "takes out what was written by mistake only with a reason, which stays with who did so, encrypted" do
    written("heart")
    expect(removed("heart", 1, " ")).to include("code" => "removal_unexplained", "path" => "/reason")
    expect(call(:post, "#{path}/removal", { caution: "heart", version: 1 })).to include("path" => "/reason")
    removed("heart", 2, "Wrong client")
    expect(status).to eq(409)
    page = removed("heart", 1, "Wrong client")
    expect(
      [page["cautions"], page["removed"].map { |caution| caution.values_at("name", "reason", "removed_by") }]
    ).to eq([[], [["heart", "Wrong client", "Maren Oldcastle"]]])
    expect(db[:client_cautions].get(:removal_cipher)).not_to include("Wrong")
    expect([fitting["bars"], call(:get, "/api/clients/#{person[:id]}")["cautions"]]).to eq([[], []])
    removed("heart", 2, "Again")
    expect(status).to eq(409)
    expect(
      [removed("lamp", 1, "Wrong"), call(:post, "#{path}/return", { caution: "lamp", version: 1 })].map do |refused|
        refused["code"]
      end
    ).to eq(%w[unknown_caution unknown_caution])
    expect(removed("knee", 1, "Wrong")["code"]).to eq("not_found")
  end

  it "puts back what was taken out, or lets it be written anew, once" do
    written("heart", note: "Told on the phone")
    removed("heart", 1, "Wrong client")
    page = call(:post, "#{path}/return", { caution: "heart", version: 2 })
    expect([page["removed"], page["cautions"].map { |caution| caution.values_at("name", "note", "version") }]).to eq(
      [[], [["heart", "Told on the phone", 3]]]
    )
    expect(fitting["bars"]).not_to be_empty
    call(:post, "#{path}/return", { caution: "heart", version: 3 })
    expect(status).to eq(409)
    removed("heart", 3, "Wrong client")
    anew = written("heart", side: "", note: "Told again")
    expect([status, anew["removed"], anew["cautions"].map { |caution| caution.values_at("note", "version") }]).to eq(
      [200, [], [["Told again", 5]]]
    )
    written("heart")
    expect(status).to eq(409)
  end

  it "says in no address and no log which caution somebody has" do
    written("pregnancy")
    removed("pregnancy", 1, "Wrong client")
    expect(Http::LOG.string).to include("/cautions").and(satisfy { |log| !log.include?("pregnancy") })
  end

  it "shows no other gym's" do
    other = gym("The Sail Shed")
    stranger = client(other, staff(other, email: "ines@sailshed.example"), name: "Stranger")
    knee = { caution: "knee", version: 1 }
    [
      [:get, ""],
      [:put, "", { **knee, version: nil }],
      [:post, "/removal", { **knee, reason: "Wrong" }],
      [:post, "/return", knee]
    ].each do |method, route, body|
      expect(call(method, "/api/clients/#{stranger[:id]}/cautions#{route}", body)).to include("code" => "not_found")
    end
  end
end
