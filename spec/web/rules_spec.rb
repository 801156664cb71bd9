# frozen_string_literal: true

require "web_helper"

RSpec.describe "House rules over HTTP" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
  let(:person) { client(loft, account, name: "Imre Talbot", sex: "man", stature: 1700, seat_to_kneecap: 604, floor_to_knee_top: 541) }

  before { sign_in }

  def fitting
    id = call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })["id"]
    call(:get, "/api/fittings/#{id}")
  end

  def chosen(name) = call(:get, "/api/rules")["questions"].find { |question| question["name"] == name }["chosen"]

  it "shows every question with its schools, and the default until the gym chooses" do
    questions = call(:get, "/api/rules")["questions"]
    expect(questions.size).to eq(Verglas::Fitting::HouseRules::QUESTIONS.size)
    expect(questions.map { |question| question["chosen"] }).to eq(questions.map { |question| question["default"] })
  end

  it "says before the gym chooses whose advice would change, then computes by the choice and says so on the record" do
    marks = fitting["marks"]
    call(:post, "/api/fittings/#{fitting["id"]}/acceptance", { marks: marks, version: 1 })
    changes = call(:post, "/api/rules/extension_roller/changes", { school: "hand_above" })
    expect(changes).to include("asked" => 1, "of" => 1)
    expect(changes["lines"].first["before"]).to include({ "label" => "roller", "name" => "Roller", "mark" => "C" })
    expect(chosen("extension_roller")).to eq("just_above")
    call(:put, "/api/rules/extension_roller", { school: "hand_above" })
    expect(chosen("extension_roller")).to eq("hand_above")
    advised = fitting["advice"]
    expect(advised["marks"]["roller"]).to eq("A")
    expect(advised["steps"].find { |step| step["adjuster"] == "roller" }["right"]).to start_with("110 mm above the ankle bone")
    id = fitting["id"]
    call(:post, "/api/fittings/#{id}/acceptance", { marks: advised["marks"], version: 1 })
    used = call(:get, "/api/fittings/#{id}")["computed_from"]["rules"].find { |rule| rule["question"] == "extension_roller" }
    expect(used).to include("school" => "hand_above", "school_title" => "A hand's width above")
  end

  it "lets an instructor choose otherwise for one client, with why, and go back" do
    other = client(loft, account, name: "Other", sex: "man", stature: 1700, seat_to_kneecap: 604, floor_to_knee_top: 541)
    shown = call(:put, "/api/clients/#{person[:id]}/rules/extension_end", { school: "just_short", reason: "Snaps it otherwise." })
    own = shown["questions"].find { |question| question["name"] == "extension_end" }
    expect(own).to include("chosen" => "just_short", "gym" => "fully_straight", "reason" => "Snaps it otherwise.", "by" => "Maren Oldcastle")
    start = ->(page) { page["steps"].find { |step| step["adjuster"] == "start" }["right"] }
    expect(start.call(fitting)).to end_with("End 5° short of straight.")
    theirs = call(:post, "/api/fittings", { client_id: other[:id], machine_id: here[:id] })["id"]
    expect(start.call(call(:get, "/api/fittings/#{theirs}"))).not_to include("short of straight")
    call(:put, "/api/clients/#{person[:id]}/rules/extension_end", { school: nil })
    expect(start.call(fitting)).not_to include("short of straight")
  end

  it "does not count a client who has a school of their own among those whom the gym's choice changes" do
    call(:post, "/api/fittings/#{fitting["id"]}/acceptance", { marks: fitting["marks"], version: 1 })
    call(:put, "/api/clients/#{person[:id]}/rules/extension_roller", { school: "just_above", reason: "Scar." })
    expect(call(:post, "/api/rules/extension_roller/changes", { school: "hand_above" })["lines"]).to be_empty
  end

  it "refuses what is no question, no school, or another gym's client" do
    expect(call(:put, "/api/rules/lamp", { school: "on" })).to include("code" => "unknown_question")
    expect(call(:put, "/api/rules/belt", { school: "never" })).to include("code" => "not_allowed", "path" => "/school")
    [nil, 5, "x" * 41].each { |school| expect(call(:put, "/api/rules/belt", { school: school })).to include("path" => "/school") }
    expect(call(:put, "/api/clients/#{person[:id]}/rules/belt", { school: "always", reason: "x" * 201 })).to include("path" => "/reason")
    stranger = client(gym("The Sail Shed"), account, name: "Stranger")
    expect(call(:put, "/api/clients/#{stranger[:id]}/rules/belt", { school: "always" })).to include("code" => "not_found")
    expect(db[:gym_rules].count + db[:client_rules].count).to eq(0)
  end
end
