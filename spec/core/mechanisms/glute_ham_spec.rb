# frozen_string_literal: true

RSpec.describe Verglas::Mechanisms::GluteHam do
  let(:machine) { Worked.machine("round_pad") }

  def raise_of(body, index = 5, envelope: {}, **wishes)
    mechanics =
      Verglas::Mechanisms.for(
        machine,
        body,
        Verglas::Mechanisms::Wishes.for(machine.family, envelope: Verglas::Body::Envelope.new(envelope), **wishes)
      )
    [mechanics, mechanics.place(machine.parameters([index]))]
  end

  it "puts the knee where it is wanted, as near as the holes let it, on random people" do
    random = Random.new(5)
    { level: 0, low: -40, high: 40 }.each_value do |wanted|
      60.times do
        body = random_body(random)
        wishes = Verglas::Mechanisms::Wishes.for(machine.family, knee_over_mm: wanted)
        index = Verglas::Fitting::Solver.new(machine: machine, body: body, wishes: wishes).solutions.first.indices.first
        off =
          machine.adjusters.first.travel.map do |travel|
            (body.ankle_height + 25 + body.shank - 420 - travel - wanted).abs
          end
        expect(off[index]).to eq(off.min)
      end
    end
  end

  it "is a choice, off at worst: too far makes the back work, too near wedges" do
    bands =
      (0..10).map do |index|
        raise_of(Worked.body("tall"), index).then { |mechanics, place| mechanics.all_findings(place).first }
      end
    expect(bands.map(&:band).uniq - ["in line", "close", "off"]).to be_empty
    says =
      [0, 10].map do |index|
        raise_of(Worked.body("tall"), index).then do |mechanics, place|
          Verglas::Telling.of(mechanics, place).tell(mechanics.all_findings(place).first).code
        end
      end
    expect(says).to eq(%i[says.knee_over_pad.wedged says.knee_over_pad.back_works])
  end

  it "asks of the knees the slope of what is lifted, weight and band with it" do
    body = Worked.body("tall")
    mechanics, place = raise_of(body, mass_kg: 92.0, held_kg: 10.0, band_help_n: 100.0)
    lengths = [body.thigh, body.torso].map { |mm| mm / 1000 }
    height =
      lambda do |deg|
        (
          (0.678 * 92 * (lengths[0] + (0.575 * lengths[1]))) + (0.2 * 92 * 0.567 * lengths[0]) +
            (10 * (lengths[0] + (0.9 * lengths[1])))
        ) * Math.sin(deg * Math::PI / 180) * 9.80665
      end
    [0, 20, 55, 80].each do |deg|
      expect(mechanics.torque_nm(deg)).to be_within(0.01).of(
        ((height[deg + 0.01] - height[deg - 0.01]) / (0.02 * Math::PI / 180)) - (100 * 0.6)
      )
    end
    expect(Verglas::Scenes.of(mechanics, place).whole.curve.points.first.last).to be_within(1e-9).of(
      mechanics.torque_nm(0)
    )
  end

  it "goes no further than the knee may, at either end" do
    mechanics, = raise_of(Worked.body("middle"), envelope: { knee_flexion: [10, 80] })
    expect([mechanics.bottom_deg, mechanics.top_deg, mechanics.end_limited?]).to eq([10, 80, true])
  end

  it "begins with a band that leaves half, takes less and less of it, then none, then weight" do
    mechanics, = raise_of(Worked.body("middle"), mass_kg: 80.0)
    rungs = mechanics.rungs
    plain = mechanics.torque_nm(0)
    expect(rungs.first.top_nm).to be_within(50 * 0.6 / 2).of(plain / 2)
    expect(rungs.map(&:band_n).take_while(&:positive?).each_cons(2).map { |more, less| more - less }.uniq).to eq([50])
    expect(rungs.map(&:top_nm)).to eq(rungs.map(&:top_nm).sort)
    expect(rungs.find { |rung| rung.band_n.zero? }.top_nm).to eq(plain)
  end

  it "is drawn as it is computed" do
    mechanics, place = raise_of(Worked.body("long_legged"), 4)
    drawn = Verglas::Scenes.of(mechanics, place).whole
    over = drawn.dimensions.first
    expect([over.to.s - over.from.s, over.value]).to all(be_within(1e-6).of(mechanics.knee_over_pad_mm(place)))
    expect(drawn.part(:knee_pad).at.s).to eq(place[:plate_to_pad])
    drawn.poses.each do |pose|
      thigh = pose.parts.find { |part| part.id == :thigh }.points
      expect(Math.atan2(thigh[1].n - thigh[0].n, thigh[1].s - thigh[0].s) * 180 / Math::PI).to be_within(1e-6).of(
        pose.at_deg
      )
      expect((thigh[1] - thigh[0]).norm).to be_within(1e-6).of(452)
    end
  end
end
