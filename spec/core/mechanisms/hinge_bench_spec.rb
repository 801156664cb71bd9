# frozen_string_literal: true

RSpec.describe Verglas::Mechanisms::HingeBench do
  def bench(machine, body, indices = machine.adjusters.map { 0 }, envelope: {}, **wishes)
    mechanics =
      Verglas::Mechanisms.for(
        machine,
        body,
        Verglas::Mechanisms::Wishes.for(machine.family, envelope: Verglas::Body::Envelope.new(envelope), **wishes)
      )
    [mechanics, mechanics.place(machine.parameters(indices))]
  end

  def solved(machine, body, **given)
    wishes = Verglas::Mechanisms::Wishes.for(machine.family, **given)
    machine.marks(Verglas::Fitting::Solver.new(machine: machine, body: body, wishes: wishes).solutions.first.indices)
  end

  def findings(mechanics, place) = mechanics.all_findings(place).to_h { |finding| [finding.code, finding] }

  # A bench of either kind with marks so far apart as only some makers put them.
  def random_bench(random)
    name, low = [["pad_and_angle", 20], ["level_pad", 30]].sample(random: random)
    pitch = 12 + (random.rand * 45)
    machine = Worked.machine(name)
    pad = machine.adjuster(machine.adjusters.first.label)
    count = 4 + random.rand(8)
    moved = pad.with(marks: (1..count).map(&:to_s), travel: (0...count).map { |mark| mark * pitch })
    [
      machine.with(
        constants: {
          **machine.constants,
          pad_top: 620.0 + (random.rand * 200)
        },
        adjusters: [moved, *machine.adjusters.drop(1)]
      ),
      low
    ]
  end

  it "takes the smallest gap that is not too small, the largest where all are, on random people and benches" do
    random = Random.new(12)
    300.times do
      body = random_body(random)
      machine, low = random_bench(random)
      crease = body.ankle_height + 25 + body.shank + body.thigh
      gaps = machine.adjusters.first.travel.map { |travel| crease - machine.constants[:pad_top] - travel }
      # nothing but much too free, or too small
      next if gaps.any? { |gap| gap > 120 } && gaps.none? { |gap| gap.between?(low, 120) }

      wanted = gaps.select { |gap| gap >= low }.min || gaps.max
      chosen = solved(machine, body)
      expect(gaps[machine.adjusters.first.index(chosen[machine.adjusters.first.label])]).to eq(wanted), body.to_h.to_s
    end
  end

  it "sets a long leg and a short one of one stature at different marks" do
    machine = Worked.machine("pad_and_angle")
    expect(
      [solved(machine, Worked.body("middle")), solved(machine, Worked.body("long_legged"))].map { |marks| marks["pad"] }
    ).to eq(%w[5 8])
  end

  it "says of two holes which one, and why" do
    machine = Worked.machine("pad_and_angle")
    says =
      lambda do |gap, pitch|
        pads = machine.adjusters.first.with(marks: %w[1 2 3], travel: [0, pitch, 2 * pitch])
        mechanics, place =
          bench(
            machine.with(constants: { **machine.constants, pad_top: 926 - gap }, adjusters: [pads]),
            Worked.body("middle")
          )
        Verglas::Formats::Words.of(Verglas::Telling.of(mechanics, place).tell(findings(mechanics, place)[:hip_gap]))
      end
    expect(says[41, 25]).to eq("Hip 41 mm above the pad. The next hole leaves only 16 mm.")
    expect(says[24, 30]).to end_with("At the next hole the pad blocks it.")
    expect(says[48, 20]).to end_with("the pelvis turns freely.")
  end

  it "rather stands a little low than where the thighs carry it all" do
    machine = Worked.machine("level_pad")
    wide = machine.with(adjusters: [machine.adjusters.first.with(marks: %w[1 2], travel: [0.0, 400.0])])
    gaps = ->(body) do
      wide.adjusters.first.travel.map { |travel| body.ankle_height + 25 + body.shank + body.thigh - 520 - travel }
    end
    expect(gaps[Worked.body("middle")]).to match([be_within(0.1).of(406), be_within(0.1).of(6)])
    expect(solved(wide, Worked.body("middle"))).to eq({ "plate" => "2" })
  end

  it "counts from a heel roller where the pad was taped from one" do
    machine = Worked.machine("level_pad")
    held = machine.with(constants: { **machine.constants, heel_roller: 40 })
    plain, lower =
      [machine, held].map do |one|
        bench(one, Worked.body("middle")).then { |mechanics, place| mechanics.crease_mm(place) }
      end
    expect(plain - lower).to eq(40)
  end

  it "grades what blocks and what carries as faults, however it is wanted" do
    machine = Worked.machine("pad_and_angle")
    at = ->(gap) do
      findings(*bench(machine.with(constants: { **machine.constants, pad_top: 926 - gap }), Worked.body("middle")))[
        :hip_gap
      ]
    end
    expect([-1, 0, 19.9, 20, 50, 50.1, 80, 80.1, 120, 120.5].map { |gap| at[gap].band }).to eq(
      ["fault", "close", "close", "in line", "in line", "close", "close", "off", "off", "fault"]
    )
    expect([at[-1], at[120.5]].map(&:fault)).to eq(%i[pad_blocks_hip thighs_carry_all])
  end

  it "asks at the top of 60 degrees 0.58 of what 30 asks, with weight and without, and most with the trunk level" do
    machine = Worked.machine("pad_and_angle")
    [{}, { held_kg: 10.0 }].each do |held|
      tops =
        [0, 2].map do |mark|
          bench(machine, Worked.body("middle"), [4, mark], mass_kg: 80.0, **held).then do |mechanics, place|
            mechanics.top_nm(place)
          end
        end
      expect(tops.last / tops.first).to be_within(0.005).of(0.58)
    end
    mechanics, place = bench(machine, Worked.body("middle"), [4, 1], mass_kg: 80.0)
    expect(mechanics.most_nm(place)).to eq(mechanics.torque_nm(0.0))
    expect(
      (0..20).map { |step| mechanics.torque_nm(mechanics.trunk_deg(place, mechanics.bend_at(place, step / 20.0))) }.max
    ).to be <= mechanics.most_nm(place)
  end

  it "takes a stature's usual mass where nobody weighed the client, and says so" do
    mechanics, place = bench(Worked.machine("level_pad"), Worked.body("middle"))
    expect(
      [mechanics.mass_kg, mechanics.weighed?, Verglas::Scenes.of(mechanics, place).whole.curve.estimated]
    ).to match([be_within(1e-9).of(24 * (1.7**2)), false, true])
  end

  it "turns where the client can, ends straight or before, and never asks further" do
    machine = Worked.machine("pad_and_angle")
    ends = ->(**given) do
      bench(machine, Worked.body("middle"), [4, 1], **given).then do |mechanics, place|
        [mechanics.bottom_deg(place), mechanics.top_deg]
      end
    end
    expect(ends.call).to eq([70, 0])
    expect(ends.call(envelope: { hip_hinge: [nil, 55], hip_extension: [nil, -12] })).to eq([55, 12])
    expect(ends.call(envelope: { hip_flexion: [nil, 60], hip_extension: [nil, 15] })).to eq([60, 0])
    expect(ends.call(bottom_deg: 40.0)).to eq([40, 0])
    level, place = bench(Worked.machine("level_pad"), Worked.body("middle"), bottom_bend_deg: 110.0)
    expect(level.bottom_deg(place)).to eq(85)
  end

  it "calls a bottom past the client's own, and a bench too flat for a caution, faults that are never accepted" do
    machine = Worked.machine("pad_and_angle")
    deep =
      findings(*bench(machine, Worked.body("middle"), [4, 1], envelope: { hip_hinge: [nil, 55] }, bottom_deg: 60.0))
    flat = findings(*bench(machine, Worked.body("middle"), [4, 0], least_angle_deg: 45.0))
    expect([deep[:hinge_bottom].fault, flat[:bench_slope].fault]).to eq(%i[past_own_bend too_flat])
    expect(machine.family.findings.values_at(:hinge_bottom, :bench_slope).map(&:never)).to eq(
      [[:past_own_bend], [:too_flat]]
    )
    expect(solved(machine, Worked.body("middle"), least_angle_deg: 45.0, angle_deg: 30.0)["angle"]).to eq("45")
    expect(solved(machine, Worked.body("middle"))["angle"]).to eq("60")
  end

  it "is drawn as it is computed: the crease, the gap, the trunk at both ends and all along" do
    random = Random.new(3)
    [["pad_and_angle", [5, 2]], ["level_pad", [16]]].each do |name, indices|
      body = random_body(random)
      mechanics, place = bench(Worked.machine(name), body, indices, bottom_deg: 64.0)
      drawn = Verglas::Scenes.of(mechanics, place).whole
      trunk = ->(points) { (points.last - points.first).then { |way| Math.atan2(way.n, way.s) * 180 / Math::PI } }
      hip = drawn.part(:hip).at
      expect([hip.norm, Math.atan2(hip.n, hip.s) * 180 / Math::PI]).to match(
        [be_within(1e-6).of(mechanics.crease_mm(place)), be_within(1e-6).of(mechanics.bench_deg(place))]
      )
      gap = drawn.dimensions.find { |one| one.of == :hip_gap }
      expect([(gap.to - gap.from).norm, gap.value.abs]).to all(be_within(1e-6).of(mechanics.gap_mm(place).abs))
      expect(trunk[drawn.part(:trunk).points]).to be_within(1e-6).of(mechanics.bench_deg(place) - 64)
      expect(trunk[drawn.part(:trunk_at_top).points]).to be_within(1e-6).of(mechanics.bench_deg(place))
      drawn.poses.each do |pose|
        expect(trunk[pose.parts.find { |part| part.id == :trunk }.points]).to be_within(1e-6).of(pose.at_deg)
      end
    end
  end

  it "draws the effort as the slope of what is lifted, and the tops of 30, 45 and 60 side by side" do
    mechanics, place =
      bench(Worked.machine("pad_and_angle"), Worked.body("middle"), [4, 1], mass_kg: 80.0, held_kg: 10.0)
    curve = Verglas::Scenes.of(mechanics, place).whole.curve
    torso = Worked.body("middle").torso / 1000
    height = ->(deg, held) { ((0.678 * 80 * 0.575) + (held * 0.9)) * torso * Math.sin(deg * Math::PI / 180) * 9.80665 }
    slope = ->(deg, held) { (height[deg + 0.01, held] - height[deg - 0.01, held]) / (0.02 * Math::PI / 180) }
    curve.points.each { |deg, nm| expect(nm).to be_within(0.01).of(slope[deg, 10]) }
    curve.plain.each { |deg, nm| expect(nm).to be_within(0.01).of(slope[deg, 0]) }
    expect(curve.tops.map { |top| [top.deg, top.nm.round, top.own] }).to contain_exactly(
      [30, 167, false],
      [60, 96, false],
      [45, 136, true]
    )
  end

  it "has rungs from the steepest bench to the flattest, then weights; on a level one body weight, then weights" do
    angled, = bench(Worked.machine("pad_and_angle"), Worked.body("middle"), [4, 1], mass_kg: 80.0)
    level, = bench(Worked.machine("level_pad"), Worked.body("middle"), [12], mass_kg: 80.0)
    expect(angled.rungs.map { |rung| [rung.deg, rung.held_kg] }).to eq(
      [[60, 0], [45, 0], [30, 0], [30, 5], [30, 10], [30, 15], [30, 20]]
    )
    expect(level.rungs.map(&:held_kg)).to eq([0, 5, 10, 15, 20])
    [angled, level].each { |mechanics| expect(mechanics.rungs.map(&:top_nm)).to eq(mechanics.rungs.map(&:top_nm).sort) }
    steep, = bench(Worked.machine("pad_and_angle"), Worked.body("middle"), [4, 1], least_angle_deg: 45.0)
    expect(steep.rungs.map(&:deg)).to eq([60, 45, 45, 45, 45, 45])
  end
end
