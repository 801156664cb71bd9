# frozen_string_literal: true

require "web_helper"

# What a client is allowed and spared: one set of sentences on bench, set-up list, hand-over and record.
RSpec.describe "What a client is told to keep to, over HTTP" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:person) do
    client(
      loft,
      account,
      name: "Dagny Holm",
      sex: "woman",
      stature: 1640,
      seat_to_kneecap: 585,
      floor_to_knee_top: 515,
      thigh_depth: 140
    )
  end
  let(:extension) { machine(loft, "slide_back", name: "Leg extension 1") }
  let(:curl) { machine(loft, "curl_slide", name: "Leg curl 2") }
  let(:cleared) { { cleared_by: "Dr Fenwick", cleared_on: "2026-03-02" } }

  before { sign_in }

  def caution(name, **fields)
    call(:put, "/api/clients/#{person[:id]}/cautions", { caution: name, version: nil, **fields })
  end

  # As the set-up list of an accepted fitting tells it, and its record.
  def told_on(row)
    id = call(:post, "/api/fittings", { client_id: person[:id], machine_id: row[:id] })["id"]
    page = call(:get, "/api/fittings/#{id}")
    call(
      :post,
      "/api/fittings/#{id}/acceptance",
      { marks: page["advice"]["marks"], version: page["version"], reason: "As far as it goes." }
    )
    raise last_response.body unless status == 200

    list = call(:get, "/api/fittings/#{id}/set-up")
    record = call(:get, "/api/fittings/#{id}")
    expect(record["computed_from"]["allowed"]).to eq(list["allowed"])
    [list, record]
  end

  # How one works there is said beside it, a sentence a topic.
  ways = ["Toes relaxed to pulled up.", "Knees and toes straight ahead.", "Thigh pad firm.", "Toes relaxed."]
  define_method(:allowed_on) { |row| told_on(row).first["allowed"] - ways }

  it "says how one works there, a sentence a topic" do
    expect([extension, curl].map { |row| told_on(row).first["allowed"] & ways }).to eq([ways.first(2), ways.last(2)])
  end

  it "says where a movement ends by the house rule where no caution speaks" do
    expect([allowed_on(extension), allowed_on(curl)]).to eq(
      [["End fully straight, never snapped."], ["End at about a right angle."]]
    )
  end

  it "says start, end, half range and light set of a cleared knee, each as it is meant on that machine" do
    caution("knee", **cleared)
    half = [
      "The first repetition over half of the range.",
      "Light set: half of the usual one, about a quarter of the working load."
    ]
    expect(allowed_on(extension)).to eq(["Start with the knee bent 80° at most.", "Stop 10° short of straight.", *half])
    expect(allowed_on(curl)).to eq(["Start with the knee bent 10° at least.", "Stop at 80° of knee bend.", *half])
  end

  it "keeps to a clinician's degrees and load, in words and in the unit of the machine" do
    loft.machines.update(
      extension[:id],
      version: 1,
      by: account,
      loading: {
        kind: "stack",
        unit: "lb",
        masses: [10, 20, 30, 40]
      }
    )
    caution("knee_ligament", **cleared, degrees: { knee_flexion: { from: 5, to: 95 } }, load_to_kg: 9.07)
    expect(allowed_on(extension)).to eq(
      [
        "Start with the knee bent 95° at most.",
        "Stop 10° short of straight.",
        "The first repetition over half of the range.",
        "Light set: half of the usual one, about a quarter of the working load.",
        "No more than 20 lb: a clinician's limit."
      ]
    )
  end

  it "keeps a client off a machine whose lightest load is more than a clinician allows" do
    loft.machines.update(
      extension[:id],
      version: 1,
      by: account,
      loading: {
        kind: "stack",
        unit: "kg",
        masses: [25, 30]
      }
    )
    caution("back", **cleared, load_to_kg: 20)
    id = call(:post, "/api/fittings", { client_id: person[:id], machine_id: extension[:id] })["id"]
    expect(call(:get, "/api/fittings/#{id}")["bars"]).to eq(
      ["The lightest load here is 25 kg, and 20 kg is allowed. Another machine."]
    )
  end

  it "leaves out holds where blood pressure is a caution, on the list, in the pacer's seconds and on the record" do
    caution("blood_pressure")
    list, record = told_on(curl)
    expect(list["allowed"] - ways).to eq(
      [
        "End at about a right angle.",
        "No holds and no pauses.",
        "Stop with 2 repetitions left. Only the instructor decides a step up.",
        "Rest at least 90 s between sets.",
        "No exercises in turn: rest between sets.",
        "The lightest only: no belt here, and body mass is not known."
      ]
    )
    expect(list["tempo"]).to include("hold_s" => 0, "pause_s" => 0)
    expect(record["computed_from"]["rules"].map { |rule| rule["question"] }).not_to include("tempo")
  end

  it "names on the record no end of a house rule that the client's own range cut short" do
    caution("knee_replacement", **cleared, degrees: { knee_flexion: { from: 5, to: 75 } })
    list, record = told_on(curl)
    expect(list["allowed"]).to include("Stop at 75° of knee bend.")
    expect(record["computed_from"]["rules"].map { |rule| rule["question"] }).not_to include("curl_end")
  end

  it "ends before what goes slack, and before a measured limit, whichever comes first" do
    loft.machines.update(curl[:id], version: 1, by: account, slack_from_deg: 88)
    expect(allowed_on(curl)).to eq(["End at 83° of knee bend."])
    call(:put, "/api/clients/#{person[:id]}/limits/knee_bend", { reading: 70, version: 1 })
    expect(allowed_on(curl)).to eq(["Stop at 70° of knee bend."])
  end

  it "draws the end that is asked for, and says the bend and the arm's angle there" do
    caution("knee_ligament", **cleared, degrees: { knee_flexion: { from: 5, to: 75 } })
    id = call(:post, "/api/fittings", { client_id: person[:id], machine_id: curl[:id] })["id"]
    evaluation = call(:get, "/api/fittings/#{id}")["evaluation"]
    drawn = evaluation["scene"]
    arm_deg = evaluation["quantities"]["end_arm_deg"]
    expect(drawn["dimensions"].find { |one| one["of"] == "turning" }["value"]).to eq(75.0)
    expect(evaluation["quantities"]["end_missing_deg"]).to eq(0.0)
    expect(drawn["parts"].find { |part| part["id"] == "arc" }["degrees"].last).to be_within(0.01).of(-arm_deg)
    expect(evaluation["motion"]["ending"]).to eq(
      "The movement ends at 75° of knee bend, with the arm at #{arm_deg.round}°."
    )
  end
end

RSpec.describe "A session that has ended" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }

  it "opens no door but the one for signing in" do
    sign_in
    expect(call(:get, "/auth/tablet")).to include("me" => account)
    db[:account_active_session_keys].delete
    answers = [
      [:get, "/auth/tablet", nil],
      [:post, "/auth/lock", {}],
      [:post, "/auth/pin", { password: Given::PASSWORD, pin: "2684" }],
      [:post, "/auth/switch", { account_id: account, pin: "2684" }]
    ]
    answers.each do |method, path, body|
      answered = call(method, path, body)
      expect(answered["code"] || answered).to eq("sign_in_needed").or(
        eq({ "locked" => false, "me" => nil, "staff" => [] })
      )
    end
    expect(db[:account_pins].count).to eq(0)
    sign_in
    db[:account_active_session_keys].delete
    get "/clients" # the page itself, on which to sign in again
    expect([status, last_response.content_type]).to match([200, start_with("text/html")])
    sign_in
    expect(call(:get, "/api/me")).to include("name" => "Maren Oldcastle")
  end
end
