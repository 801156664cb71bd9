# frozen_string_literal: true

RSpec.describe Verglas::Fitting::Cautions do
  families = Verglas::Machines::Families.all.grep(Verglas::Machines::Family)
  knees = %i[extension curl shin_held_curl lying_curl]

  def family(id) = Verglas::Machines::Families.fetch(id)

  def caution(name, cleared: false, from: nil, to: nil, load: nil)
    described_class::Caution.new(name: name, cleared: cleared, bend_from_deg: from, bend_to_deg: to, load_to_kg: load)
  end

  def effect(family, *cautions)
    described_class.effect(family, cautions, Verglas::Fitting::Wishes.for(family).to_h.compact)
  end

  def barred(caution) = Verglas::Machines::Families.all.grep(Verglas::Machines::Family).select { |one| effect(one, caution).barred? }.map(&:id)

  everything = families.map(&:id)
  # Each caution's bar: not cleared, cleared, cleared with degrees.
  { knee: [knees, [], []], knee_ligament: [knees, knees, []], knee_replacement: [knees, knees, []], hip_replacement: [everything, everything, []],
    heart: [everything, [], []], blood_clot: [everything, [], []], surgery: [everything, [], []], pregnancy: [[:lying_curl]] * 3,
    hip_pain: [[]] * 3, back: [[]] * 3, osteoporosis: [[]] * 3, ankle: [[]] * 3, blood_pressure: [[]] * 3, head_down: [[]] * 3, numb_feet: [[]] * 3, loose_joints: [[]] * 3 }
    .each do |name, (open, cleared, degrees)|
    it "bars #{open.empty? ? "nothing" : open.join(", ")} for #{name}, and less once a clinician says so" do
      expect([barred(caution(name)), barred(caution(name, cleared: true)), barred(caution(name, cleared: true, from: 10.0, to: 80.0))])
        .to eq([open, cleared, degrees].map { |ids| everything & ids })
    end
  end

  it "has a case here for every rule, and words for it" do
    expect(described_class::RULES.keys).to match_array(%i[knee knee_ligament knee_replacement hip_replacement heart blood_clot surgery pregnancy hip_pain back osteoporosis ankle
                                                          blood_pressure head_down numb_feet loose_joints])
    described_class::RULES.each_key { |name| %w[title does].each { |part| expect(Verglas::Formats::Words.say("cautions.#{name}.#{part}")).not_to be_empty } }
  end

  it "starts a cleared knee at 80 at most, ends it 10 short, and puts the roller a hand's width above, on an extension only" do
    expect(effect(family(:extension), caution(:knee, cleared: true)).wishes)
      .to eq({ knee_bend_limit_deg: 80.0, start_bend_deg: 80.0, end_short_deg: 10.0, contact_above_ankle_mm: 110.0 })
    expect(effect(family(:curl), caution(:knee, cleared: true)).wishes).to be_empty
  end

  it "holds a clinician's degrees instead of the table's, at both ends, on every knee machine" do
    with = caution(:knee, cleared: true, from: 15.0, to: 70.0)
    expect(effect(family(:extension), with).wishes).to eq({ knee_bend_limit_deg: 70.0, end_short_deg: 15.0, start_bend_deg: 70.0 })
    expect(effect(family(:curl), with).wishes).to eq({ knee_bend_limit_deg: 70.0, end_short_deg: 15.0 })
  end

  it "bars everything for a caution with which the gym is stricter, until a clinician has cleared it" do
    stricter = ->(one) { described_class.effect(family(:extension), [one], { start_bend_deg: 90.0 }, stricter: [:back]).bars }
    expect([stricter.call(caution(:back)), stricter.call(caution(:back, cleared: true)), stricter.call(caution(:hip_pain))]).to eq([[:back], [], []])
  end

  it "holds the least load that clinicians allow" do
    both = effect(family(:curl), caution(:knee, cleared: true, load: 30.0), caution(:back, cleared: true, load: 20.0))
    expect([both.load_limit_kg, effect(family(:curl), caution(:back, cleared: true)).load_limit_kg]).to eq([20.0, nil])
  end

  it "halves the light set for a knee, wears the belt for blood pressure, and never across a pregnancy" do
    of = ->(*names) { effect(family(:extension), *names.map { |name| caution(name, cleared: true) }) }
    expect(of.call(:knee).careful).to be(true)
    expect([of.call(:back).careful, of.call(:back).belt]).to eq([false, nil])
    expect([of.call(:blood_pressure), of.call(:pregnancy), of.call(:blood_pressure, :pregnancy)].map(&:belt)).to eq(%i[always never never])
  end

  it "lets the stricter of two hold, whatever their order" do
    loose = caution(:loose_joints)
    degrees = caution(:knee_ligament, cleared: true, from: 5.0, to: 90.0)
    knee = caution(:knee, cleared: true)
    [loose, degrees, knee].permutation.each do |order|
      expect(effect(family(:extension), *order).wishes).to include(knee_bend_limit_deg: 80.0, end_short_deg: 10.0)
    end
  end

  it "never widens what a house rule already keeps narrower" do
    wishes = Verglas::Fitting::Wishes.for(family(:extension), start_bend_deg: 70.0, end_short_deg: 12.0).to_h.compact
    narrowed = described_class.effect(family(:extension), [caution(:knee, cleared: true)], wishes).wishes
    expect(narrowed).to include(start_bend_deg: 70.0, end_short_deg: 12.0)
  end

  it "advises no mark past a limit, without any tolerance" do
    machine = Worked.machine("slide_back")
    narrowed = effect(machine.family, caution(:knee, cleared: true)).wishes
    advice = Verglas::Fitting::Advice.new(machine: machine, estimate: Worked.exact("middle"), wishes: Verglas::Fitting::Wishes.for(machine.family, **narrowed))
    expect(advice.evaluation.quantities[:knee_bend_start_deg]).to be <= 80
    expect(advice.marks["start"]).not_to eq("3")
  end

  describe Verglas::Fitting::NeverAccepted do
    def reasons(name, indices, barred: false, body: "middle", **wishes)
      machine = Worked.machine(name)
      evaluation = Verglas::Fitting::Evaluation.new(machine: machine, estimate: Worked.exact(body), wishes: Worked.wishes(machine, **wishes), indices: indices)
      described_class.reasons(evaluation, barred: barred)
    end

    it "refuses a barred machine, a pad on the kneecap, a joint past its limit, and nothing else" do
      expect(reasons("slide_back", [2, 2, 2])).to be_empty
      expect(reasons("slide_back", [0, 0, 0])).to be_empty # off, but an instructor may say why
      expect(reasons("slide_back", [2, 2, 2], barred: true)).to eq([:barred])
      expect(reasons("curl_plain", [6, 2, 9], body: "large")).to eq([:on_the_kneecap])
      expect(reasons("slide_back", [2, 2, 2], knee_bend_limit_deg: 80.0)).to eq([:past_knee_bend_limit])
    end
  end
end
