# frozen_string_literal: true

require "web_helper"

# Hinge benches, glute-ham bench, abduction and adduction over HTTP: what is placed and added, who is ready for what,
# limits found, what is never accepted.
RSpec.describe "Hips over HTTP" do
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:person) { client(loft, account, sex: "woman", body_mass_kg: 68, stature: 1700) }
  let(:angled) { machine(loft, "pad_and_angle", name: "Hip bench 1") }
  let(:adduction) { machine(loft, "arms_turned_in", name: "Hip adduction 1") }
  let(:level) do
    plate = Worked::MACHINES.fetch("one_plate")["adjusters"].first
    exercises =
      { hip_extension: { pad_top: 520 }, glute_ham: { plate_to_pad: 420 } }.transform_values do |constants|
        { constants: constants, adjusters: [] }
      end
    loft.machines.find(
      loft.machines.insert(
        family: "level_hip",
        name: "Level bench 1",
        description: {
          constants: {
          },
          adjusters: [plate],
          exercises: exercises
        }
      )
    )
  end

  before { sign_in }

  def bench(row, exercise = nil, who: person)
    sent = { client_id: who[:id], machine_id: row[:id], exercise: exercise }.compact
    call(:post, "/api/fittings", sent)["id"]
  end
  def page(id) = call(:get, "/api/fittings/#{id}")
  def finding(evaluation, code) = evaluation["findings"].find { |one| one["code"] == code }
  def evaluated(id, marks, aids = {}) = call(:post, "/api/fittings/#{id}/evaluation", { marks: marks, aids: aids })
  def caution(name, **fields)
    call(:put, "/api/clients/#{person[:id]}/cautions", { caution: name, version: nil, **fields })
  end
  def cleared = { cleared_by: "Dr Fenwick", cleared_on: "2026-02-11" }
  def placed(evaluation) = evaluation["placed"].to_h { |one| [one["name"], one["value"]] }

  def measure(limit, reading)
    call(
      :put,
      "/api/clients/#{person[:id]}/limits/#{limit}",
      { reading: reading, version: call(:get, "/api/clients/#{person[:id]}/limits")["client"]["version"] }
    )
  end

  def accept(row, exercise = nil, last: "clean", signs: [], **changes)
    shown = page(bench(row, exercise))
    sent = {
      **sheet(shown),
      marks: shown["marks"],
      signs: signs,
      work: shown["work"].merge("last" => last, "repetitions" => 10, "sets" => 2),
      **changes
    }
    call(:post, "/api/fittings/#{shown["id"]}/acceptance", sent).merge("marks" => sent[:marks])
  end

  it "opens on the steepest angle, with the stick before the bench, the bottom placed, and the effort drawn" do
    shown = page(bench(angled))
    expect(shown["steps"].map { |step| step["id"] }).to eq(
      %w[@before @practise pad angle @support @bottom_deg @again @secure @light @watch @working]
    )
    expect([shown["marks"], placed(shown["evaluation"])]).to eq(
      [
        { "pad" => "5", "angle" => "60" },
        { "bottom_deg" => 70, "held_kg" => 0, "band_help_n" => 0, "band_against_n" => 0 }
      ]
    )
    curve = shown["evaluation"]["scene"]["curve"]
    expect(curve["tops"].map { |top| top["deg"] }).to eq([30, 45, 60])
    expect(shown["evaluation"]["scene"].values_at("ends", "floor")).to match([%w[bottom straight], Numeric])
    expect(shown["steps"][1]["notes"].first).to include("Begin here, over half the range", "Body weight at 60°")
    expect(shown["steps"].last.values_at("first", "notes").join(" ")).to match(
      /Up until the hips are straight, not higher\.(?!.*Stack between)/
    )
    expect(call(:post, "/api/fittings/#{shown["id"]}/loads", { repetitions: 10 })).to include(
      "kind" => "body",
      "says" => a_string_including("Body weight")
    )
  end

  context "with the stick before the bench" do
    let(:person) { client(loft, account, body_mass_kg: 68, stature: 1700, shown: {}) }

    def note(right)
      call(
        :put,
        "/api/clients/#{person[:id]}/gates/stick",
        { right: right, version: call(:get, "/api/clients/#{person[:id]}")["client"]["version"] }
      )
    end

    it "accepts nothing until somebody has noted it, then keeps it for every bench of the kind" do
      expect(accept(angled)).to include(
        "code" => "unseen_stick",
        "message" => a_string_including("all you typed is here")
      )
      expect(note(true)["gates"]).to contain_exactly(
        include("name" => "stick", "right" => true, "by" => "Maren Oldcastle")
      )
      expect([accept(angled)["accepted_at"], page(bench(level, "hip_extension"))["gates"].first["right"]]).to match(
        [String, true]
      )
    end

    it "keeps whom it was not right for off every such bench, and off no other machine" do
      note(false)
      expect(page(bench(angled))["bars"]).to eq(
        ["The hinge with a stick was not right yet. No hinge bench until it is."]
      )
      expect(page(bench(adduction))["bars"]).to be_empty
      note(nil)
      expect(page(bench(angled)).values_at("bars", "gates")).to match([[], [include("right" => nil, "by" => nil)]])
    end

    it "keeps a client who was fitted before anybody asked from getting on until it is noted, and tells so on card " \
         "and set-up list" do
      note(true)
      id = accept(angled)["id"]
      note(nil)
      says = "Nobody has noted the hinge with a stick yet. Look at it and note it under Limits first."
      expect(call(:get, "/api/fittings/#{id}/set-up")["bars"]).to eq([says])
      expect(call(:get, "/api/clients/#{person[:id]}")["card"].first["outdated"]).to eq([says])
      set = {
        load_kg: nil,
        repetitions: 10,
        last: "clean",
        reached: 1,
        felt: nil,
        sign: nil,
        leg: "",
        watched_by: account
      }
      expect(call(:post, "/api/fittings/#{id}/sets", set)["code"]).to eq("unseen_stick")
      foretold =
        call(:get, "/api/clients/#{person[:id]}/predictions")["predictions"].find do |one|
          one["machine_id"] == angled[:id]
        end
      expect(foretold.values_at("marks", "bars")).to eq([[], [says]])
    end

    it "asks nothing of whom a caution keeps from hinging" do
      caution("hip_pain")
      gate = call(:get, "/api/clients/#{person[:id]}/limits")["gates"].first
      expect(gate["skipped"]).to eq(["Hip pain"])
      expect(note(true)).to include("code" => "limit_skipped", "path" => "/right")
      expect(page(bench(angled))["bars"].join).not_to include("stick")
    end

    it "refuses what it does not know, and what somebody else has changed" do
      expect(call(:put, "/api/clients/#{person[:id]}/gates/rope", { right: true, version: 1 })).to include(
        "code" => "unknown_gate"
      )
      expect([call(:put, "/api/clients/#{person[:id]}/gates/stick", { right: true, version: 99 }), status]).to match(
        [include("code" => "stale"), 409]
      )
    end
  end

  it "shows what ten kilograms at the chest do, beside body weight alone, and keeps them with the record" do
    id = bench(angled)
    shown = page(id)
    held = evaluated(id, shown["marks"], shown["aids"].merge("held_kg" => 10))
    plain, weighted = [shown["evaluation"], held].map { |evaluation| evaluation["scene"]["curve"] }
    expect(plain["plain"]).to be_empty
    expect(weighted["plain"]).to eq(plain["points"])
    expect(weighted["tops"].zip(plain["tops"]).map { |more, less| more["nm"] - less["nm"] }).to all(be_positive)
    expect(evaluated(id, shown["marks"], shown["aids"].merge("held_kg" => 61))).to include(
      "code" => "too_large",
      "path" => "/aids/held_kg"
    )
    done = accept(angled, aids: shown["aids"].merge("held_kg" => 10))
    expect([done["laid"], status]).to eq([["Go down to 70° of hip bend.", "10 kg held at the chest."], 200])
  end

  it "opens the next rung after two clean visits, on this machine and on others of its kind, and goes back after " \
       "one that was not" do
    2.times { accept(angled) }
    shown = page(bench(angled))
    expect(shown["advice"]["marks"]["angle"]).to eq("45")
    expect(shown["ready"]["says"].first).to eq("Body weight at 45°. The one before was clean on 2 visits.")
    expect(shown["ready"]["rungs"].select { |rung| rung["today"] }.map { |rung| rung["text"] }).to eq(
      ["Body weight at 45°"]
    )
    expect(page(bench(level, "hip_extension"))["ready"]["says"].first).to include("Easier benches were clean")
    accept(angled, last: "not_reached")
    expect(page(bench(angled))["ready"]["says"].first).to include("The harder one was not clean")
  end

  it "counts the visits since a fitting as it counts fittings" do
    id = accept(angled)["id"]
    set = {
      load_kg: nil,
      repetitions: 10,
      last: "clean",
      reached: 1,
      felt: "buttock",
      sign: nil,
      leg: "",
      watched_by: nil
    }
    call(:post, "/api/fittings/#{id}/sets", set)
    expect(page(bench(angled))["ready"]["says"].first).to eq(
      "Body weight at 45°. The one before was clean on 2 visits."
    )
    call(:post, "/api/fittings/#{id}/sets", set.merge(felt: "low_back"))
    expect(page(bench(angled))["ready"]["says"].first).not_to include("2 visits")
  end

  it "counts a visit on which a sign was seen as not clean" do
    2.times { accept(angled, signs: ["swings"]) }
    expect(page(bench(angled))["advice"]["marks"]["angle"]).to eq("60")
  end

  it "remembers where the client can squeeze, and asks for no more on any hinge bench" do
    id = bench(angled)
    shown = page(id)
    expect(shown["findable"].map { |one| one["limit"] }).to eq(["hinge"])
    kept =
      call(
        :post,
        "/api/fittings/#{id}/limits/hinge",
        { marks: shown["marks"], aids: shown["aids"], share: 0.2, client_version: shown["client"]["version"] }
      )
    expect(kept["limits"].find { |limit| limit["name"] == "hinge" }["measured"]).to include(
      "deg" => 56,
      "on" => "Hip bench 1"
    )
    again = page(id)
    expect(finding(again["evaluation"], "hinge_bottom")).to include("band" => "fault")
    refused =
      call(
        :post,
        "/api/fittings/#{id}/acceptance",
        { **sheet(again), marks: again["marks"], reason: "she asked for it" }
      )
    expect([status, refused["code"]]).to eq([422, "past_own_bend"])
    expect(placed(page(bench(level, "hip_extension"))["evaluation"])["bottom_deg"]).to eq(56)
    expect(again["advice"]["aids"]["bottom_deg"]).to eq(56)
  end

  it "ends short of straight where the front of the hip is tight" do
    measure("hip_extension", -10)
    shown = page(bench(angled))
    expect(shown["evaluation"]["motion"]["ending"]).to start_with("At the top, hips 10° short of straight")
    expect(shown["steps"].last["first"]).to include("Up to 10° short of straight: this client's own range.")
  end

  it "asks for the steepest bench, offers no weight and tells of none with a sore back" do
    2.times { accept(angled) }
    caution("back", **cleared)
    shown = page(bench(angled))
    expect([shown["advice"]["marks"]["angle"], placed(shown["evaluation"]).keys]).to eq(
      ["60", %w[bottom_deg band_help_n]]
    )
    expect(shown["ready"]).to include("says" => ["Body weight at 60°, and nothing harder: a caution asks for it."])
    expect(JSON.generate(shown)).not_to match(/kg at the chest|Rounded|rung up|[Ff]latter/)
    refused =
      call(
        :post,
        "/api/fittings/#{shown["id"]}/acceptance",
        { **sheet(shown), marks: shown["marks"], aids: shown["aids"].merge("held_kg" => 5), reason: "he asked for it" }
      )
    expect([status, refused["code"]]).to eq([422, "forbidden_aid"])
  end

  it "lets no head hang low: flatter than 45 is never accepted, the level bench is barred" do
    caution("head_down")
    id = bench(angled)
    flat = page(id)["marks"].merge("angle" => "30")
    expect(finding(evaluated(id, flat), "bench_slope")).to include(
      "band" => "fault",
      "says" => "At 30° the head hangs low: a caution asks for 45° or steeper."
    )
    refused =
      call(:post, "/api/fittings/#{id}/acceptance", { **sheet(page(id)), marks: flat, reason: "she asked for it" })
    expect([status, refused["code"]]).to eq([422, "too_flat"])
    expect(JSON.generate(page(id).slice("steps", "ready")) + page(id)["evaluation"]["motion"].to_s).not_to match(
      /30°|Flatter once/
    )
    expect(page(id)["evaluation"]["scene"]["curve"]["tops"].map { |top| top["deg"] }).to eq([45, 60])
    expect(page(id)["ready"]["rungs"].map { |rung| rung["text"] }).not_to include(a_string_including("30°"))
    expect(page(bench(level, "hip_extension"))["bars"]).to eq(
      ["Eye pressure, dizziness or reflux: this machine is not advised unless a clinician names this exercise."]
    )
  end

  it "says on the card which intent was meant, and none that a caution forbids" do
    call(:put, "/api/clients/#{person[:id]}/rules/hinge_intent", { school: "rounded", version: 1, reason: "glutes" })
    intent = ->(id) { call(:get, "/api/fittings/#{id}/set-up")["allowed"].grep(/spine|glutes/) }
    done = accept(angled)
    expect(intent[done["id"]]).to eq(["Rounded and tucked, glutes first, a short range."])
    caution("osteoporosis", **cleared)
    expect(intent[done["id"]]).to eq(["The hips move, the spine stays still: ribs in, chin in."])
  end

  it "says what a caution means on this machine" do
    caution("blood_pressure")
    shown = page(bench(angled))
    expect(shown["cautions"].first["does"]).to start_with("The bench at 45° or steeper")
    expect(shown["advice"]["marks"]["angle"]).to eq("60")
    expect(call(:post, "/api/fittings/#{shown["id"]}/loads", { wanted_kg: 0, repetitions: 10 })["tempo"]["says"]).to eq(
      "2-0-4-0"
    )
  end

  describe "one plate for two exercises" do
    it "is set anew for each, shares nothing, and each begins where it should" do
      extension = page(bench(level, "hip_extension"))
      raise = page(bench(level, "glute_ham"))
      expect([extension, raise].map { |shown| shown["marks"]["plate"] }).to eq(%w[16 5])
      expect(raise["station"]).to include("shared" => [], "gave_up" => nil, "other" => nil)
      expect(placed(raise["evaluation"])["band_help_n"]).to be_positive
      expect(raise["ready"]["rungs"].map { |rung| rung["nm"] }).to eq(
        raise["ready"]["rungs"].map { |rung| rung["nm"] }.sort
      )
    end

    it "keeps the record of one when the other is accepted" do
      accept(level, "hip_extension")
      accept(level, "glute_ham")
      cards = call(:get, "/api/clients/#{person[:id]}")["card"]
      expect(cards.to_h { |line| [line["exercise"], line["accepted"]["marks"].map { |tag| tag["mark"] }] }).to eq(
        { "hip_extension" => %w[16 70°], "glute_ham" => ["5"] }
      )
    end

    it "stands where the last exercise left the plate, whichever is set up next" do
      extension = accept(level, "hip_extension")
      accept(level, "glute_ham")
      list = call(:get, "/api/fittings/#{extension["id"]}/set-up")
      expect(list["lines"].first["move"]).to include("from" => "5", "by" => 11)
      call(:post, "/api/fittings/#{extension["id"]}/set-up", {})
      expect(call(:get, "/api/fittings/#{extension["id"]}/set-up")["lines"].first["move"]).to be_nil
    end

    it "is entered with the one plate, taped for each exercise, and then advises both" do
      made =
        call(
          :post,
          "/api/machines",
          {
            family: "level_hip",
            name: "Level bench 2",
            adjusters: [{ label: "plate", kind: "one_plate", forwards: true, marks: (1..12).map(&:to_s) }],
            exercises: {
              hip_extension: {
                adjusters: []
              },
              glute_ham: {
                adjusters: []
              }
            }
          }
        )
      expect([status, made["exercises"].map { |one| one["adjusters"].first.values_at("kind", "shared") }]).to eq(
        [201, [["one_plate", true]] * 2]
      )
      path = "/api/machines/#{made["machine"]["id"]}/lengths"
      keep = ->(**given) do
        made =
          call(:put, path, { version: made["version"], confirmed: false, **given }).tap do |answer|
            expect(status).to eq(200), answer.to_s
          end
      end
      keep.call(exercise: "hip_extension", name: "pad_top", value: 640)
      keep.call(exercise: "glute_ham", name: "plate_to_pad", value: 400)
      keep.call(exercise: "glute_ham", adjuster: "plate", travel: (0..11).map { |mark| mark * 28 })
      expect(made["machine"]["taped"]).to eq("taped")
      expect(
        %w[hip_extension glute_ham].map do |exercise|
          page(bench({ id: made["machine"]["id"] }, exercise))["advice"]["status"]
        end
      ).to eq(%w[fits fits])
    end

    it "bars the glute-ham raise for a cleared knee without degrees, and not the hip extension" do
      caution("knee", **cleared)
      expect(page(bench(level, "glute_ham"))["bars"].first).to include("until a clinician has given the degrees")
      expect(page(bench(level, "hip_extension"))["bars"]).to be_empty
    end
  end

  describe "adduction" do
    it "starts at 25 degrees at most until the spread is measured, and wider once it is" do
      before = page(bench(adduction))
      expect(finding(before["evaluation"], "spread_start")["value"]).to be_between(15, 25)
      expect(before["steps"].last.values_at("first", "notes").join(" ")).to include(
        "Together until the thighs meet in the middle, not past it."
      )
      measure("abduction", 45)
      after = page(bench(adduction))
      expect(after["advice"]["marks"]["start"].to_i).to be > before["advice"]["marks"]["start"].to_i
      wide = evaluated(after["id"], after["marks"].merge("start" => "8"))
      expect(finding(wide, "spread_start")).to include("band" => "fault")
      refused =
        call(
          :post,
          "/api/fittings/#{after["id"]}/acceptance",
          { **sheet(after), marks: after["marks"].merge("start" => "8"), reason: "he can do more" }
        )
      expect([status, refused["code"]]).to eq([422, "past_own_spread"])
    end

    it "finds what is comfortable on the machine, never under a sore hip, and does not go past the middle with a " \
         "new one" do
      id = bench(adduction)
      shown = page(id)
      expect(shown["findable"].map { |one| one["limit"] }).to eq(%w[abduction adduction])
      outside =
        call(
          :post,
          "/api/fittings/#{id}/limits/adduction",
          { marks: shown["marks"], aids: shown["aids"], share: 0.0, client_version: shown["client"]["version"] }
        )
      expect([status, outside["code"]]).to eq([422, "limit_out_of_range"])
      caution("hip_pain")
      expect(page(id)["findable"]).to be_empty
      expect(page(id)["narrowed"]).to include("thighs 25° apart at most, each side")
    end

    it "is not told what would be usual, or open once it is measured, where a caution says less" do
      usual = -> { call(:get, "/api/fittings/#{accepted_id}/set-up")["allowed"].join(" ") }
      expect(usual.call).to include("Past the middle only once it is measured", "assumed 40°")
      caution("hip_replacement", side: "left", **cleared, degrees: { hip_flexion: { from: nil, to: 95 } })
      expect(usual.call).not_to include("Past the middle only once")
      caution("hip_pain")
      expect(usual.call).not_to include("40° is the usual")
    end

    def accepted_id = @accepted_id ||= accept(adduction)["id"]

    it "is seen from above, the hip under the magnifier" do
      evaluation = page(bench(adduction))["evaluation"]
      expect(evaluation["scene"]["floor"]).to be_nil
      expect(evaluation["targets"].first).to include("joint" => "hip")
      expect(evaluation["says"]).to start_with("Seen from above, to scale")
    end
  end

  it "ranks what may be behind a sign, and never accepts a pad that presses on the kneecap" do
    raise = page(bench(level, "glute_ham"))
    near = raise["marks"].merge("plate" => "1")
    ranked =
      call(:post, "/api/fittings/#{raise["id"]}/signs", { marks: near, signs: ["wedged_in"] })["signs"].first["causes"]
    expect(ranked.map { |one| one.values_at("name", "standing") }).to contain_exactly(
      %w[plate_short shown],
      %w[knee_over_middle shown]
    )
    refused = accept(level, "glute_ham", signs: ["kneecap_pressed"])
    expect([status, refused["code"]]).to eq([422, "seen_kneecap_pressed"])
  end
end
