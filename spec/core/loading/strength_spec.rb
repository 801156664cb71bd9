# frozen_string_literal: true

require "spec_helper"

RSpec.describe Verglas::Loading::Strength do
  loading = Verglas::Loading
  someone = loading::Strength::Person.new(sex: :man, mass_kg: 80.0, age_years: 30, stature_mm: 1800)

  def lifted(**given)
    Verglas::Loading::Lifted.new(
      week: 0,
      machine: "m",
      action: :press,
      load_kg: 100.0,
      repetitions: 10,
      last: :clean,
      **given
    )
  end

  def strength(sets = [], person: nil, now: 0, **given)
    described_class.new(person, sets, now: now, **given)
  end

  # A man of thirty, not heavy, without a clean set: his mass, the share, and a tenth less.
  it "begins with a share of lean mass" do
    expect(strength(person: someone).mean(:press)).to be_within(1e-9).of(Math.log(1.6 * 80) - 0.1)
    expect(strength(person: someone).sd(:press)).to be_within(1e-9).of(Math.sqrt(0.09 + (0.16**2)))
  end

  it "counts a third of what is above 27 kg a square metre" do
    heavy = someone.with(mass_kg: 120.0)
    lean = (27 * (1.8**2)) + ((120 - (27 * (1.8**2))) / 3)
    expect(strength(person: heavy).mean(:calf)).to be_within(1e-9).of(Math.log(0.9 * lean) - 0.1)
  end

  it "falls with the years, and is less sure of whom less is known" do
    at = ->(age) { strength(person: someone.with(age_years: age)).mean(:squat) }
    expect([at[30] - at[40], at[65] - at[66], at[20] - at[19]]).to match(
      [be_within(1e-9).of(0.08), be_within(1e-9).of(0.02), be_within(1e-9).of(0.03)]
    )
    known = strength(person: someone).sd(:squat)
    { sex: nil, mass_kg: nil, age_years: nil }.each do |name, value|
      expect(strength(person: someone.with(name => value)).sd(:squat)).to be > known
    end
  end

  it "learns of every action from one, and most of that one" do
    before, after = [[], [lifted(load_kg: 180.0)]].map { |sets| strength(sets, person: someone) }
    gained = ->(action) { after.mean(action) - before.mean(action) }
    expect(gained[:press]).to be > gained[:squat]
    expect(gained[:squat]).to be > 0.1
    expect(after.sd(:press)).to be < before.sd(:press)
  end

  # The two moments of the normal that is cut at a bound, by adding up its density.
  it "takes an easy set as a bound: the moments of the normal that is cut there" do
    normal = Verglas::Statistics::Normal.new(mean: [2.0], covariance: [[0.3]])
    [[2.4, 1], [1.0, 1], [2.4, -1], [0.5, -1]].each do |value, side|
      seen = normal.observe_bound(row: [1.0], value: value, sd: 0.2, side: side)
      weights =
        (0..4000).map do |step|
          x = -2 + (step * 0.002)
          passed = 0.5 * Math.erfc(-side * (x - value) / 0.2 / Math.sqrt(2))
          [x, Math.exp(-((x - 2.0)**2) / 0.6) * passed]
        end
      sum = weights.sum(&:last)
      mean = weights.sum { |x, weight| x * weight } / sum
      expect(seen.mean.first).to be_within(1e-4).of(mean)
      expect(seen.covariance[0][0]).to be_within(1e-4).of(weights.sum { |x, w| ((x - mean)**2) * w } / sum)
    end
  end

  it "stays a number where a bound is met or missed by far" do
    normal = Verglas::Statistics::Normal.new(mean: [0.0], covariance: [[1.0]])
    [-60.0, 60.0].product([1, -1])
      .each do |value, side|
        seen = normal.observe_bound(row: [1.0], value: value, sd: 0.1, side: side)
        expect([*seen.mean, *seen.covariance.flatten]).to all(be_finite)
        expect(seen.covariance[0][0]).to be_between(-1e-9, 1.0)
      end
  end

  it "lets the latest set of each machine count, in whichever order they stand" do
    sets = [lifted(week: 3, load_kg: 140.0), lifted(week: 1, load_kg: 60.0), lifted(week: 3, load_kg: 150.0)]
    latest = lifted(week: 3, load_kg: 150.0)
    expect(strength(sets, person: someone, now: 3).mean(:press)).to eq(
      strength([latest], person: someone, now: 3).mean(:press)
    )
  end

  it "loses a little for every week after three without the action, and no more than 0.3" do
    at = ->(week) { strength([lifted], person: someone, now: week).mean(:press) }
    expect(at[3]).to eq(at[0])
    expect(at[3] - at[10]).to be_within(1e-9).of(7 * 0.012)
    expect(at[3] - at[500]).to be_within(1e-9).of(0.3)
  end

  describe Verglas::Loading::FirstLoad do
    def first(sets, **given)
      described_class.new(
        Verglas::Loading::Strength.new(given.fetch(:person), sets, now: 0, factors: { "new" => [0.0, 0.01] }),
        machine: "new",
        action: :press,
        **given
      )
    end

    let(:sets) { [lifted(load_kg: 150.0), lifted(machine: "n", action: :squat, load_kg: 90.0)] }

    it "is the heaviest that keeps in hand what is not known, and the lightest while too little is" do
      told = first(sets, person: someone)
      expect(told).not_to be_silent
      most = Math.exp(told.mean - (1.28 * told.sd) - 0.09)
      expect(told.load_kg([20, 40, 60, 80, 100, 120, 140, 160])).to be_between(most - 20, most)
      expect(first([], person: someone.with(age_years: 70))).to be_silent
      expect(first([], person: someone.with(age_years: 70)).load_kg([20, 40])).to eq(20)
    end

    it "is silent with any caution" do
      expect(first(sets, person: someone, cautions: true)).to be_silent
    end
  end

  describe Verglas::Loading::MachineFactor do
    it "finds a machine that is heavier than it says, surer with everybody who lifts on it, never too sure" do
      people =
        Array.new(60) { [someone, [lifted(load_kg: 128.0), lifted(machine: "heavy", load_kg: 128.0 * Math.exp(-0.2))]] }
      few, many = [5, 60].map { |count| described_class.learned("heavy", :press, people.take(count)) }
      expect(many.mean).to be_between(0.1, 0.2)
      expect(few.sd).to be > many.sd
      expect(many.sd).to be >= 0.1
    end

    it "knows nothing where nobody's latest set there was clean" do
      told = described_class.learned("m", :press, [[someone, [lifted, lifted(week: 1, last: :easy)]]])
      expect([told.mean, told.sd]).to eq([0.0, 0.3])
    end
  end
end
