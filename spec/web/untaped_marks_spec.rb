# frozen_string_literal: true

require "web_helper"

RSpec.describe "A machine that nobody taped" do
  let(:loft) { gym }
  let!(:account) { staff(loft, role: "lead") }
  let(:statures) { [1560, 1610, 1660, 1700, 1740, 1790, 1840] }
  # Seven marks of a back pad and five of a roller, of which nobody knows how far they are apart.
  let(:here) do
    data = Worked::MACHINES.fetch("slide_back")
    adjusters = [
      { label: "back pad", marks: ("1".."7").to_a, travel: nil, drives: { back_face: -1 } },
      { label: "roller", marks: ("A".."E").to_a, travel: nil, drives: { roller_reach: 1 } },
      { label: "start", marks: %w[1 2 3], travel: nil, drives: { start_angle: -10 } }
    ]
    id =
      loft.machines.insert(
        family: data["family"],
        name: "Came by boat",
        place: "by the door",
        description: {
          constants: {
          },
          adjusters: JSON.parse(JSON.generate(adjusters)),
          exercises: {
          }
        }
      )
    loft.machines.find(id)
  end

  before { sign_in }

  def somebody(stature, **read)
    lengths = { stature: stature, seat_to_kneecap: (stature * 0.35).round, floor_to_knee_top: (stature * 0.31).round }
    client(loft, account, name: "Somebody of #{stature}", **lengths, **read)
  end

  def opened(who) = call(:post, "/api/fittings", { client_id: who[:id], machine_id: here[:id] })["id"]

  # By eye: a mark of the back pad every 45 mm of height.
  def fitted(stature)
    id = opened(somebody(stature))
    page = call(:get, "/api/fittings/#{id}")
    marks = { "back pad" => ((stature - 1515) / 45).round.clamp(1, 7).to_s, "roller" => stature < 1700 ? "B" : "C" }
    call(
      :post,
      "/api/fittings/#{id}/acceptance",
      { marks: page["marks"].merge(marks), version: page["version"], reason: "By eye." }
    )
    expect(status).to eq(200), last_response.body
  end

  def told(id)
    call(:get, "/api/fittings/#{id}")["advice"]["adjusters"].to_h { |one| one.values_at("label", "by_others") }
  end

  it "tells no mark of fewer than three fittings, and then the mark for this body with what is likely" do
    statures.first(2).each { |stature| fitted(stature) }
    expect(told(opened(somebody(1720))).values).to all(be_nil)
    statures.drop(2).each { |stature| fitted(stature) }
    short, tall = [1580, 1830].map { |stature| opened(somebody(stature)) }
    expect(told(short)["back pad"]).to match(
      /\ANot taped. By 7 fittings here: [12], likely 1 to [234]. Check by eye.\z/
    )
    expect(told(tall)["back pad"]).to match(/\ANot taped. By 7 fittings here: [67], likely [456] to 7. Check by eye.\z/)
  end

  it "begins at those marks, and claims nothing of the fit" do
    statures.each { |stature| fitted(stature) }
    page = call(:get, "/api/fittings/#{opened(somebody(1830))}")
    expect(page["marks"]["back pad"]).to match(/[67]/)
    expect(page["advice"]).to include("status" => nil, "marks" => {})
    expect(page["advice"]["status_name"]).to eq("Not taped: marks by the fittings here")
  end

  it "tells nothing to whom a caution stands, cleared ones too, and begins at no mark of others" do
    statures.each { |stature| fitted(stature) }
    who = somebody(1830)
    id = opened(who)
    expect(told(id)["back pad"]).not_to be_nil
    Verglas::Guidance::Cautions::RULES.each_key do |name|
      call(:put, "/api/clients/#{who[:id]}/cautions", { caution: name.to_s, version: nil })
      expect(told(id).values.compact).to be_empty, name.to_s
      db[:client_cautions].where(client_id: who[:id]).delete
    end
    expect(told(id)["back pad"]).not_to be_nil
  end

  it "tells nothing of what no length of the body decides" do
    statures.each { |stature| fitted(stature) }
    expect(told(opened(somebody(1705)))["start"]).to be_nil
  end
end
