# frozen_string_literal: true

RSpec.describe Verglas::Mechanisms::SeatedHip do
  def seat(machine, body, indices, envelope: {}, **wishes)
    mechanics =
      Verglas::Mechanisms.for(
        machine,
        body,
        Verglas::Mechanisms::Wishes.for(machine.family, envelope: Verglas::Body::Envelope.new(envelope), **wishes)
      )
    [mechanics, mechanics.place(machine.parameters(indices))]
  end

  def random_indices(machine, random) = machine.adjusters.map { |adjuster| random.rand(adjuster.size) }

  # How far a point lies to the left of a line from the hip that points so far outwards (mm; n grows to the middle).
  def off_the_thigh(point, hip, deg)
    along = [Math.cos(deg * Math::PI / 180), -Math.sin(deg * Math::PI / 180)]
    across = (along[0] * (point.n - hip.n)) - (along[1] * (point.s - hip.s))
    [across, (along[0] * (point.s - hip.s)) + (along[1] * (point.n - hip.n))]
  end

  %w[arms_turned_out arms_turned_in].each do |name|
    it "lets the pad of #{name} touch the thigh where a scan in hundredths of a degree finds it, on random people" do
      random = Random.new(7)
      machine = Worked.machine(name)
      40.times do
        body = random_body(random)
        mechanics, place = seat(machine, body, random_indices(machine, random))
        contact = mechanics.contact(place, mechanics.arm_along(place, random.rand))
        wanted = mechanics.clearance_mm(place)
        found =
          (-9000..9000)
            .map { |hundredth| hundredth / 100.0 }
            .min_by do |deg|
              across, along = off_the_thigh(contact.roller, place.joint, deg)
              along.negative? ? Float::INFINITY : ((across * mechanics.side) - wanted).abs
            end
        expect(contact.shin_deg).to be_within(0.011).of(found)
        expect(contact.contact_mm).to be_within(0.2).of(off_the_thigh(contact.roller, place.joint, found).last)
        expect(mechanics.arm_at(contact.shin_deg, place)).to be_within(1e-6).of(contact.roller.angle_deg)
      end
    end
  end

  it "has no creep and no change of effort with the hip on the pivot, and the thighs turn as the arms do" do
    machine = Worked.machine("arms_turned_out")
    body = Worked.body("middle")
    on_pivot =
      machine.with(
        constants: {
          **machine.constants,
          back_face: -body.hip_depth,
          pivot_half_width: 0.052 * body.stature
        }
      )
    mechanics, place = seat(on_pivot, body, [1, 0])
    numbers = mechanics.quantities(place)
    expect(numbers.values_at(:hip_offset_mm, :creep_mm)).to all(be_within(1e-9).of(0))
    expect(numbers.values_at(:torque_ratio_start, :torque_ratio_end)).to all(be_within(1e-9).of(1))
    expect(numbers[:thigh_end_deg] - numbers[:thigh_start_deg]).to be_within(1e-9).of(
      place[:end_angle] - place[:start_angle]
    )
  end

  it "starts an abduction nearest to thighs side by side, an adduction as wide as is comfortable and no wider" do
    random = Random.new(9)
    { "arms_turned_out" => nil, "arms_turned_in" => 45.0 }.each do |name, limit|
      machine = Worked.machine(name)
      60.times do
        body = random_body(random)
        given = limit ? { spread_limit_deg: limit } : {}
        wishes = Verglas::Mechanisms::Wishes.for(machine.family, **given)
        indices = Verglas::Fitting::Solver.new(machine: machine, body: body, wishes: wishes).solutions.first.indices
        start = machine.adjusters.index { |adjuster| adjuster.label == "start" }
        starts =
          machine.adjusters[start].marks.each_index.map do |mark|
            mechanics, place = seat(machine, body, indices.dup.tap { |copy| copy[start] = mark }, **given)
            mechanics.quantities(place)[:thigh_start_deg]
          end
        wanted = limit ? starts.select { |deg| deg <= limit - 5 }.max : starts.min_by(&:abs)
        expect(starts[indices[start]]).to eq(wanted)
      end
    end
  end

  it "holds an adduction's start at 25 degrees until the spread was measured, and crosses the middle only where " \
       "that was" do
    machine = Worked.machine("arms_turned_in")
    body = Worked.body("middle")
    targets = ->(**given) do
      seat(machine, body, [1, 3], **given).first.then do |mechanics|
        [mechanics.start_target_deg, mechanics.spread_at_most_deg, mechanics.end_target_deg]
      end
    end
    expect(targets.call).to eq([25, 25, 0])
    expect(targets.call(spread_limit_deg: 45.0, past_middle_deg: 12.0)).to eq([40, 45, -12])
    expect(
      targets.call(
        spread_limit_deg: 45.0,
        past_middle_deg: 12.0,
        envelope: {
          hip_abduction: [nil, 25],
          hip_adduction: [nil, 0]
        }
      )
    ).to eq([20, 25, 0])
  end

  it "calls a start past the client's own spread, and one past the middle where that is forbidden, faults that are " \
       "never accepted" do
    fault =
      lambda do |name, indices, **given|
        mechanics, place = seat(Worked.machine(name), Worked.body("middle"), indices, **given)
        mechanics.all_findings(place).find { |one| one.code == :spread_start }
      end
    starts = (0..7).map { |mark| fault["arms_turned_in", [mark, 1]] }
    expect(starts.partition { |one| one.value > 25 }.map { |list| list.map(&:fault).uniq }).to eq(
      [[:past_own_spread], [nil]]
    )
    near =
      (0..7)
        .map { |mark| fault["arms_turned_in", [mark, 1], spread_limit_deg: 40.0] }
        .select { |one| one.value.between?(35, 40) }
    expect(near.map(&:band)).to all(eq("off"))
    expect(
      [fault["arms_turned_out", [0, 0], envelope: { hip_adduction: [nil, 0] }], fault["arms_turned_out", [0, 0]]].map(
        &:fault
      )
    ).to eq([:past_middle, nil])
    expect(Verglas::Machines::Families.fetch(:adduction).findings[:spread_start].never).to eq(
      %i[past_own_spread past_middle]
    )
  end

  it "lays the thighs level with a rest under the feet or a cushion on the seat" do
    machine = Worked.machine("arms_turned_out")
    slope = ->(body, **given) do
      seat(machine, Worked.body(body), [0, 0], **given).then { |mechanics, place| mechanics.thigh_slope_deg(place) }
    end
    expect([slope["small"], slope["middle"], slope["tall"]]).to match(
      [be_within(0.01).of(-7.11), be_within(0.01).of(0.15), be_within(0.01).of(7.13)]
    )
    expect(slope["small", foot_rest_mm: 45.5]).to be_within(0.01).of(0)
    expect(slope["tall", cushion_seat_mm: 59.3]).to be_within(0.01).of(0)
    advice =
      Verglas::Fitting::Advice.new(
        machine: machine,
        estimate: Worked.exact("small"),
        wishes: Worked.wishes(machine),
        choices: Verglas::Fitting::Choices.new(sizes: { foot_rest_mm: [20, 40] })
      )
    expect(advice.wishes[:foot_rest_mm]).to eq(20)
  end

  it "is drawn as it is computed, both legs alike: hips, pivots, and pads that touch the thighs" do
    %w[arms_turned_out arms_turned_in].each do |name|
      mechanics, place = seat(Worked.machine(name), Worked.body("long_legged"), [2, 1])
      drawn = Verglas::Scenes.of(mechanics, place).whole
      target = drawn.targets.first
      expect([target.joint.s - target.at.s, target.joint.n - target.at.n]).to match(
        [be_within(1e-9).of(place.joint.s), be_within(1e-9).of(place.joint.n * mechanics.up)]
      )
      %i[left right].each do |side|
        hip, knee = drawn.part(:"thigh_#{side}").points
        pad = drawn.part(:"pad_#{side}").at
        across = (knee - hip).unit.front.dot(pad - hip).abs
        expect(across).to be_within(1e-6).of(mechanics.clearance_mm(place))
        expect((knee - hip).norm).to be_within(1e-6).of(452)
      end
      expect(drawn.part(:thigh_left).points.map(&:s)).to eq(drawn.part(:thigh_right).points.map(&:s))
      expect(drawn.floor).to be_nil
    end
  end
end
