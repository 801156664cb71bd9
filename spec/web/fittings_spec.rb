# frozen_string_literal: true

require "web_helper"

RSpec.describe "Fittings over HTTP" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
  let(:person) { matteus(loft, account) }
  let(:id) { call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })["id"] }
  let(:path) { "/api/fittings/#{id}" }
  let(:advised) { { "back pad" => "4", "roller" => "D", "start" => "3" } }

  before { sign_in }

  it "opens at the advised marks, with how sure and why" do
    page = call(:get, path)
    expect([page["marks"], page["advice"]["status"]]).to eq([advised, "fits"])
    back_pad = page["advice"]["adjusters"].first
    expect(back_pad["probability"]).to be_between(0.3, 1)
    expect(back_pad["sure"]).to match(
      /\AFrom height, seat to kneecap, floor to top of knee: right to within \d+ mm\. One notch is 25 mm\./
    )
    expect(page["steps"].map { |step| step["title"] }).to eq(
      [
        "Before anyone sits",
        "Knee to pivot",
        "Support",
        "Start of the range",
        "Roller on the shin",
        "Check again",
        "Secure",
        "Light set",
        "Watch",
        "Working load"
      ]
    )
  end

  it "finds the draft that is open already" do
    again = call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })
    expect(
      [call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })["id"], again["made"]]
    ).to eq([again["id"], true])
  end

  it "says what marks do, in the numbers of the worked example, in bands and in words" do
    evaluation = call(:post, "#{path}/evaluation", { marks: advised })
    offset = evaluation["findings"].find { |finding| finding["code"] == "offset" }
    expect(offset).to include(
      "value" => be_within(0.1).of(13.0369),
      "band" => "in line",
      "likely" => true,
      "says" => "Knee 13 mm ahead of the pivot."
    )
    expect(evaluation["quantities"]["creep_mm"]).to be_within(0.1).of(-15.731)
    expect(evaluation["motion"]["creep"]).to eq("Roller creeps slightly, 16 mm towards the knee.")
    target = evaluation["targets"].first
    expect(evaluation["scene"]["targets"].first["joint"]).to eq(
      target.values_at("x_mm", "y_mm").map { |mm| mm.round(1) }
    )
    expect(target["says"]["back pad"]).to include("4: 12 mm ahead", "In line within 15 mm")
  end

  it "puts the worst finding first, with the one step that helps it" do
    evaluation = call(:post, "#{path}/evaluation", { marks: advised.merge("back pad" => "2") })
    expect(evaluation["findings"].map { |finding| finding["severity"] }).to eq(
      evaluation["findings"].map { |finding| finding["severity"] }.sort.reverse
    )
    worst = evaluation["findings"].first
    expect(worst["move"]).to include("adjuster" => "back pad", "mark" => "3")
    expect(worst["move"]["says"]).to match(/\ABack pad to 3: knee \d+ mm ahead of the pivot\.\z/)
    expect(evaluation["steps"]["back pad"]["down"]).to include("mark" => "1")
  end

  it "writes nothing by evaluating" do
    path
    expect { call(:post, "#{path}/evaluation", { marks: advised.merge("roller" => "A") }) }.not_to(
      change { [db[:fittings].all, db[:writes].count] }
    )
  end

  it "keeps a draft's marks, and nobody's over another's" do
    kept = call(:patch, path, { marks: advised.merge("roller" => "C"), version: 1 })
    expect([status, kept["version"]]).to eq([200, 2])
    stale = call(:patch, path, { marks: advised.merge("roller" => "E"), version: 1 })
    expect([status, stale["current"]["marks"]["roller"], stale["current"]["by"]]).to eq([409, "C", "Maren Oldcastle"])
    expect(call(:get, path)["marks"]["roller"]).to eq("C")
  end

  describe "accepting" do
    let(:accept) do
      ->(key = SecureRandom.uuid, version: 1) do
        call(:post, "#{path}/acceptance", { marks: advised, version: version }, key: key)
      end
    end

    it "records marks, numbers, findings, what it was computed from, who and when" do
      accept.call
      record = call(:get, path)
      expect(record).to include("state" => "accepted", "marks" => advised, "by" => "Maren Oldcastle", "advice" => nil)
      expect(Time.iso8601(record["accepted_at"])).to be_within(60).of(Time.now)
      expect(record["computed_from"]).to include("advised" => advised, "sex" => "man")
      expect(record["computed_from"]["readings"].map { |reading| reading.values_at("observation", "value_mm") }).to eq(
        [["stature", 1822.0], ["seat_to_kneecap", 641.0], ["floor_to_knee_top", 572.0]]
      )
      expect(record["evaluation"]["quantities"]["offset_mm"]).to be_within(0.1).of(13.0369)
    end

    it "stands on the client's card" do
      accept.call
      line = call(:get, "/api/clients/#{person[:id]}")["card"].first
      expect(line["accepted"]["marks"].to_h { |tag| tag.values_at("label", "mark") }).to eq(advised)
      expect(line["accepted"]).to include("checked" => false, "grade" => "in line", "by" => "Maren Oldcastle")
      expect(line["draft"]).to be_nil
    end

    it "records once when the request is sent again, and says so when another comes" do
      key = SecureRandom.uuid
      expect([accept.call(key), accept.call(key)].uniq.size).to eq(1)
      refused = accept.call(version: 2)
      expect([status, refused["code"]]).to eq([409, "fitting_closed"])
      expect(db[:fittings].where(state: "accepted").count).to eq(1)
    end

    it "keeps its numbers when the body or the machine changes later" do
      accept.call
      before = call(:get, path)["evaluation"]
      call(:put, "/api/clients/#{person[:id]}/readings/stature", { value: 170, unit: "cm", version: 1 })
      db[:machine_descriptions].insert(
        machine_id: here[:id],
        number: 2,
        constants: Sequel.pg_json(here[:constants].to_h.merge("back_face" => -450)),
        adjusters: Sequel.pg_json(here[:adjusters].to_a)
      )
      db[:machines].update(description_number: 2)
      expect(call(:get, path)["evaluation"]).to eq(before)
    end

    it "starts the next fitting from the marks that were accepted" do
      call(:patch, path, { marks: advised.merge("roller" => "C"), version: 1 })
      call(:post, "#{path}/acceptance", { marks: advised.merge("roller" => "C"), version: 2 })
      again = call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })["id"]
      expect(call(:get, "/api/fittings/#{again}")["marks"]["roller"]).to eq("C")
    end
  end

  it "lets a draft go, and answers the same when the request is sent again" do
    key = SecureRandom.uuid
    2.times do
      expect(call(:post, "#{path}/discard", { version: 1 }, key: key)).to include(
        "state" => "discarded",
        "version" => 2,
        "by" => "Maren Oldcastle"
      )
      expect(status).to eq(200)
    end
    expect(
      [
        call(:get, "/api/floor")["open"],
        call(:get, "/api/clients/#{person[:id]}")["card"].filter_map { |line| line["draft"] }
      ]
    ).to eq([[], []])
    closed = call(:patch, path, { marks: advised, version: 1 })
    expect([status, closed["code"], closed["current"]["state"]]).to eq([409, "fitting_closed", "discarded"])
    expect([call(:get, path)["state"], status]).to eq(["discarded", 200])
  end

  it "opens what was discarded again as it stood, unless another was opened in its place" do
    call(:patch, path, { marks: advised.merge("roller" => "B"), note: "Sore shin", version: 1 })
    call(:post, "#{path}/discard", { version: 2 })
    call(:post, "#{path}/return", { version: 2 })
    expect(status).to eq(409)
    expect(call(:post, "#{path}/return", { version: 3 })).to include(
      "state" => "draft",
      "version" => 4,
      "note" => "Sore shin",
      "marks" => advised.merge("roller" => "B")
    )
    call(:post, "#{path}/discard", { version: 4 })
    other = call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })
    expect([call(:post, "#{path}/return", { version: 5 })["code"], status]).to eq(["draft_exists", 422])
    expect(db[:fittings].where(state: "draft").select_map(:id)).to eq([other["id"]])
  end

  it "keeps what was discarded for a week" do
    call(:post, "#{path}/discard", { version: 1 })
    db[:fittings].update(updated_at: Time.now - (8 * 86_400))
    other = call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })["id"]
    call(:post, "/api/fittings/#{other}/discard", { version: 1 })
    expect(db[:fittings].select_map(:id)).to eq([other])
  end

  it "shows on the floor what was left open" do
    call(:patch, path, { marks: call(:get, path)["marks"], version: 1 })
    floor = call(:get, "/api/floor")
    expect(floor["open"].first["client"]["name"]).to eq("Matteus Orr")
    expect(floor["machines"].first["adjusters"].map { |adjuster| adjuster["name"] }).to eq(
      ["Back pad", "Roller", "Start"]
    )
  end

  it "says what is short, and what would mend it, where nothing fits" do
    tiny = client(loft, account, name: "Ósk Brannagh", sex: "woman", stature: 1420)
    page =
      call(:get, "/api/fittings/#{call(:post, "/api/fittings", { client_id: tiny[:id], machine_id: here[:id] })["id"]}")
    expect(page["advice"]["status"]).to eq("compromise")
    expect(page["advice"]["shortfalls"].map { |shortfall| shortfall["says"] }.join).to match(
      /\d+ mm short: a firm cushion/
    )
  end
end
