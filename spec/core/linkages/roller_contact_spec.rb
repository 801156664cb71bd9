# frozen_string_literal: true

RSpec.describe Verglas::Linkages::RollerContact do
  def at(knee, reach, clearance, side, arm_deg)
    described_class.at(
      knee: Verglas::Geometry::Point.new(*knee),
      reach_mm: reach,
      clearance_mm: clearance,
      side: side,
      arm_deg: arm_deg
    )
  end

  Worked
    .examples("contact")
    .each_with_index do |example, number|
      it "agrees with worked example #{number + 1}" do
        given = example["input"]
        given["theta"].zip(example["expect"]["rows"]) do |arm_deg, row|
          contact = at(given["e"], given["R"], given["D"], given["side"], arm_deg)
          expect(contact.shin_deg).to be_within(0.1).of(row["phi"])
          expect(contact.contact_mm).to be_within(0.1).of(row["q"])
          expect(contact.torque_ratio).to be_within(0.001).of(row["ratio"])
          expect(contact.lever_arm_mm).to be_within(0.1).of(row["lever"])
        end
      end
    end

  # Independent of the formula: swing a straight leg about the knee in small steps until it first touches the circle.
  def rolled(knee, reach, clearance, side, arm_deg)
    radians = arm_deg * Math::PI / 180
    roller = [(reach * Math.cos(radians)) - knee[0], (-reach * Math.sin(radians)) - knee[1]]
    gap =
      lambda do |leg_deg|
        leg = leg_deg * Math::PI / 180
        across = (roller[0] * Math.sin(leg)) + (roller[1] * Math.cos(leg))
        (side * across) - clearance
      end
    start = Math.atan2(-roller[1], roller[0]) * 180 / Math::PI
    low = start
    high = start + (side * 90)
    60.times { gap.call((low + high) / 2).negative? ? low = (low + high) / 2 : high = (low + high) / 2 }
    leg = low * Math::PI / 180
    [low, (roller[0] * Math.cos(leg)) - (roller[1] * Math.sin(leg))]
  end

  it "is where a leg swung about the knee first touches the roller" do
    random = Random.new(11)
    300.times do
      knee = [(random.rand - 0.5) * 120, (random.rand - 0.5) * 80]
      reach = 300 + (random.rand * 120)
      clearance = 70 + (random.rand * 40)
      side = [1, -1].sample(random: random)
      arm = -10 + (random.rand * 130)
      shin, along = rolled(knee, reach, clearance, side, arm)
      contact = at(knee, reach, clearance, side, arm)
      expect(contact.shin_deg).to be_within(1e-6).of(shin)
      expect(contact.contact_mm).to be_within(1e-6).of(along)
    end
  end

  it "balances virtual work: knee torque over machine torque is arm turned per leg turned" do
    random = Random.new(12)
    200.times do
      knee = [(random.rand - 0.5) * 100, (random.rand - 0.5) * 60]
      side = [1, -1].sample(random: random)
      arm = 5 + (random.rand * 90)
      step = 1e-4
      low = at(knee, 360, 95, side, arm - step)
      high = at(knee, 360, 95, side, arm + step)
      expect(at(knee, 360, 95, side, arm).torque_ratio).to be_within(1e-5).of(
        (2 * step) / (high.shin_deg - low.shin_deg)
      )
    end
  end

  it "neither creeps nor changes the torque when the knee is on the pivot, whatever the roller's height" do
    [300, 360, 420].each do |reach|
      contacts = (-8..100).step(12).map { |arm| at([0, 0], reach, 95, 1, arm) }
      expect(contacts.map { |contact| contact.contact_mm.round(9) }.uniq.size).to eq(1)
      expect(contacts.map { |contact| contact.torque_ratio.round(12) }.uniq).to eq([1.0])
    end
  end

  it "multiplies the force on the shin when an aligned roller is moved nearer the knee, as q1 / q2" do
    near, far = [300, 400].map { |reach| at([0, 0], reach, 95, 1, 45) }
    expect(near.force_per_torque / far.force_per_torque).to be_within(1e-9).of(far.contact_mm / near.contact_mm)
  end

  it "climbs as the leg straightens when the knee is ahead of the pivot, and slides to the foot when behind" do
    creep = ->(knee) { at(knee, 360, 95, 1, 10).contact_mm - at(knee, 360, 95, 1, 100).contact_mm }
    expect(creep.call([25, 0])).to be_within(0.1).of(-30.9)
    expect(creep.call([-25, 0])).to be_positive
  end

  it "mirrors: a roller behind the leg is one in front, seen in a mirror" do
    front = at([12, 7], 350, 90, 1, 40)
    behind = at([12, -7], 350, 90, -1, -40)
    expect(behind.shin_deg).to be_within(1e-9).of(-front.shin_deg)
    expect(behind.contact_mm).to be_within(1e-9).of(front.contact_mm)
  end

  it "answers 0 when the roller's circle swallows the knee" do
    expect(at([0, 0], 90, 100, 1, 0).contact_mm).to eq(0.0)
  end
end
