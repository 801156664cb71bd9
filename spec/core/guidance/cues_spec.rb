# frozen_string_literal: true

RSpec.describe Verglas::Guidance::Cues do
  def family(id) = Verglas::Machines::Families.fetch(id)
  def count(helped, tried) = described_class::Count.new(helped, tried)

  # What no word mends: it is moved, laid, or another machine.
  silent = %i[
    pad_on_kneecap
    numb_thigh
    numb_under_pad
    catch_stuck
    tiptoe_to_unlatch
    load_stays
    load_bottoms
    wedged_in
    kneecap_pressed
  ]

  it "has something to say to every sign that words can mend, on every family on which it is seen" do
    Verglas::Machines::Families.single.each do |one|
      signs = Verglas::Guidance::Signs::ALL.values.select { |sign| one.all?(sign.of) }.map(&:name) - silent
      unsaid = signs.select { |sign| described_class.of(one, sign).empty? }
      expect(unsaid).to eq([]), "#{one.id}: #{unsaid.join(", ")}"
    end
  end

  it "has some sixty, each in words" do
    expect(described_class::ALL.size).to be >= 60
    unsaid = described_class::ALL.reject { |cue| Verglas::Formats::Words.maybe("cues.#{cue.name}") }
    expect(unsaid).to eq([])
  end

  it "keeps from somebody what asks for what a caution spares them" do
    effect =
      lambda do |name, one|
        Verglas::Guidance::Cautions.effect(one, [Verglas::Guidance::Cautions::Caution.of(name, cleared: true)])
      end
    plate = family(:press_sled)
    hip = effect.call(:hip_replacement, plate).spared
    expect(described_class.of(plate, :knees_fall_in)).to include(:tear_the_paper, :knees_to_the_wall)
    expect(described_class.of(plate, :knees_fall_in, hip)).to eq(%i[spread_the_toes])
    bench = Verglas::Machines::Families.single.find { |one| one.all?(%i[turns_on_pivot sits_back]) }
    pressure = effect.call(:blood_pressure, bench).spared
    expect(pressure).to include(:holds, :grip)
    expect(described_class.of(bench, :leg_flies_back)).to include(:breath_at_the_end)
    expect(described_class.of(bench, :leg_flies_back, pressure)).not_to include(:breath_at_the_end)
    expect(described_class.of(bench, :hips_lift, [:belt])).not_to include(:belt_snug)
  end

  it "puts what helped this client first, then what helps most people here" do
    names = described_class.of(family(:press_sled), :knees_fall_in)
    counts = { names[2] => count(9, 10), names[1] => count(1, 10) }
    expect(described_class.ranked(names, counts: counts).first).to eq(names[2])
    expect(described_class.ranked(names, counts: counts).last).to eq(names[1])
    expect(described_class.ranked(names, counts: counts, theirs: [names[1]]).first).to eq(names[1])
    expect(described_class.ranked(names)).to eq(names)
  end

  it "lets one success stand about level with six of twelve" do
    expect(described_class.worth(count(1, 1))).to be_within(0.03).of(described_class.worth(count(6, 12)))
  end

  it "finds the better of several over a made-up year" do
    random = Random.new(7)
    true_shares = { a: 0.3, b: 0.6, c: 0.45 }
    counts = true_shares.keys.to_h { |name| [name, count(0, 0)] }
    400.times do
      name =
        (
          if random.rand < 0.2
            counts.keys.sample(random: random)
          else
            described_class.ranked(counts.keys, counts: counts).first
          end
        )
      helped = random.rand < true_shares.fetch(name)
      counts[name] = count(counts[name].helped + (helped ? 1 : 0), counts[name].tried + 1)
    end
    expect(described_class.ranked(counts.keys, counts: counts).first).to eq(:b)
  end
end
