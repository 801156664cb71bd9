# frozen_string_literal: true

RSpec.describe Verglas::Mechanisms::KneeLever do
  let(:machine) { Worked.machine("pad_on_lever") }
  let(:middle) { Worked.body("middle") }

  def lever(body = middle, envelope: Verglas::Body::Envelope.open, **wishes)
    described_class.new(
      machine: machine,
      body: body,
      wishes: Verglas::Mechanisms::Wishes.for(machine.family, envelope: envelope, **wishes)
    )
  end

  def heel_drop(upto) = Verglas::Body::Envelope.new({ heel_drop: [nil, upto] })

  def advice(body, **wishes)
    given = Verglas::Mechanisms::Wishes.for(machine.family, **wishes)
    Verglas::Fitting::Advice.new(machine: machine, estimate: Verglas::Body::Estimate.exact(body), wishes: given)
  end

  # Another way to the same height: the ankle turned with the foot about its ball, as a complex number.
  def turned(body, drop_deg, sole)
    ankle = Complex(-0.55 * body.foot, body.ankle_height + sole)
    (ankle * Complex.polar(1, drop_deg * Math::PI / 180)).imaginary + body.shank + body.knee_top
  end

  it "stands as high over the block as the turned foot, the shin and the knee together" do
    random = Random.new(4)
    20.times do
      body = random_body(random)
      drop = (random.rand * 50) - 30
      expect(lever(body).knee_top_mm(drop)).to be_within(1e-6).of(turned(body, drop, 25.0))
    end
  end

  it "is as high as the leg itself on a level sole, and lower the further the heels go" do
    expect(lever.knee_top_mm(0)).to be_within(1e-9).of(middle.ankle_height + 25 + middle.shank + middle.knee_top)
    heights = [-30, -15, 0, 5, 10, 20].map { |drop| lever.knee_top_mm(drop) }
    expect(heights).to eq(heights.sort.reverse)
    expect(lever(middle, sole_mm: 40.0).knee_top_mm(0) - lever.knee_top_mm(0)).to be_within(1e-9).of(15)
  end

  it "takes the highest mark that lets the heels down, for random people, whatever the catch does" do
    random = Random.new(9)
    60.times do
      body = random_body(random)
      drop = random.rand(0..15).to_f
      low = lever(body, heel_drop_deg: drop).low_mm
      passing = (0..8).select { |index| 455 + (20 * index) <= low }
      found = advice(body, heel_drop_deg: drop)
      if passing.empty?
        expect(found.status).to eq(:impossible)
      else
        expect(found.evaluation.indices).to eq([passing.max])
        expect(found.evaluation.finding(:pad_slack).fault).to be_nil
      end
    end
  end

  it "tells a catch that cannot be cleared, and the mark that clears it, without giving up the heels' stop for it" do
    found = advice(Worked.body("small"), heel_drop_deg: 0.0)
    catch = found.evaluation.finding(:catch_clear)
    expect([found.marks, catch.band, found.status]).to eq([{ "pad" => "3" }, "off", :compromise])
    lower = Verglas::Fitting::Neighbours.steps(found.evaluation)["pad"].first
    expect([lower.finding(:catch_clear).band, lower.finding(:pad_slack).band]).to eq(["in line", "close"])
    expect(found.shortfalls.map(&:mend)).to eq([:lower_knee_pad])
  end

  it "never lets the heels lower than any source allows: measured, a caution, the usual" do
    expect(lever.heel_drop_deg).to eq(10)
    expect(lever(middle, heel_drop_deg: 14.0).heel_drop_deg).to eq(14)
    expect(lever(middle, envelope: heel_drop(0), heel_drop_deg: 14.0).heel_drop_deg).to eq(0)
    expect(lever(middle, envelope: heel_drop(4)).end_limited?).to be(true)
  end

  it "has the usual drop where its limit has it" do
    expect(machine.family.wishes[:heel_drop_deg].default).to eq(Verglas::Guidance::Limits.fetch(:heel_drop).default_deg)
  end

  describe "its picture" do
    def scene(indices, **wishes)
      mechanics = lever(middle, **wishes)
      Verglas::Scenes.of(mechanics, mechanics.place(machine.parameters(indices))).whole
    end

    it "rests the pad on the thighs with the heels lowest, or on its stop where that is higher" do
      resting = scene([3])
      expect(resting.part(:knee_pad).points.map(&:n).min).to be_within(1e-9).of(lever.low_mm)
      high = scene([8])
      expect(high.part(:knee_pad).points.map(&:n).min).to be_within(1e-9).of(455 + 160)
    end

    it "puts the ankle where the heel drop has it, and the knee a shin above" do
      drawn = scene([3], heel_drop_deg: 12.0)
      ankle, knee = drawn.part(:shin).points.values_at(1, 0)
      expect(knee.n - ankle.n).to be_within(1e-9).of(middle.shank)
      expect(knee.n + middle.knee_top).to be_within(1e-9).of(lever(middle, heel_drop_deg: 12.0).low_mm)
      expect(drawn.part(:ankle).at).to eq(ankle)
    end

    it "writes the slack between the pad's stop and the thighs, as long as it is said" do
      slack = scene([3]).dimensions.find { |one| one.of == :pad_slack }
      expect((slack.to - slack.from).norm).to be_within(1e-9).of(slack.value)
      expect(slack.value).to be_within(1e-9).of(lever.low_mm - 515)
    end

    it "shows the machine by itself with its pad on the stop, and where the tape goes" do
      tapes = Verglas::Scenes::Tapes.new(machine.family, { pad_above_block: 455, catch_rise: 60 })
      block, pad = tapes.length(:pad_above_block)
      expect([(pad - block).norm, tapes.length(:catch_rise).inject(:-).norm]).to eq([455.0, 60.0])
      expect(tapes.scene.part(:knee_pad).points.map(&:n).min).to eq(455)
      from, upto = tapes.travel({ pad_above_block: 1 })
      expect([(upto - from).s, (upto - from).n.positive?]).to eq([0.0, true])
    end
  end
end
