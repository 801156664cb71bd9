# frozen_string_literal: true

RSpec.describe Verglas::Fitting::SeenKnee do
  let(:machine) { Worked.machine("slide_seat") }
  let(:estimate) { Verglas::Body::Prior.estimate(sex: "woman") }
  let(:base) { at([2, 3, 1]) }

  def at(indices)
    Verglas::Fitting::Evaluation.new(
      machine: machine,
      estimate: estimate,
      wishes: Worked.wishes(machine),
      indices: indices
    )
  end

  # Readings of an arm about a knee that is off by so much, the scale's zero 70 mm up the shin.
  def readings(knee, angles)
    angles.map do |arm_deg|
      [arm_deg, 70 + base.mechanics.contact(Verglas::Mechanisms::Place.new(base.parameters, knee), arm_deg).contact_mm]
    end
  end

  def seen(s, n, angles: [90, 60, 30, 0])
    described_class.read(base, readings(Verglas::Geometry::Point.new(s, n), angles))
  end

  it "lies between what was computed and what was read, nearer to the reading the more there are" do
    computed = base.quantities[:knee_s_mm]
    read = computed - 40.0
    two, four =
      [[90, 0], [90, 60, 30, 0]].map { |angles| seen(read, base.quantities[:knee_n_mm], angles: angles).at(base).s }
    expect([two, four]).to all(be_between(read - 1, computed))
    expect((four - read).abs).to be <= (two - read).abs + 0.5
  end

  it "is carried by every adjuster that moves the joint, exactly as the geometry moves it, and by no other" do
    knee = seen(-20.0, 5.0)
    machine.adjusters.each_with_index do |adjuster, place|
      other = at(base.indices.dup.tap { |copy| copy[place] -= 1 })
      went = knee.at(other) - knee.at(base)
      expected = other.place.joint - base.place.joint
      expect([went.s, went.n]).to match([be_within(1e-9).of(expected.s), be_within(1e-9).of(expected.n)])
      expect(went.norm).to be_zero unless machine.family.group_of(adjuster) == :joint
    end
  end

  it "is surer to be in line at the mark that it calls best than at any other of that adjuster" do
    knee = seen(-55.0, 0.0)
    label, best = knee.best(base)
    place = machine.adjusters.index { |adjuster| adjuster.label == label }
    others = Verglas::Fitting::Neighbours.along(base, place)
    expect(knee.probability_within(15, best)).to be_within(0.02).of(
      others.map { |other| knee.probability_within(15, other) }.max
    )
    expect(others.map { |other| knee.at(other).norm }.min).to be_within(1e-6).of(knee.at(best).norm)
  end

  it "agrees with simulation about how likely the knee is in line" do
    knee = seen(12.0, 4.0)
    random = Random.new(12)
    normal = -> { Math.sqrt(-2 * Math.log(1 - random.rand)) * Math.cos(2 * Math::PI * random.rand) }
    along, across = knee.sds_mm
    slope = knee.covariance_mm2 / (along**2)
    rest = Math.sqrt((across**2) - (slope * knee.covariance_mm2))
    inside =
      Array
        .new(20_000) { [along * normal.call, normal.call] }
        .count { |s, free| Math.hypot(knee.at(base).s + s, knee.at(base).n + (slope * s) + (rest * free)) <= 15 }
    expect(knee.probability_within(15, base)).to be_within(0.012).of(inside / 20_000.0)
  end
end
