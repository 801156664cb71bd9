# frozen_string_literal: true

RSpec.describe Verglas::Guidance::Cautions do
  families = Verglas::Machines::Families.single
  # By the physics that a family follows, so that a new one is expected to be barred as its like are.
  follow = ->(*mechanisms) { families.select { |one| mechanisms.include?(one.mechanism) }.map(&:id) }
  arms = follow[:seated_knee, :lying_knee]
  presses = follow[:leg_press, :calf_press]
  hanging = follow[:belt_squat]
  hacks = follow[:hack_squat, :hack_reach]
  benches = follow[:hinge_bench, :glute_ham]
  head_down = %i[level_bench glute_ham]
  knees = [*arms, *presses, *hacks, *hanging, :glute_ham]

  def family(id) = Verglas::Machines::Families.of_exercise(id)

  def caution(name, cleared: false, load: nil, named: [], joint: nil, **degrees)
    described_class::Caution.of(
      name,
      cleared: cleared,
      degrees: Verglas::Body::Envelope.new(degrees),
      load_to_kg: load,
      named: named,
      joint: joint
    )
  end

  def effect(family, *cautions, **aims) = described_class.effect(family, cautions, aims)
  def knee(family, *cautions) = effect(family, *cautions).envelope[:knee_flexion]
  def barred(caution)
    Verglas::Machines::Families.single.select { |one| effect(one, caution).barred? }.map(&:id)
  end

  spreads = follow[:seated_hip]
  hips = [*presses, *hacks, *hanging, *benches, *spreads]
  everything = families.map(&:id)
  carrying = [:lying_curl, *benches, *hanging, *hacks]
  # Who is barred, name by name: not cleared, cleared, cleared with degrees of the knee, of the hip, and cleared with
  # every exercise named.
  bars = {
    knee: [knees, [:glute_ham], [], [:glute_ham], []],
    knee_ligament: [knees, knees, [:glute_ham], knees, knees],
    knee_replacement: [knees, knees, [:glute_ham], knees, knees],
    hip_replacement: [everything, everything, everything, spreads, everything],
    hip_pain: [hips, [], [], [], []],
    back: [[]] * 5,
    osteoporosis: [hacks, [], [], [], []],
    neck_shoulder: [[*hacks, *benches], [], [], [], []],
    ankle: [follow[:calf_press], [], [], [], []],
    blood_pressure: [head_down, [], [], [], []],
    heart: [everything, [], [], [], []],
    blood_clot: [everything, [], [], [], []],
    eye_pressure: [*[head_down] * 4, []],
    dizziness: [*[head_down] * 4, []],
    head_down: [*[head_down] * 4, []],
    falls: [[*hacks, *hanging, *benches], [], [], [], []],
    pregnancy: [[*carrying, *presses], *[carrying] * 3, []],
    birth: [everything, *[carrying] * 3, []],
    pelvic_pain: [*[spreads] * 4, []],
    surgery: [everything, *[[:lying_curl, *benches, *hanging]] * 3, []],
    stoma: [[:lying_curl, *benches, *hanging], [], [], [], []],
    hot_joint: [everything, [], [], [], []],
    bone_disease: [everything, [], [], [], []],
    blood_thinners: [[]] * 5,
    diabetes: [[]] * 5,
    numb_feet: [follow[:calf_press], [], [], [], []],
    loose_joints: [[]] * 5,
    not_asked: [everything] * 5
  }
  let(:tabled) { bars.keys }

  bars.each do |name, cases|
    it "bars #{cases.first.empty? ? "nothing" : cases.first.join(", ")} for #{name}, and less once a clinician " \
         "says so of the joint or the exercise that is meant" do
      given = [
        caution(name),
        caution(name, cleared: true),
        caution(name, cleared: true, knee_flexion: [10, 80]),
        caution(name, cleared: true, hip_flexion: [nil, 90]),
        caution(name, cleared: true, named: everything)
      ]
      expect(given.map { |one| barred(one) }).to eq(cases.map { |ids| everything & ids })
    end
  end

  it "has a case above for every row of the table, and words for it" do
    expect(tabled).to match_array(described_class::RULES.keys)
    described_class::RULES.each_value do |rule|
      expect(Verglas::Formats::Words.say("cautions.#{rule.name}.title")).not_to be_empty
      [*rule.told.map(&:key), *rule.stop].each do |key|
        expect(Verglas::Formats::Words.say("manner.#{key}", bench: "x", squat: "x")).not_to be_empty
      end
      rule.bars.each do |bar|
        expect(Verglas::Formats::Words.say("barred.#{bar.until}", caution: "", motion: "")).not_to be_empty
      end
    end
  end

  it "opens abduction and adduction of a replaced hip by degrees of abduction alone, and a low seat by name alone" do
    hip = { hip_flexion: [nil, 90] }
    expect(barred(caution(:hip_replacement, cleared: true, **hip, hip_abduction: [nil, 20]))).to be_empty
    low = ->(**given) do
      described_class
        .effect(family(:extension), [caution(:hip_replacement, cleared: true, **hip, **given)], low_seat: true)
        .bars
        .map(&:until)
    end
    expect([low[], low[named: [:extension]], low[named: [:curl]]]).to eq([[:named], [], [:named]])
  end

  it "bars of a hot joint what loads that joint, and everything where nobody said which" do
    ankles = [*follow[:knee_lever], *presses, *hacks, *hanging, *benches]
    expect(barred(caution(:hot_joint, joint: :ankle))).to match_array(ankles)
    expect(barred(caution(:bone_disease, joint: :knee))).to match_array(knees)
    expect(barred(caution(:hot_joint, joint: :hip))).to match_array(hips)
  end

  it "treats a heart that was cleared as blood pressure that was, and times no slow set" do
    expect(effect(family(:extension), caution(:heart, cleared: true))).to have_attributes(
      no_holds: true,
      no_timed: true,
      in_hand: 2,
      rest_s: 90,
      belt: :always,
      schools: {
        grip: :light,
        brace: :moderate
      }
    )
    expect(effect(family(:extension), caution(:heart))).to have_attributes(no_timed: true, in_hand: nil)
  end

  # Closed by default: every family against every caution.
  families.each do |one|
    described_class::RULES.each_value do |rule|
      it "answers #{rule.name} on #{one.id}, and is barred by it where it does not" do
        expect(rule).to be_answered_by(one)
        unless rule.asks.empty?
          expect(effect(one.with(tags: {}), caution(rule.name, cleared: true)).barred?).to be(true)
        end
        expect(rule.asks - Verglas::Machines::Declaration::ASKED).to be_empty
      end
    end

    it "bars #{one.id} where it says nothing of one tag that a caution asks of" do
      described_class::RULES.each_value do |rule|
        rule.asks.each do |tag|
          expect(
            described_class.effect(one.with(tags: one.tags.except(tag)), [caution(rule.name)]).bars.map(&:until)
          ).to eq([:unanswered])
        end
      end
    end
  end

  it "keeps a cleared knee from 10 to 80 on every knee machine, and puts the roller a hand's width above" do
    families
      .select { |one| arms.include?(one.id) }
      .each do |one|
        expect(knee(one, caution(:knee, cleared: true))).to eq([10.0, 80.0])
        expect(effect(one, caution(:knee, cleared: true)).wishes).to eq({ contact_above_ankle_mm: 110.0 })
      end
  end

  it "keeps a cleared knee to 70 degrees on presses and squats" do
    (knees - arms - benches).each { |id| expect(knee(family(id), caution(:knee, cleared: true))).to eq([nil, 70.0]) }
    expect(
      knee(family(:glute_ham), caution(:knee_ligament, cleared: true, knee_flexion: [nil, 60], named: [:glute_ham]))
    ).to eq([10.0, 60.0])
  end

  it "takes ten degrees off the hip with a sore back, sets the feet higher with a sore ankle, and the back upright " \
       "in pregnancy" do
    expect(effect(family(:press_sled), caution(:back)).less).to eq({ hip_limit_deg: 10.0 })
    expect(effect(family(:extension), caution(:back)).less).to be_empty
    expect(effect(family(:press_stack), caution(:ankle), lowest_share: 0.0).wishes).to eq({ lowest_share: 0.33 })
    expect(effect(family(:press_sled), caution(:pregnancy, cleared: true), upright: 0.0).wishes).to eq({ upright: 1.0 })
    expect(
      %i[press_sled hack_squat belt_squat extension].map do |id|
        effect(family(id), caution(:hip_pain, cleared: true)).envelope[:hip_flexion]
      end
    ).to eq([[nil, 90.0]] * 4)
    expect(effect(family(:angled_hip), caution(:hip_pain, cleared: true)).envelope.spans).to eq(
      { hip_flexion: [nil, 60.0], hip_hinge: [nil, 60.0] }
    )
  end

  it "asks for the steepest bench with a sore back and nothing added there, for a steep one where no head may hang " \
       "low" do
    angled = ->(*given) { effect(family(:angled_hip), *given, angle_deg: 30.0, least_angle_deg: 0.0) }
    expect(angled[caution(:back, cleared: true)]).to have_attributes(
      wishes: {
        angle_deg: 90.0
      },
      without: %i[held_kg band_against_n],
      schools: {
        hinge_intent: :hips_move,
        hinge_bottom: :squeezable
      }
    )
    expect(
      [
        angled[caution(:head_down, cleared: true)],
        angled[caution(:blood_pressure)],
        angled[caution(:blood_pressure, cleared: true)]
      ].map(&:wishes)
    ).to eq([{ least_angle_deg: 45.0 }, { least_angle_deg: 45.0 }, {}])
  end

  it "spreads the thighs no further than is comfortable with a sore hip, and crosses the middle with no new one" do
    expect(
      %i[abduction adduction].map do |id|
        effect(family(id), caution(:hip_pain, cleared: true)).envelope[:hip_abduction]
      end
    ).to eq([[nil, 25.0]] * 2)
    replaced = caution(:hip_replacement, cleared: true, hip_flexion: [nil, 100])
    expect(effect(family(:adduction), replaced).envelope[:hip_adduction]).to eq([nil, 0.0])
  end

  # What is shown of a barred machine has a limit too: the strict one.
  it "lets no joint further whom no clinician has cleared than whom one has, with any caution on any machine" do
    families.product(described_class::RULES.keys) do |one, name|
      uncleared, cleared = [false, true].map { |given| effect(one, caution(name, cleared: given)).envelope }
      expect(uncleared & cleared).to eq(uncleared), "#{name} on #{one.id}"
    end
    expect(effect(family(:press_sled), caution(:hip_replacement)).envelope[:hip_flexion]).to eq([nil, 90.0])
  end

  it "offers no block and no mat under numb feet" do
    expect(effect(family(:hack_squat), caution(:numb_feet, cleared: true)).without).to eq(
      %i[block_mm mat_mm foot_rest_mm]
    )
  end

  it "holds a clinician's degrees instead of the figure of that end of that joint, and every other figure of the row" do
    only_from = caution(:knee, cleared: true, knee_flexion: [15, nil])
    expect(knee(family(:curl), only_from)).to eq([15.0, 80.0])
    expect(effect(family(:curl), only_from).wishes).to eq({ contact_above_ankle_mm: 110.0 })
    expect(knee(family(:extension), caution(:knee, cleared: true, knee_flexion: [nil, 100]))).to eq([10.0, 100.0])
    expect(knee(family(:extension), caution(:knee, cleared: true, hip_flexion: [nil, 70]))).to eq([10.0, 80.0])
    expect(
      effect(family(:extension), caution(:hip_replacement, cleared: true, hip_flexion: [nil, 100])).envelope.spans
    ).to eq({ hip_flexion: [nil, 100.0], hip_adduction: [nil, 0.0] })
  end

  it "keeps what hip, ankle and other cautions say away from the knee" do
    expect(knee(family(:extension), caution(:back, cleared: true, hip_flexion: [nil, 60]))).to eq([nil, nil])
  end

  it "spares a client the school of a rule which a caution forbids" do
    expect(effect(family(:extension), caution(:blood_pressure))).to have_attributes(
      schools: {
        grip: :light,
        brace: :moderate
      },
      no_holds: true,
      under_belt_load: true,
      belt: :always
    )
    expect(effect(family(:extension), caution(:knee, cleared: true)).schools).to include(
      extension_start: :right_angle,
      legs_turned: :straight
    )
    expect(effect(family(:curl), caution(:loose_joints)).schools).to include(curl_start: :just_short)
  end

  it "names for a question only schools that it has" do
    described_class::RULES.each_value do |rule|
      rule.schools.each do |question, school|
        expect(Verglas::Guidance::HouseRules.school(question, school)).to eq(school)
      end
    end
  end

  it "bars everything for a caution with which the gym is stricter, until a clinician has cleared it" do
    stricter = ->(one) do
      described_class.effect(family(:extension), [one], { start_bend_deg: 90.0 }, stricter: [:back]).bars
    end
    expect(
      [
        stricter.call(caution(:back)),
        stricter.call(caution(:back, cleared: true)),
        stricter.call(caution(:ankle))
      ].map { |found| found.map { |bar| [bar.caution, bar.until] } }
    ).to eq([[%i[back by_the_gym]], [], []])
  end

  it "holds the least load that clinicians allow" do
    both = effect(family(:curl), caution(:knee, cleared: true, load: 30.0), caution(:back, cleared: true, load: 20.0))
    expect([both.load_limit_kg, effect(family(:curl), caution(:back, cleared: true)).load_limit_kg]).to eq([20.0, nil])
  end

  it "halves the light set for a knee, wears the belt for blood pressure, and never across a pregnancy" do
    of = ->(*names) { effect(family(:extension), *names.map { |name| caution(name, cleared: true) }) }
    expect(of.call(:knee)).to have_attributes(light_share: 0.5, half_first: true)
    expect(effect(family(:press_sled), caution(:hip_pain, cleared: true))).to have_attributes(
      light_share: 0.5,
      half_first: false
    )
    expect([of.call(:hip_pain), effect(family(:abduction), caution(:knee, cleared: true))].map(&:light_share)).to eq(
      [nil, nil]
    )
    expect(of.call(:back)).to have_attributes(light_share: nil, half_first: false, belt: nil, under_belt_load: false)
    expect([of.call(:pregnancy).under_belt_load, effect(family(:extension), caution(:stoma)).belt]).to eq(
      [true, :never]
    )
    expect([of.call(:blood_pressure), of.call(:pregnancy), of.call(:blood_pressure, :pregnancy)].map(&:belt)).to eq(
      %i[always never never]
    )
  end

  it "lets the strictest of several hold, end by end, whatever their order" do
    loose = caution(:loose_joints)
    degrees = caution(:knee_ligament, cleared: true, knee_flexion: [5, 90])
    tight = caution(:knee, cleared: true)
    [loose, degrees, tight].permutation.each { |order| expect(knee(family(:extension), *order)).to eq([10.0, 80.0]) }
  end

  it "never brings the roller lower than a house rule already keeps it" do
    expect(effect(family(:extension), caution(:knee, cleared: true), contact_above_ankle_mm: 130.0).wishes).to eq(
      { contact_above_ankle_mm: 130.0 }
    )
  end

  it "holds the heels level with an ankle caution, until somebody who is cleared was measured" do
    calf = family(:calf_raise)
    drop = ->(cleared, measured) do
      described_class.effect(calf, [caution(:ankle, cleared: cleared)], measured: measured).envelope.to(:heel_drop)
    end
    expect([drop[false, []], drop[false, [:heel_drop]], drop[true, []], drop[true, [:heel_drop]]]).to eq(
      [0.0, 0.0, 0.0, nil]
    )
    clinician = caution(:ankle, cleared: true, heel_drop: [nil, 6])
    expect(described_class.effect(calf, [clinician]).envelope.to(:heel_drop)).to eq(6.0)
    expect(described_class.effect(family(:extension), [caution(:ankle)]).envelope).to be_open
    expect(described_class.effect(family(:extension), [caution(:ankle)])).to have_attributes(
      wishes: {
        contact_above_ankle_mm: 110.0
      },
      schools: include(toes_extension: :relaxed)
    )
  end

  it "advises no mark past a limit, without any tolerance" do
    machine = Worked.machine("slide_back")
    wishes =
      Verglas::Mechanisms::Wishes.for(
        machine.family,
        envelope: effect(machine.family, caution(:knee, cleared: true)).envelope
      )
    advice = Verglas::Fitting::Advice.new(machine: machine, estimate: Worked.exact("middle"), wishes: wishes)
    expect(advice.evaluation.quantities[:knee_bend_start_deg]).to be <= 80
    expect(advice.marks["start"]).not_to eq("3")
  end

  describe Verglas::Guidance::NeverAccepted do
    def reasons(name, indices, barred: false, body: "middle", cautioned: [], **wishes)
      machine = Worked.machine(name)
      evaluation =
        Verglas::Fitting::Evaluation.new(
          machine: machine,
          estimate: Worked.exact(body),
          wishes: Worked.wishes(machine, **wishes),
          indices: indices
        )
      described_class.reasons(evaluation, barred: barred, cautioned: cautioned)
    end

    it "refuses a barred machine, a pad on the kneecap, a joint past its limit, and nothing else" do
      expect(reasons("slide_back", [2, 2, 2])).to be_empty
      expect(reasons("slide_back", [0, 0, 0])).to be_empty # far off, but an instructor may say why
      expect(reasons("slide_back", [0, 0, 0], body: "tall", cautioned: [:knee])).to eq([:far_from_pivot])
      expect(reasons("slide_back", [0, 0, 0], body: "tall", cautioned: [:hip])).to be_empty
      expect(reasons("slide_back", [2, 2, 2], barred: true)).to eq([:barred])
      expect(reasons("curl_plain", [6, 2, 9], body: "large")).to eq([:on_the_kneecap])
      expect(reasons("slide_back", [2, 2, 2], knee_to_deg: 80.0)).to eq([:past_knee_bend_limit])
    end
  end
end
