# frozen_string_literal: true

require "web_helper"

RSpec.describe "House rules over HTTP" do
  let(:loft) { gym }
  let!(:account) { staff(loft, role: "lead") }
  let(:here) { machine(loft, "slide_back", name: "Leg extension 1") }
  let(:person) do
    client(loft, account, name: "Imre Talbot", sex: "man", stature: 1700, seat_to_kneecap: 604, floor_to_knee_top: 541)
  end

  before { sign_in }

  def fitting
    id = call(:post, "/api/fittings", { client_id: person[:id], machine_id: here[:id] })["id"]
    call(:get, "/api/fittings/#{id}")
  end

  def chosen(name) = call(:get, "/api/rules")["questions"].find { |question| question["name"] == name }["chosen"]

  it "shows every question with its schools, and the default until the gym chooses" do
    questions = call(:get, "/api/rules")["questions"]
    expect(questions.size).to eq(Verglas::Guidance::HouseRules::QUESTIONS.size)
    expect(questions.map { |question| question["chosen"] }).to eq(questions.map { |question| question["default"] })
  end

  it "says before the gym chooses whose advice would change, then computes by the choice and says so on the record" do
    marks = fitting["marks"]
    call(:post, "/api/fittings/#{fitting["id"]}/acceptance", { marks: marks, version: 1 })
    changes = call(:post, "/api/rules/extension_roller/changes", { school: "hand_above" })
    expect(changes).to include("asked" => 1, "of" => 1)
    expect(changes["lines"].first["before"]).to include({ "label" => "roller", "name" => "Roller", "mark" => "C" })
    expect(chosen("extension_roller")).to eq("just_above")
    call(:put, "/api/rules/extension_roller", { school: "hand_above", version: 1 })
    expect(chosen("extension_roller")).to eq("hand_above")
    advised = fitting["advice"]
    expect(advised["marks"]["roller"]).to eq("A")
    expect(fitting["steps"].find { |step| step["adjuster"] == "roller" }["right"]).to start_with(
      "110 mm above the ankle bone"
    )
    id = fitting["id"]
    call(:post, "/api/fittings/#{id}/acceptance", { marks: advised["marks"], version: 1 })
    used =
      call(:get, "/api/fittings/#{id}")["computed_from"]["rules"].find { |rule| rule["question"] == "extension_roller" }
    expect(used).to include("school" => "hand_above", "school_title" => "A hand's width above")
  end

  it "does not tell on a client's page what was chosen for them where a caution keeps it back" do
    { "extension_end" => "fully_straight", "tempo" => "slow_down", "grip" => "hard", "belt" => "always" }.each
      .with_index(1) do |(question, school), version|
        call(:put, "/api/clients/#{person[:id]}/rules/#{question}", { school: school, reason: "So.", version: version })
      end
    own = -> { call(:get, "/api/clients/#{person[:id]}")["own_rules"].map { |rule| rule[/[^:]+/] } }
    expect(own.call.size).to eq(4)
    call(:put, "/api/clients/#{person[:id]}/cautions", { caution: "loose_joints", version: nil })
    expect(own.call).to contain_exactly("Tempo", "Grip", "Belt, where there is one")
    call(:put, "/api/clients/#{person[:id]}/cautions", { caution: "blood_pressure", version: nil })
    expect(own.call).to eq(["Belt, where there is one"])
  end

  it "lets an instructor choose otherwise for one client, with why, and go back" do
    other =
      client(loft, account, name: "Other", sex: "man", stature: 1700, seat_to_kneecap: 604, floor_to_knee_top: 541)
    shown =
      call(
        :put,
        "/api/clients/#{person[:id]}/rules/extension_end",
        { school: "just_short", reason: "Snaps it otherwise.", version: 1 }
      )
    own = shown["questions"].find { |question| question["name"] == "extension_end" }
    expect(own).to include(
      "chosen" => "just_short",
      "gym" => "fully_straight",
      "reason" => "Snaps it otherwise.",
      "by" => "Maren Oldcastle"
    )
    expect(call(:get, "/api/clients/#{person[:id]}")["own_rules"]).to eq(["End of an extension: just short"])
    start = ->(page) { page["steps"].find { |step| step["adjuster"] == "start" }["first"].join(" ") }
    expect(start.call(fitting)).to end_with("Stop 10° short of straight.")
    theirs = call(:post, "/api/fittings", { client_id: other[:id], machine_id: here[:id] })["id"]
    expect(start.call(call(:get, "/api/fittings/#{theirs}"))).not_to include("short of straight")
    call(:put, "/api/clients/#{person[:id]}/rules/extension_end", { school: nil, version: 2 })
    expect(start.call(fitting)).not_to include("short of straight")
  end

  it "does not count a client who has a school of their own among those whom the gym's choice changes" do
    call(:post, "/api/fittings/#{fitting["id"]}/acceptance", { marks: fitting["marks"], version: 1 })
    call(
      :put,
      "/api/clients/#{person[:id]}/rules/extension_roller",
      { school: "just_above", reason: "Scar.", version: 1 }
    )
    expect(call(:post, "/api/rules/extension_roller/changes", { school: "hand_above" })["lines"]).to be_empty
  end

  it "refuses what is no question, no school, or another gym's client" do
    expect(call(:put, "/api/rules/lamp", { school: "on", version: 1 })).to include("code" => "unknown_question")
    expect(call(:put, "/api/rules/belt", { school: "sometimes", version: 1 })).to include(
      "code" => "not_allowed",
      "path" => "/school"
    )
    [nil, 5, "x" * 41].each do |school|
      expect(call(:put, "/api/rules/belt", { school: school, version: 1 })).to include("path" => "/school")
    end
    expect(
      call(:put, "/api/clients/#{person[:id]}/rules/belt", { school: "always", reason: "x" * 201, version: 1 })
    ).to include("path" => "/reason")
    stranger = client(gym("The Sail Shed"), account, name: "Stranger")
    expect(call(:put, "/api/clients/#{stranger[:id]}/rules/belt", { school: "always", version: 1 })).to include(
      "code" => "not_found"
    )
    expect(db[:gym_rules].count + db[:client_rules].count).to eq(0)
  end

  describe "what each question changes at the bench" do
    let(:curl) do
      machine(loft, "curl_plain", name: "Leg curl 1").tap do |row|
        loft.machines.update(row[:id], version: 1, by: account, belt: true, slack_from_deg: 112)
      end
    end

    # Stops every centimetre.
    let(:fine) do
      data = Worked::MACHINES.fetch("incline_sled")
      stops = {
        "label" => "stops",
        "marks" => (1..24).map(&:to_s),
        "travel" => (0..23).map { |mark| mark * 10 },
        "drives" => {
          "stop_x" => 1
        }
      }
      id =
        loft.machines.insert(
          family: data["family"],
          name: "Leg press 3",
          description: {
            constants: data["constants"].merge("stop_x" => 480),
            adjusters: [data["adjusters"].first, stops]
          }
        )
      loft.machines.find(id)
    end
    let(:press) { machine(loft, "incline_sled", name: "Leg press 1") }
    let(:hinge) { machine(loft, "pad_and_angle", name: "Hip bench 1") }
    let(:kneeling) { machine(loft, "round_pad", name: "Glute-ham bench 1") }
    let(:squat) { machine(loft, "chain_on_lever", name: "Belt squat 1") }
    let(:lying) { machine(loft, "lie_hinged", name: "Lying curl 1") }
    let(:sliding) { machine(loft, "curl_slide", name: "Leg curl 2") }

    def page_on(row)
      id = call(:post, "/api/fittings", { client_id: person[:id], machine_id: row[:id] })["id"]
      call(:get, "/api/fittings/#{id}").merge(
        "loads" => call(:post, "/api/fittings/#{id}/loads", { wanted_kg: 20, repetitions: 10 })
      )
    end

    def supple
      limits =
        { hip_bend: 130, ankle: 35 }.transform_values do |deg|
          { deg: deg, reading: deg, by: "Maren Oldcastle", at: Time.now.utc.iso8601 }
        end
      loft.clients.measure(person[:id], version: person[:version], limits: limits)
    end

    # What of the bench is looked at: notes, where a step stands, what is right there.
    notes = ->(words) { ->(page) { page["steps"].flat_map { |step| step["first"] + step["notes"] }.uniq.grep(words) } }
    right = ->(id, part = /.+/) { ->(page) { page["steps"].find { |step| step["id"] == id }["right"][part] } }
    first = ->(id) { ->(page) { page["steps"].find { |step| step["id"] == id }["first"] } }
    look = ->(id) { ->(page) { page["steps"].find { |step| step["id"] == id }["look"][/\A[^.]+/] } }
    place = ->(id) { ->(page) { page["steps"].index { |step| step["id"] == id } } }
    belt = ->(page) { page["loads"]["belt"]["says"] }
    tempo = ->(page) { [page["loads"]["set_seconds"], page["loads"]["tempo"]["says"]] }

    # Each question's other school, on which machine it is asked, what is looked at, before and after.
    [
      [:first_set, :roller, :here, place.call("roller"), 4, 1],
      [:toes_extension, :pointed, :here, notes.call(/Toes/), ["Toes relaxed to pulled up."], ["Toes pointed."]],
      [:toes_curl, :pulled_up, :curl, notes.call(/Toes/), ["Toes relaxed."], ["Toes pulled up."]],
      [
        :legs_turned,
        :varied,
        :here,
        notes.call(/straight ahead|turned in/),
        ["Knees and toes straight ahead."],
        ["Legs turned in or out, as agreed."]
      ],
      [:extension_start, :further_back, :here, right.call("start", /About \d+°/), "About 90°", "About 100°"],
      [
        :extension_end,
        :just_short,
        :here,
        first.call("start"),
        ["End fully straight, never snapped."],
        ["Stop 10° short of straight."]
      ],
      [:curl_start, :fully_straight, :sliding, right.call("start", /About \d+°/), "About 8°", "About 2°"],
      [
        :curl_end,
        :before_slack,
        :curl,
        notes.call(/\AEnd at/),
        ["End at about a right angle."],
        ["End at 107° of knee bend."]
      ],
      [:extension_roller, :hand_above, :here, right.call("roller", /\d+ mm/), "60 mm", "110 mm"],
      [:curl_roller, :under_calf, :curl, right.call("roller", /\d+ mm/), "60 mm", "110 mm"],
      [
        :thigh_pad,
        :resting,
        :curl,
        right.call("thigh pad", /\A[^.]+/),
        "Thigh pad firm",
        "Thigh pad only resting on the thigh"
      ],
      [:tempo, :even_slow, :here, tempo, [60, "2-1-3-0"], [70, "3-1-3-0"]],
      [
        :belt,
        :always,
        :curl,
        belt,
        "Belt on, snug over the hips: body mass is not known.",
        "Belt on, snug over the hips: the rule of the house."
      ],
      [
        :grip,
        :hard,
        :here,
        notes.call(/Grip|Pull/),
        ["Grip lightly: the hands steady, they do not squeeze."],
        ["Pull hard with the hands."]
      ],
      [
        :stack_between,
        :light_touch,
        :here,
        notes.call(/Between repetitions/),
        ["Between repetitions the load stays just off its rest."],
        ["Between repetitions the load touches its rest lightly."]
      ],
      [:press_bottom, "to_70", :press, right.call("@foot_mm", /Knees bend \d+°/), "Knees bend 87°", "Knees bend 70°"],
      [
        :belt_bottom,
        :thighs_level,
        :squat,
        ->(page) { page["evaluation"]["findings"].find { |one| one["code"] == "squat_depth" }["value"] },
        90,
        120
      ],
      [
        :knees_toes,
        :past,
        :press,
        ->(page) { page["evaluation"]["scene"]["plate"]["says"].first },
        "knees pass the toes",
        "heels lift"
      ],
      [:stops, :lowest, :fine, ->(page) { page["advice"]["marks"]["stops"] }, "21", "19"],
      [
        :feet_turn,
        :straight,
        :press,
        notes.call(/Toes turned|Feet straight/),
        ["Toes turned out 5 to 15°."],
        ["Feet straight."]
      ],
      [
        :press_through,
        :heels,
        :press,
        notes.call(/Press through/),
        ["Press through the whole foot, heels down."],
        ["Press through the heels."]
      ],
      [:press_hands, :behind_head, :press, notes.call(/Hands/), ["Hands by the handles."], ["Hands behind the head."]],
      [:hip_pad, :level_edge, :hinge, ->(page) { page["advice"]["marks"]["pad"] }, "5", "6"],
      [:hinge_bottom, :stretch_felt, :hinge, ->(page) { page["advice"]["aids"]["bottom_deg"] }, 70, 80],
      [
        :hinge_top,
        :straight_hips,
        :hinge,
        notes.call(/\bthe top\b/i),
        ["The top is the client's own, straight hips at most."],
        ["Straight hips are the top for everybody."]
      ],
      [
        :hinge_intent,
        :rounded,
        :hinge,
        look.call("@bottom_deg"),
        "The hips move, the spine stays still: ribs in, chin in",
        "Rounded and tucked, glutes first, a short range"
      ],
      [
        :hinge_feet,
        :straight_ahead,
        :hinge,
        notes.call(/Feet/),
        ["Feet shoulder wide, turned out a little."],
        ["Feet shoulder wide, straight ahead."]
      ],
      [:tempo_hinge, :slow_down, :hinge, tempo, [80, "2-1-4-1"], [60, "2-1-3-0"]],
      [:brace, :hard, :hinge, notes.call(/Brace/), ["Brace a little, ready for a knock."], ["Brace hard."]],
      [
        :lying_brace,
        :tucked,
        :lying,
        notes.call(/[Pp]elvis (held|before)/),
        ["Pelvis held down, the hands pulling gently."],
        ["Brace and tuck the pelvis before each repetition."]
      ],
      [
        :belt_top,
        :just_short,
        :squat,
        notes.call(/between repetitions\.\z/),
        ["Stand tall between repetitions."],
        ["Stay just short of straight between repetitions."]
      ],
      [
        :newcomers_range,
        :less_first,
        :here,
        notes.call(/New to it/),
        ["New to it: the whole range that stays clean, the load later."],
        ["New to it: less range at first, more each week."]
      ],
      [
        :backrest,
        :fully_back,
        :press,
        notes.call(/The back goes/),
        ["The back goes as far back as the plate is still reached."],
        ["The back goes all the way back, for range."]
      ],
      [
        :load_set,
        :first,
        :here,
        ->(page) { [page["steps"].first["do"], *notes.call(/load (is|was) set/).call(page)] },
        ["Read the card. Load at its lightest. Look at every pin.", "The load is set last, after everything else."],
        ["Read the card. The light set's load on. Look at every pin.", "The load was set first. Look at it once more."]
      ],
      [
        :part_played,
        :accessory,
        :press,
        notes.call(/(Main|Accessory) work/),
        ["Main work."],
        ["Accessory work: last in the session, and lighter."]
      ],
      [:glute_ham_knee, :below_middle, :kneeling, ->(page) { page["advice"]["marks"]["plate"] }, "5", "6"]
    ].each do |question, school, on, read, before, after|
      it "#{question}: #{school}" do
        row = {
          here: here,
          lying: lying,
          curl: curl,
          sliding: sliding,
          press: press,
          fine: fine,
          hinge: hinge,
          kneeling: kneeling,
          squat: squat
        }.fetch(on)
        supple if on == :squat
        expect(read.call(page_on(row))).to eq(before)
        call(:put, "/api/rules/#{question}", { school: school, version: loft.versions[:rules] })
        expect(read.call(page_on(row))).to eq(after)
      end
    end

    it "leaves the thighs level to whom hip and ankle were measured" do
      call(:put, "/api/rules/belt_bottom", { school: "thighs_level", version: loft.versions[:rules] })
      expect(page_on(squat)["evaluation"]["findings"].find { |one| one["code"] == "squat_depth" }["value"]).to eq(90)
    end

    # Where the back is hurt a belt squat that serves goes before the hack squat, by name; not where the house takes it
    # as a stand-in.
    it "stand_in: hack_too" do
      hack = machine(loft, "shoulder_sled", name: "Hack squat 1")
      squat
      call(:put, "/api/clients/#{person[:id]}/cautions", { caution: "back", version: nil })
      instead = -> do
        call(:get, "/api/clients/#{person[:id]}/predictions")["predictions"].find do |one|
          one["machine_id"] == hack[:id]
        end[
          "instead"
        ]
      end
      said = -> { page_on(hack)["steps"].first["first"].join(" ") }
      expect([instead.call, said.call]).to match([["Belt squat 1"], /The belt squat comes first: Belt squat 1\./])
      call(:put, "/api/rules/stand_in", { school: "hack_too", version: loft.versions[:rules] })
      expect([instead.call, said.call]).to match([[], satisfy { |text| !text.include?("comes first") }])
    end

    it "never lets a belt be worn where the house says never, and tells a roller's place that comfort decides, " \
         "ungraded" do
      call(:put, "/api/rules/belt", { school: "never", version: loft.versions[:rules] })
      expect(page_on(curl)["loads"]["belt"]).to eq(
        { "worn" => false, "says" => "No belt: the hands hold the hips down, the rule of the house." }
      )
      call(:put, "/api/rules/extension_roller", { school: "comfort", version: loft.versions[:rules] })
      bench = page_on(here)
      seen =
        call(
          :post,
          "/api/fittings/#{bench["id"]}/evaluation",
          { marks: bench["marks"].merge("roller" => "A"), aids: {} }
        )[
          "findings"
        ].find { |one| one["code"] == "contact" }
      expect(seen).to include(
        "severity" => 0,
        "graded" => false,
        "says" => a_string_matching(/above the ankle, as it is comfortable/)
      )
    end

    it "tells whoever is new no degree where they go as far as is comfortable, and what was written down from the " \
         "next visit on" do
      call(:put, "/api/rules/newcomers_range", { school: "comfortable", version: loft.versions[:rules] })
      feel = "New to it: end where it is comfortable. Write down how far that was."
      [
        here,
        curl,
        machine(loft, "incline_sled", name: "Leg press"),
        machine(loft, "pad_and_angle", name: "Hip bench"),
        machine(loft, "chain_on_lever", name: "Belt squat"),
        machine(loft, "arms_turned_in", name: "Hip adduction")
      ].each do |row|
        far =
          page_on(row)["steps"]
            .reject { |step| step["adjuster"] }
            .select { |step| %w[range working far].include?(step["stage"]) }
        texts = far.flat_map { |step| [step["do"], step["right"], *step["first"]] }.compact
        expect(texts).to include(feel), row[:name]
        expect(texts.grep(/\d°/)).to eq([]), "#{row[:name]}: #{texts.grep(/°/)}"
      end
    end

    it "keeps the degree where a limit ends the movement, whoever is new" do
      call(:put, "/api/rules/newcomers_range", { school: "comfortable", version: loft.versions[:rules] })
      call(
        :put,
        "/api/clients/#{person[:id]}/cautions",
        { caution: "knee", version: nil, cleared_by: "Dr Fenwick", cleared_on: "2026-01-05" }
      )
      said = page_on(curl)["steps"].flat_map { |step| step["first"] }.join(" ")
      expect(said).to include("Stop at 80° of knee bend.")
      expect(said).not_to include("where it is comfortable")
    end

    it "has a case here for every question" do
      expect(Verglas::Guidance::HouseRules::QUESTIONS.size).to eq(38) # the stand-in below; session_order: sessions_spec
    end
  end

  it "is stricter with a caution where the gym says so: nobody with it is fitted until a clinician cleared it" do
    expect(
      call(:put, "/api/gym/cautions/back", { stricter: true, version: loft.versions[:rules] })[
        "cautions"
      ].find { |caution| caution["name"] == "back" }[
        "stricter"
      ]
    ).to be(true)
    call(:put, "/api/clients/#{person[:id]}/cautions", { caution: "back", version: nil })
    id = fitting["id"]
    expect(fitting["bars"]).to eq(["Back pain or disc: this gym fits nobody with it until a clinician has cleared it."])
    expect(call(:post, "/api/fittings/#{id}/acceptance", { marks: fitting["marks"], version: 1 })["code"]).to eq(
      "barred"
    )
    call(:put, "/api/gym/cautions/back", { stricter: false, version: loft.versions[:rules] })
    expect(fitting["bars"]).to be_empty
    expect(call(:put, "/api/gym/cautions/knees", { stricter: true, version: 1 })).to include(
      "code" => "unknown_caution"
    )
  end
end
