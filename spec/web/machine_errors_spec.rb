# frozen_string_literal: true

require "web_helper"

RSpec.describe "How far a machine sits from its tape" do
  let(:loft) { gym }
  let!(:account) { staff(loft, role: "lead") }
  let(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
  # Statures, mm.
  let(:people) { [1560, 1600, 1630, 1660, 1690, 1710, 1730, 1760, 1790, 1820, 1840, 1870] }

  before { sign_in }

  # Somebody who was read in three lengths.
  def somebody(stature)
    lengths = { stature: stature, seat_to_kneecap: (stature * 0.35).round, floor_to_knee_top: (stature * 0.31).round }
    client(loft, account, name: "Somebody of #{stature}", **lengths)
  end

  # The back pad really stands off_mm further forward than it was taped: whoever fits by eye finds the mark at which the
  # knee is nearest to the pivot, and sees where it is then.
  def fitted(who, off_mm, **sheet)
    id = call(:post, "/api/fittings", { client_id: who[:id], machine_id: here[:id] })["id"]
    page = call(:get, "/api/fittings/#{id}")
    meeting = Verglas::Application::Meeting.of(loft, id)
    asked = meeting.advice.adjusters.find { |one| one.label == "back pad" }.requirement
    misses = asked.positions.map { |position| position + off_mm - asked.mean }
    best = misses.each_index.min_by { |index| misses[index].abs }
    marks = page["marks"].merge("back pad" => meeting.machine.adjuster("back pad").marks[best])
    call(
      :post,
      "/api/fittings/#{id}/acceptance",
      { marks: marks, version: page["version"], reason: "By eye.", knee_off_mm: misses[best].round, **sheet }
    )
    expect(status).to eq(200), last_response.body
    id
  end

  def errors = call(:get, "/api/machines/#{here[:id]}/errors")["errors"]
  def back = errors.find { |one| one["constant"] == "back_face" }
  def take(**body)
    version = loft.machines.find(here[:id])[:version]
    call(
      :put,
      "/api/machines/#{here[:id]}/lengths",
      { version: version, exercise: "", name: "back_face", learned: true, confirmed: true, **body }
    )
  end

  it "is told from its fittings, however the marks lie, and how surely" do
    people.each { |stature| fitted(somebody(stature), 20) }
    expect(back).to include("count" => 12, "drift" => nil)
    expect(back["bias_mm"]).to be_between(12, 24)
    expect(back["bias_mm"] + back["sure_mm"]).to be > 19
    expect(back["says"]).to match(/\ASits \d+ mm further forward than taped: 12 fittings, sure to \d mm\.\z/)
    expect(back["fits"].size).to eq(12)
  end

  it "is nothing where the tape is right, where nobody looked, or of fewer than three" do
    people.first(2).each { |stature| fitted(somebody(stature), 0) }
    expect(errors).to be_empty
    people.drop(2).each { |stature| fitted(somebody(stature), 0) }
    expect(back["corrected"]).to be_nil
    expect(back["says"]).to start_with("As taped, as far as 12 fittings can tell")
    expect(errors.map { |one| one["constant"] }).to eq(["back_face"])
  end

  it "is taken into the description as a new version with its reason, from which is counted anew" do
    people.each { |stature| fitted(somebody(stature), 20) }
    corrected = back["corrected"]
    take(value: corrected + 1)
    expect(last_response.status).to eq(422)
    page = take(value: corrected)
    expect(status).to eq(200), last_response.body
    expect(page["number"]).to eq(2)
    length = page["exercises"].first["lengths"].find { |one| one["name"] == "back_face" }
    expect(length["value"]).to eq(corrected)
    expect(length["taped"]).to include("by" => "Maren Oldcastle", "learned" => 12)
    expect(errors).to be_empty
    expect(call(:get, "/api/audit")["entries"].first["says"]).to eq("took in a length by what its fittings say")
    expect(loft.machines.described_as(here[:id], 1)[:constants]["back_face"]).to eq(-491)
  end

  it "counts what was accepted last of each, nothing that was taken back, and no body twice" do
    ids = people.first(4).map { |stature| fitted(somebody(stature), 20) }
    once = back["bias_mm"]
    call(:post, "/api/fittings/#{ids.last}/taking-back", { reason: "The wrong person.", version: 2 })
    expect(back["count"]).to eq(3)
    expect(back["bias_mm"]).to be < once + 5
    twice = loft.clients.find(Verglas::DB[:fittings].where(id: ids.first).get(:client_id))
    fitted(twice, 20)
    expect(back["count"]).to eq(3)
  end

  it "says when the last ten sit otherwise than those before" do
    people.first(6).each { |stature| fitted(somebody(stature), 0) }
    (people.drop(6) + people.first(4).map { |stature| stature + 7 }).each { |stature| fitted(somebody(stature), 30) }
    expect(back["drift"]).to start_with("The last 10 sit")
    expect(back["drift"]).to include("further forward than the 6 before them")
    expect(back["fits"].count { |fit| fit["lately"] }).to eq(10)
  end
end
