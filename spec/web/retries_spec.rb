# frozen_string_literal: true

require "web_helper"

# A request retried is not done twice, and two people editing never overwrite silently: every write of a fitting and
# about it.
RSpec.describe "Writes about a fitting, sent again or over another's" do
  let(:loft) { gym }
  let!(:account) { staff(loft, role: "lead") }
  let(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
  let(:person) { matteus(loft, account) }
  let(:id) { call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })["id"] }
  let(:path) { "/api/fittings/#{id}" }
  let(:marks) { call(:get, path)["marks"] }

  before { sign_in }

  # The same request under the same key gives the same answer, and leaves everything as the first one left it.
  def expect_once(method, path, body)
    key = SecureRandom.uuid
    first = [call(method, path, body, key: key), status]
    expect(status).to be < 300
    after = everything
    expect([call(method, path, body, key: key), status]).to eq(first)
    expect(everything).to eq(after)
  end

  def everything
    %i[fittings machine_queues clients gym_plates gym_cautions client_cautions].to_h do |table|
      [table, db[table].order(Sequel.lit("1")).all.to_s]
    end
  end

  it "keeps a draft once" do
    expect_once(
      :patch,
      path,
      { marks: marks, version: 1, flow: { at: "@watch", done: {}, skipped: {} }, cue: "Toes up." }
    )
  end

  it "stops a fitting once, and accepts none that was stopped" do
    expect_once(:post, "#{path}/stop", { stop_sign: "hot_calf", sheet: { marks: marks, version: 1 } })
    expect(call(:post, "#{path}/acceptance", { marks: call(:get, path)["marks"], version: 1 })["code"]).to eq(
      "fitting_closed"
    )
  end

  it "lets a fitting go once, and opens it again once" do
    expect_once(:post, "#{path}/discard", { version: 1 })
    expect_once(:post, "#{path}/return", { version: 2 })
  end

  it "writes a caution once, takes it out once, puts it back once" do
    cautions = "/api/clients/#{person[:id]}/cautions"
    expect_once(:put, cautions, { caution: "knee", version: nil, note: "Since spring." })
    expect_once(:post, "#{cautions}/removal", { caution: "knee", version: 1, reason: "Wrong client." })
    expect_once(:post, "#{cautions}/return", { caution: "knee", version: 2 })
  end

  it "says once that a machine stands so, lists once who comes next, measures a limit once" do
    call(:post, "#{path}/acceptance", { marks: marks, version: 1 })
    expect_once(:post, "#{path}/set-up", {})
    expect_once(:put, "/api/machines/#{here[:id]}/queue", { clients: [person[:id]], version: 0 })
    expect_once(
      :put,
      "/api/clients/#{person[:id]}/limits/ankle",
      { reading: 9, version: loft.clients.find(person[:id])[:version] }
    )
    expect_once(:put, "/api/plates", { plates: [{ mass: 20, unit: "kg", pairs: 2 }], version: 1 })
    expect_once(:put, "/api/gym/cautions/back", { stricter: true, version: 1 })
  end

  it "refuses a key that was used for another request" do
    key = SecureRandom.uuid
    call(:put, "/api/gym/cautions/back", { stricter: true, version: 1 }, key: key)
    expect(call(:put, "/api/gym/cautions/back", { stricter: false, version: 2 }, key: key)["code"]).to eq(
      "key_used_for_another_request"
    )
    expect(db[:gym_cautions].count).to eq(1)
  end

  it "shows the later of two instructors what the earlier kept: steps, load, cue and all" do
    work = Verglas::Application::Sheet::NO_WORK.merge("load_kg" => 20)
    call(
      :patch,
      path,
      { marks: marks, version: 1, flow: { at: "@light", done: {}, skipped: {} }, work: work, cue: "Heels down." }
    )
    stale = call(:patch, path, { marks: marks, version: 1, flow: { at: "roller", done: {}, skipped: {} } })
    expect([status, stale["code"]]).to eq([409, "stale"])
    expect(stale["current"]).to include("cue" => "Heels down.", "version" => 2, "by" => "Maren Oldcastle")
    expect([stale["current"]["flow"]["at"], stale["current"]["work"]["load_kg"]]).to eq(["@light", 20])
    stopped = call(:post, "#{path}/stop", { stop_sign: "numbness", sheet: { marks: marks, version: 1 } })
    expect([status, stopped["code"], call(:get, path)["state"]]).to eq([409, "stale", "draft"])
  end

  it "leaves what a save does not name as it was" do
    call(
      :patch,
      path,
      {
        marks: marks,
        version: 1,
        note: "Scar.",
        cue: "Toes up.",
        reason: "Short seat.",
        trail: [{ sign: "hips_lift", adjuster: "roller", from: "A", to: "B", outcome: nil }]
      }
    )
    call(:patch, path, { marks: marks, version: 2 })
    expect(call(:get, path)).to include(
      "note" => "Scar.",
      "cue" => "Toes up.",
      "reason" => "Short seat.",
      "trail" => [include("sign" => "hips_lift")]
    )
  end

  it "writes nothing by asking: loads, what moved, a creep test, the causes of a sign" do
    marks
    before = everything
    call(:post, "#{path}/loads", { wanted_kg: 30, left_kg: 10, right_kg: 20 })
    call(:post, "#{path}/again", { marks: marks, done: { "roller" => { marks: marks } } })
    readings = call(:get, path)["creep_angles"].first(2).map { |angle| { arm_deg: angle["arm_deg"], reading_mm: 350 } }
    call(:post, "#{path}/creep", { marks: marks, creep: { marks: marks, readings: readings } })
    expect(status).to eq(200)
    call(:post, "#{path}/signs", { marks: marks, signs: ["hips_lift"], creep: { marks: marks, readings: readings } })
    expect([status, everything, db[:writes].count]).to eq([200, before, 1])
  end
end
