# frozen_string_literal: true

require "web_helper"

# The whole of a fitting: steps, what moves disturbed, loads, a creep test, the trail, why something off is accepted,
# stop signs.
RSpec.describe "Whole fittings over HTTP" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:here) { machine(loft, "curl_plain", name: "Leg curl 1") }
  let(:stack) { { kind: "stack", unit: "kg", masses: [5, 10, 15, 20, 25, 30, 40, 50], addons: [2.5] } }
  let(:person) { matteus(loft, account, thigh_depth: 150) }
  let(:id) { call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })["id"] }
  let(:path) { "/api/fittings/#{id}" }
  let(:page) { call(:get, path) }
  let(:advised) { page["marks"] }

  before { sign_in }

  def step(id) = page["steps"].find { |one| one["id"] == id }
  def load_here(loading = stack, **facts)
    loft.machines.update(here[:id], version: 1, by: account, loading: loading, **facts)
  end

  # One mark further in the printed order, or back from the last.
  def moved(marks, label, by)
    row = here[:adjusters].find { |adjuster| adjuster["label"] == label }["marks"]
    marks.merge(label => row[row.index(marks[label]) + by])
  end

  it "resumes at the step where it was left, with what was seen and what was skipped" do
    flow = { at: "roller", done: { "back pad" => { marks: advised } }, skipped: { "@support" => "no time" } }
    call(:patch, path, { marks: advised, version: 1, flow: flow })
    expect(call(:get, path)["flow"]).to eq(JSON.parse(JSON.generate(flow)))
    expect(db[:fittings].get(:flow_cipher)).not_to include("no time")
    expect(
      call(:patch, path, { marks: advised, version: 2, flow: { at: "x" * 61, done: {}, skipped: {} } })
    ).to include("path" => "/flow/at")
  end

  it "names before anyone sits the marks that were worked out together, the lightest load and what the cautions say" do
    load_here(left_behind: "The thigh pad is often left at 10.")
    call(:put, "/api/clients/#{person[:id]}/cautions", { caution: "blood_pressure", version: nil })
    notes = step("@before").values_at("first", "notes").flatten
    marks = advised.map { |label, mark| "#{label} #{mark}" }.join(", ").sub(/\A./, &:upcase)
    expect(notes).to include(
      "Lightest here: 5 kg, pin at 5.",
      "#{marks}: set them all now, then sit once.",
      "The thigh pad is often left at 10."
    )
    expect(
      notes.grep(/\ABlood pressure: .*No holds and no pauses.*Breathe out on the effort, never hold the breath\./).size
    ).to eq(1)
  end

  it "tells before anyone sits, once, what each caution does on this machine, and that it does nothing where it " \
       "does not" do
    said =
      Verglas::Guidance::Cautions::RULES.keys.to_h do |name|
        call(:put, "/api/clients/#{person[:id]}/cautions", { caution: name, version: nil })
        notes =
          call(:get, path)["steps"].first["first"].grep(
            /\A#{Regexp.escape(Verglas::Formats::Words.say("cautions.#{name}.title"))}: /
          )
        expect(notes.size).to eq(1), name.to_s
        db[:client_cautions].delete
        [name, notes.first.split(": ", 2).last]
      end
    expect(said).to include(
      knee: /not advised until a clinician has cleared it/,
      pregnancy: /No holds/,
      blood_thinners: /A cloth between roller and leg\. A bruise or a numb place: stop\./,
      falls: "Never alone. A hand at getting in and out.",
      stoma: "Nothing on this machine.",
      pelvic_pain: "Nothing on this machine."
    )
  end

  it "says what the last moves disturbed, by how much, and which mark is best there now" do
    done = { "roller" => { marks: advised }, "thigh pad" => { marks: advised }, "@support" => { marks: advised } }
    expect(call(:post, "#{path}/again", { marks: advised, done: done })["moved"]).to be_empty
    later = moved(advised, "back pad", -1)
    found = call(:post, "#{path}/again", { marks: later, done: done })["moved"].to_h { |one| [one["step"], one] }
    expect(found.keys).to contain_exactly("roller", "thigh pad", "@support")
    before, now = [advised, later].map { |marks| call(:post, "#{path}/evaluation", { marks: marks })["quantities"] }
    expect(found["roller"]["by"]).to be_within(0.06).of(now["above_ankle_mm"] - before["above_ankle_mm"])
    expect(found["roller"]["says"]).to match(
      /\AThe roller lies \d+ mm further (up|down) the leg than when it was seen\./
    )
    expect(
      call(:post, "#{path}/again", { marks: later, done: { "nobody's step" => { marks: advised } } })["moved"]
    ).to be_empty
    expect(
      call(:post, "#{path}/again", { marks: later, done: { "roller" => { marks: { "back pad" => "3" } } } })["code"]
    ).to eq("mark_missing")
  end

  describe "loads" do
    it "begins at the lightest where nothing is known, and says how a load is made, the light set, one up and one " \
         "down" do
      load_here
      expect(call(:post, "#{path}/loads", {})).to include(
        "says" => a_string_starting_with("Start at the lightest"),
        "load" => include("text" => "5 kg", "how" => "Pin at 5"),
        "light" => nil
      )
      found = call(:post, "#{path}/loads", { wanted_kg: 33, last: "easy", repetitions: 8 })
      expect(%w[load light up down next_time].to_h { |name| [name, found[name]["text"]] }).to eq(
        { "load" => "32.5 kg", "light" => "15 kg", "up" => "40 kg", "down" => "30 kg", "next_time" => "40 kg" }
      )
      expect([found["load"]["how"], found["set_seconds"]]).to eq(["Pin at 30, add-on 2.5", 48])
    end

    it "keeps pounds as printed, and plates as the gym has them" do
      load_here({ kind: "stack", unit: "lb", masses: [10, 20, 30], ratio: 0.5 })
      found = call(:post, "#{path}/loads", { wanted_kg: 9.07 })
      expect([found["load"]["text"], found["felt"]]).to eq(["20 lb", "Felt as about 10 lb behind the lever."])
      call(
        :put,
        "/api/plates",
        { plates: [{ mass: 20, unit: "kg", pairs: 2 }, { mass: 45, unit: "lb", pairs: 1 }], version: 1 }
      )
      loft.machines.update(
        here[:id],
        version: 2,
        by: account,
        loading: {
          kind: "sled",
          unit: "kg",
          bare: 40,
          incline_deg: 30
        }
      )
      sled = call(:post, "#{path}/loads", { wanted_kg: 80 })
      expect([sled["load"]["text"], sled["load"]["how"], sled["felt"]]).to eq(
        ["80 kg", "20 kg on each side", "Felt as about 40 kg along the rail, friction aside."]
      )
    end

    it "wears the belt above half of body mass, always for blood pressure, never across a pregnancy" do
      load_here(belt: true)
      call(
        :patch,
        "/api/clients/#{person[:id]}",
        { version: loft.clients.find(person[:id])[:version], body_mass_kg: 80 }
      )
      belt = ->(kg) { call(:post, "#{path}/loads", { wanted_kg: kg })["belt"]["worn"] }
      expect([belt.call(40), belt.call(42.5)]).to eq([false, true])
      call(:put, "/api/clients/#{person[:id]}/cautions", { caution: "blood_pressure", version: nil })
      expect(belt.call(5)).to be(true)
      call(:put, "/api/clients/#{person[:id]}/cautions", { caution: "pregnancy", version: nil })
      expect(call(:post, "#{path}/loads", { wanted_kg: 50 })["belt"]).to eq(
        { "worn" => false, "says" => "No lap belt: a caution says so." }
      )
    end

    it "halves the light set for a knee that was cleared, and says so in the steps" do
      load_here
      call(
        :put,
        "/api/clients/#{person[:id]}/cautions",
        { caution: "knee", version: nil, cleared_by: "Dr Fenwick", cleared_on: "2026-02-11" }
      )
      expect(call(:post, "#{path}/loads", { wanted_kg: 40 })["light"]["text"]).to eq("10 kg")
      expect([step("@light")["do"], step("@watch")["do"]]).to match(
        [/about a quarter of the working load/, /the first over half of the range/]
      )
    end

    it "never goes above what a clinician allows, and accepts nothing above it by any door" do
      load_here
      call(
        :put,
        "/api/clients/#{person[:id]}/cautions",
        { caution: "back", version: nil, cleared_by: "Dr Fenwick", cleared_on: "2026-02-11", load_to_kg: 16 }
      )
      found = call(:post, "#{path}/loads", { wanted_kg: 40, last: "easy" })
      expect([found["load"]["text"], found["up"], found["next_time"]["text"], found["remarks"]]).to eq(
        ["15 kg", nil, "15 kg", ["No more than 16 kg: a clinician's limit."]]
      )
      [{ "load_kg" => 20 }, { "left_kg" => 20 }].each do |work|
        refused =
          call(
            :post,
            "#{path}/acceptance",
            {
              marks: advised,
              version: 1,
              work: Verglas::Application::Sheet::NO_WORK.merge(work),
              reason: "He is strong."
            }
          )
        expect(refused["code"]).to eq("past_load_limit")
      end
      expect(
        call(:put, "/api/clients/#{person[:id]}/cautions", { caution: "knee", version: nil, load_to_kg: 10 })
      ).to include("code" => "degrees_uncleared")
    end

    it "remarks on left against right, and on a curl against the extension of the same station" do
      once =
        "Left and right differ by %d %% (by more than 10 %% with %d of 100): said only where it is so again at the " \
          "next visit."
      sides = ->(left, right) { call(:post, "#{path}/loads", { left_kg: left, right_kg: right })["remarks"] }
      expect(sides[20, 15]).to eq([format(once, 25, 97)])
      work = Verglas::Application::Sheet::NO_WORK.merge("left_kg" => 20, "right_kg" => 15)
      expect(
        call(:post, "#{path}/acceptance", { marks: advised, version: 1, work: work, reason: "So." })
      ).not_to include("code")
      again = "/api/fittings/#{call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })["id"]}"
      sides = ->(left, right) { call(:post, "#{again}/loads", { left_kg: left, right_kg: right })["remarks"] }
      expect(sides[20, 15]).to eq(
        [
          "Again left and right differ by 25 %, the right is the weaker (by more than 10 % with 100 of 100): look " \
            "at hips and roller, and begin with that side."
        ]
      )
      # A visit the other way round takes back what one said.
      expect([sides[20, 19], sides[15, 20]]).to eq([[format(once, 5, 83)], [format(once, 25, 12)]])
      station = machine(loft, "shared_seat", name: "Leg station 1")
      loft.machines.update(station[:id], version: 1, by: account, loading: stack)
      extension, curl =
        %w[extension curl].map do |exercise|
          call(:post, "/api/fittings", { client_id: person[:id], machine_id: station[:id], exercise: exercise })["id"]
        end
      work = Verglas::Application::Sheet::NO_WORK.merge("load_kg" => 40)
      call(
        :patch,
        "/api/fittings/#{extension}",
        { marks: call(:get, "/api/fittings/#{extension}")["marks"], version: 1, work: work }
      )
      expect(call(:post, "/api/fittings/#{curl}/loads", { wanted_kg: 15 })["remarks"]).to eq(
        ["The curl is 0.38 of the extension here; about 0.6 is usual."]
      )
      expect(call(:post, "/api/fittings/#{curl}/loads", { wanted_kg: 25 })["remarks"]).to be_empty
    end

    it "stands on the card as printed, whatever text was sent with it, and goes on from there next time" do
      load_here
      work =
        Verglas::Application::Sheet::NO_WORK.merge(
          "load_kg" => 22.5,
          "repetitions" => 12,
          "last" => "clean",
          "felt" => "worked"
        )
      call(
        :post,
        "#{path}/acceptance",
        { marks: advised, version: 1, work: work, load: "a lot", cue: "Heels to the seat." }
      )
      expect(call(:get, "/api/clients/#{person[:id]}")["card"].first["accepted"]["load"]).to eq("22.5 kg")
      again =
        call(
          :get,
          "/api/fittings/#{call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })["id"]}"
        )
      expect([again["work"]["load_kg"], again["work"]["repetitions"], again["work"]["last"], again["cue"]]).to eq(
        [22.5, 12, nil, "Heels to the seat."]
      )
      expect(db[:fittings].exclude(cue_cipher: nil).get(:cue_cipher)).not_to include("Heels")
    end
  end

  describe "a creep test" do
    # What an arm would show about a knee that is off by so much.
    def readings(knee, marks)
      evaluation = Verglas::Application::Meeting.of(loft, id).evaluation(marks)
      page["creep_angles"].map do |angle|
        contact =
          evaluation.mechanics.contact(Verglas::Mechanisms::Place.new(evaluation.parameters, knee), angle["arm_deg"])
        { arm_deg: angle["arm_deg"], reading_mm: (60 + contact.contact_mm).round(1) }
      end
    end

    it "finds the knee from readings at three angles, moves it, and outranks the geometry among the causes of a sign" do
      creep = { marks: advised, readings: readings(Verglas::Geometry::Point.new(-40.0, 0.0), advised) }
      found = call(:post, "#{path}/creep", { marks: advised, creep: creep })
      expect(found["knee"]["s"]).to be < -20
      expect(found["says"]).to match(/behind.* the pivot\. Read from the creep, sure to \d+ mm\./)
      move = found["move"]
      after = call(:post, "#{path}/creep", { marks: advised.merge(move["adjuster"] => move["mark"]), creep: creep })
      expect(after["knee"]["s"].abs).to be < found["knee"]["s"].abs
      expect(after["move"]).to be_nil
      probability =
        lambda do |**extra|
          call(:post, "#{path}/signs", { marks: advised, signs: ["roller_slides"], **extra })["signs"].first[
            "causes"
          ].find { |cause| cause["name"] == "knee_behind" }[
            "probability"
          ]
        end
      expect(probability.call(creep: creep)).to be > probability.call
    end

    it "asks for two readings, and is not possible where nothing says where the knee is" do
      expect(
        call(
          :post,
          "#{path}/creep",
          { marks: advised, creep: { marks: advised, readings: [{ arm_deg: 20, reading_mm: 300 }] } }
        )[
          "code"
        ]
      ).to eq("creep_not_possible")
      expect(
        call(:patch, path, { marks: advised, version: 1, creep: { marks: { "seat" => "1" }, readings: [] } })["path"]
      ).to eq("/creep/marks")
    end
  end

  it "accepts what is off only with a reason, which stays on the record, encrypted" do
    rollers = here[:adjusters].find { |adjuster| adjuster["label"] == "roller" }["marks"]
    off =
      rollers
        .map { |mark| advised.merge("roller" => mark) }
        .find { |marks| call(:post, "#{path}/evaluation", { marks: marks })["grade"] == "off" }
    refused = call(:post, "#{path}/acceptance", { marks: off, version: 1, reason: "  " })
    expect([status, refused["code"], refused["path"]]).to eq([422, "reason_needed", "/reason"])
    expect(db[:fittings].where(state: "accepted").count).to eq(0)
    call(:post, "#{path}/acceptance", { marks: off, version: 1, reason: "Scar above the ankle." })
    expect(call(:get, path)).to include("state" => "accepted", "reason" => "Scar above the ankle.")
    expect(db[:fittings].get(:reason_cipher)).not_to include("Scar")
  end

  it "keeps the trail of what was tried for a sign" do
    trail = [{ sign: "roller_climbs", adjuster: "back pad", from: "3", to: "4", outcome: "better" }]
    call(:post, "#{path}/acceptance", { marks: advised, version: 1, signs: ["roller_climbs"], trail: trail })
    expect(call(:get, path)["trail"]).to eq(JSON.parse(JSON.generate(trail)))
  end

  it "ends at a stop sign: kept with what to do, never on the card, and not open any more" do
    stopped =
      call(
        :post,
        "#{path}/stop",
        { stop_sign: "faintness", sheet: { marks: advised, version: 1, note: "Pale after two." } }
      )
    expect(stopped).to include("state" => "stopped", "stop_sign" => "faintness")
    record = call(:get, path)
    expect(record["stops"].find { |stop| stop["name"] == record["stop_sign"] }["do"]).to start_with(
      "Stop. Lie the client down"
    )
    shown = call(:get, "/api/clients/#{person[:id]}")
    expect([shown["card"], shown["history"].first["stopped"]]).to eq([[], "Faintness"])
    expect(call(:get, "/api/floor")["open"]).to be_empty
    expect(call(:post, "#{path}/acceptance", { marks: advised, version: 2 })["code"]).to eq("fitting_closed")
    expect(Http::LOG.string).not_to include("faintness")
  end
end
