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
