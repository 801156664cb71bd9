# frozen_string_literal: true

require "web_helper"
require_relative "../support/taking_in"

RSpec.describe "Two records of one person" do
  include TakingIn

  let(:loft) { gym }
  let!(:account) { staff(loft, role: "lead") }
  let(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
  let!(:kept) { client(loft, account, name: "Perpetua Lowe", stature: 1648) }
  let!(:other) do
    client(loft, account, name: "P. Lowe", detail: "ferry crew", sex: "woman", stature: 1652, seat_to_kneecap: 576)
  end

  before { sign_in }

  def page(who) = call(:get, "/api/clients/#{who[:id]}")
  def version(who) = page(who)["client"]["version"]
  def beside = call(:get, "/api/clients/#{kept[:id]}/joins/#{other[:id]}")

  def join(**changes)
    asked = { other: other[:id], version: version(kept), other_version: version(other), **changes }
    call(:post, "/api/clients/#{kept[:id]}/joins", asked)
  end

  def apart
    call(:post, "/api/clients/#{kept[:id]}/joins/removal", { other: other[:id], version: version(kept) })
  end

  def fitted(who, set: true)
    id = call(:post, "/api/fittings", { client_id: who[:id], machine_id: here[:id] })["id"]
    marks = call(:get, "/api/fittings/#{id}")["marks"]
    call(:post, "/api/fittings/#{id}/acceptance", { marks: marks, version: 1, note: "", cue: "", reason: "So." })
    worked(id) if set
    id
  end

  def worked(id)
    done = { load_kg: nil, repetitions: 10, last: "clean", reached: 1, felt: "front_thigh", sign: nil, leg: "" }
    call(:post, "/api/fittings/#{id}/sets", { **done, watched_by: account })
  end

  def caution(who, name, **fields)
    call(:put, "/api/clients/#{who[:id]}/cautions", { caution: name, version: nil, note: "", **fields })
  end

  # Who stands where, in every table that names clients.
  def standing
    %i[fittings visits readings client_cautions client_rules client_links].to_h do |table|
      names = %i[id client_id question observation caution_digest] & db[table].columns
      [table, db[table].select_map(names).sort_by(&:to_s)]
    end
  end

  it "says of each what it holds, before anything is done" do
    fitted(other)
    caution(other, "loose_joints")
    expect(beside["other"]).to include("name" => "P. Lowe", "fittings" => 1, "visits" => 1, "readings" => 2)
    expect(beside["other"]).to include("cautions" => 1)
    expect(beside["kept"]).to include("fittings" => 0, "readings" => 1, "cautions" => 0)
    expect(beside["in_the_way"]).to eq([])
    expect(last_response.body).not_to include("loose")
  end

  it "become one: what the kept one lacks goes over, fittings, sets and cautions; where both speak its own stays" do
    fitted(other)
    caution(other, "loose_joints", note: "Said so herself.")
    loft.client_links.make(other[:id], by: account)
    loft.queues.put(here[:id], "", clients: [other[:id]], version: 0, by: account)
    expect(join["joined"]).to contain_exactly(include("name" => "P. Lowe", "by" => "Maren Oldcastle"))
    expect(page(kept)["client"]).to include("name" => "Perpetua Lowe", "detail" => "", "sex" => "woman")
    expect(loft.readings.signed(kept[:id]).to_h { |row| [row[:observation], row[:value_mm]] }).to eq(
      "stature" => 1648,
      "seat_to_kneecap" => 576
    )
    expect(call(:get, "/api/clients/#{kept[:id]}/cautions")["cautions"]).to contain_exactly(
      include("title" => "Very loose joints", "note" => "Said so herself.")
    )
    expect(loft.visits.dataset.select_map(:client_id)).to eq([kept[:id]])
    expect(loft.queues.of(here[:id], "")[:clients]).to eq([kept[:id]])
  end

  it "leave one that is found nowhere, and whose own card opens no more" do
    secret = loft.client_links.make(other[:id], by: account)[:secret]
    db[:gyms].update(own_pages: true)
    join
    expect(page(other)).to include("code" => "not_found")
    expect(call(:post, "/api/clients/search", { text: "Lowe" })["clients"].map { |one| one["name"] }).to eq(
      ["Perpetua Lowe"]
    )
    call(:get, "/api/export/readings.csv")
    expect(last_response.body.scan(/Perpetua Lowe|P\. Lowe/).uniq).to eq(["Perpetua Lowe"])
    post("/own-card", JSON.generate({ secret: secret }), "CONTENT_TYPE" => "application/json")
    expect(last_response.status).to eq(404)
    expect(call(:post, "/api/clients", { name: "P. Lowe", detail: "ferry crew" })).to include("name" => "P. Lowe")
  end

  it "are two again as they were, but for what was written since; both are asked about cautions anew" do
    fitted(other)
    fitted(kept, set: false)
    caution(other, "loose_joints")
    loft.rules.set_for_client(other[:id], "extension_roller", "hand_above", reason: "A scar.", by: account)
    loft.client_links.make(other[:id], by: account)
    before = standing
    join
    expect(standing).not_to eq(before)
    apart
    expect(standing).to eq(before)
    expect(page(kept)["client"]).to include("sex" => nil)
    expect([kept, other].map { |who| loft.clients.find(who[:id])[:cautions_asked_on] }).to eq([nil, nil])
    expect(db[:client_joins].count).to eq(0)
  end

  it "keep at the kept record what was recorded while they were one" do
    join
    caution(kept, "loose_joints")
    db[:readings].where(client_id: kept[:id], observation: "seat_to_kneecap").update(
      value_mm: 590,
      taken_at: Time.now + 60
    )
    apart
    expect(loft.cautions.of(kept[:id]).map { |row| row[:caution] }).to eq(["loose_joints"])
    expect(loft.readings.signed(other[:id]).map { |row| row[:observation] }).to eq(["stature"])
  end

  it "are not joined while somebody could be hurt by it, or lose what they began" do
    caution(kept, "loose_joints")
    caution(other, "loose_joints", note: "And more.")
    [kept, other].each { |who| call(:post, "/api/fittings", { client_id: who[:id], machine_id: here[:id] }) }
    expect(beside["in_the_way"]).to contain_exactly(a_string_including("Leg extension 1"))
    expect(join).to include("code" => "joined_drafts")
    loft.fittings.dataset.where(client_id: other[:id]).update(state: "discarded")
    cleared = { cleared_by: "Dr Marsh", cleared_on: Date.today }
    loft.cautions.put(other[:id], "loose_joints", version: 1, by: account, note: "", **cleared)
    expect(join).to include("code" => "joined_cautions", "message" => a_string_including("do not agree (1)"))
    expect(db[:client_joins].count).to eq(0)
  end

  it "are not joined while they differ in what marks, loads and bars are decided by" do
    [[kept, 95, "hand_above"], [other, 110, "ankle_crease"]].each do |who, deg, school|
      limit = { deg: deg, reading: deg, by: account, at: Time.now.iso8601 }
      loft.clients.measure(who[:id], version: version(who), limits: { hip_bend: limit })
      loft.rules.set_for_client(who[:id], "extension_roller", school, reason: "So.", by: account)
      loft.clients.update(who[:id], version: version(who), birth_date: Date.new(1900 + deg, 1, 1), body_mass_kg: deg)
    end
    expect(beside["in_the_way"]).to contain_exactly(a_string_including("date of birth, mass, ", "hip", "roller"))
    expect(join).to include("code" => "joined_differ")
    expect(db[:client_joins].count).to eq(0)
  end

  it "are not joined over what somebody else changed meanwhile, nor with another gym's, nor with themselves" do
    expect(join(other_version: version(other) + 1)["code"]).to eq("stale")
    elsewhere = gym("Elsewhere")
    spy = staff(elsewhere, email: "spy@elsewhere.example", role: "lead")
    stranger = client(elsewhere, spy, name: "Somebody", stature: 1700)
    expect(join(other: stranger[:id], other_version: 1)["code"]).to eq("not_found")
    expect(join(other: kept[:id], other_version: version(kept))["code"]).to eq("joined_itself")
    expect(apart["code"]).to eq("not_joined")
  end

  it "teach nothing once one of them said so" do
    loft.clients.choose(other[:id], version: version(other), teaches: false)
    join
    expect(loft.clients.find(kept[:id])[:teaches]).to be(false)
    apart
    expect(loft.clients.find(kept[:id])[:teaches]).to be(true)
  end

  it "are erased together, and their number is remembered so that no backup brings either back" do
    fitted(other)
    join
    noted = []
    allow(Verglas::Store::Erased).to receive(:note) { |ids| noted.concat(ids) }
    erasing = { version: version(kept), name: "Perpetua Lowe", keep_marks: false }
    call(:post, "/api/clients/#{kept[:id]}/erasure", erasing)
    expect(noted).to contain_exactly(kept[:id], other[:id])
    expect(db[:clients].count).to eq(0)
  end

  it "move to another server as one, and an archive in which the kept one is missing is refused" do
    fitted(other)
    join
    call(:get, "/api/export/gym.json")
    archive = JSON.parse(last_response.body)
    emptied
    lost = JSON.parse(JSON.generate(archive))
    lost["clients"].reject! { |record| record["id"] == kept[:id] }
    %w[readings fittings visits sets].each { |name| lost[name]&.clear }
    expect(look_through("gym", JSON.generate(lost))["counts"]["refuse"]).to be >= 1
    emptied
    expect(take_in("gym", JSON.generate(archive))["state"]).to eq("taken")
    expect(page(kept)["client"]["name"]).to eq("Perpetua Lowe")
    expect(page(other)["code"]).to eq("not_found")
    expect(call(:get, "/api/clients/#{kept[:id]}/joins")["joined"]).to eq([])
  end

  it "are in the trail, both, and in the file of everything about the person" do
    join
    record = call(:get, "/api/clients/#{kept[:id]}/archive.json")["joined"].first["record"]
    expect(record["client"]).to include("name" => "P. Lowe")
    expect(record["readings"].map { |row| row["value_mm"] }).to eq([1652])
    joined = db[Sequel[:kept][:audit]].where(action: "join_client", gym_id: loft.id)
    expect(joined.select_map(:subject)).to contain_exactly(kept[:id], other[:id])
  end
end
