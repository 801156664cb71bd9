# frozen_string_literal: true

RSpec.describe Verglas::Mechanisms::CalfPress do
  def calf(name, exercise: "calf", body: Worked.body("middle"), indices: nil, envelope: {}, **wishes)
    machine = Verglas::Machines::Reader.read(Worked::MACHINES.fetch(name), exercise: exercise)
    aims = { **machine.family.emphasis&.wishes.to_h, **wishes }
    limits = Verglas::Body::Envelope.new(envelope)
    mechanics =
      Verglas::Mechanisms.for(machine, body, Verglas::Mechanisms::Wishes.for(machine.family, envelope: limits, **aims))
    [mechanics, mechanics.place(machine.parameters(indices || machine.adjusters.map { 0 }))]
  end

  def fault(mechanics, place) = mechanics.all_findings(place).find { |one| one.code == :calf_slack }.fault

  # The angle at b (degrees) between two points.
  def angle(first, at, last)
    one, other = [first - at, last - at].map(&:unit)
    Math.acos(one.dot(other).clamp(-1, 1)) * 180 / Math::PI
  end

  # Of the picture's own joints, by nothing but where they lie.
  it "keeps knees, thighs and shins as they are while the foot turns about its ball on the plate's edge" do
    random = Random.new(5)
    60.times do
      mechanics, place = calf("incline_sled", body: random_body(random), indices: [random.rand(3), random.rand(4)])
      body = mechanics.body
      [0.0, random.rand, 1.0].each do |share|
        state = mechanics.along(place, share)
        origin = Verglas::Geometry::Point.new(0, 0)
        expect(state.ball.n).to be_within(1e-9).of(mechanics.leg(place).plate_y_mm)
        expect(state.knee.norm).to be_within(1e-6).of(body.thigh)
        expect((state.ankle - state.knee).norm).to be_within(1e-6).of(body.shank)
        expect(180 - angle(origin, state.knee, state.ankle)).to be_within(1e-6).of(5)
        expect((state.ankle - state.ball).norm).to be_within(1e-6).of(
          Math.hypot(0.55 * body.foot, body.ankle_height + 25)
        )
        # Between shin and sole: a right angle is no bend.
        sole = state.ankle + state.toes_along
        expect(90 - angle(state.knee, state.ankle, sole)).to be_within(1e-6).of(state.ankle_bend_deg)
      end
    end
  end

  it "lets the heels down as far as they may go and no further than the ankle bends, and up from there" do
    random = Random.new(6)
    40.times do
      limit = 2.0 + (random.rand * 20)
      mechanics, place =
        calf(
          "incline_sled",
          body: random_body(random),
          indices: [random.rand(3), 0],
          heel_drop_deg: 15.0,
          ankle_limit_deg: limit
        )
      drops = (-3000..1500).map { |hundredths| hundredths / 100.0 }
      allowed = drops.select { |drop| mechanics.send(:posed, place, drop).ankle_bend_deg <= limit + 1e-6 }
      expect(mechanics.heel_drop_deg(place)).to be_within(0.011).of(allowed.max)
      expect(mechanics.heels_up_deg(place)).to be_within(1e-6).of(-30)
      expect(mechanics.range_left_deg(place)).to be_within(1e-6).of(mechanics.heel_drop_deg(place) + 30)
    end
  end

  it "bends the knees a little where it is done for the deeper muscle, and ten degrees for loose joints" do
    bends =
      [{}, { exercise: "calf_knees_bent" }, { envelope: { knee_flexion: [10, nil] } }].map do |given|
        mechanics, place = calf("seat_on_rail", **given)
        mechanics.turning(place).knee_bend_deg
      end
    expect(bends).to eq([5, 20, 10])
  end

  it "comes nearer to its stop with the heels down, and with the knees bent" do
    slack = ->(**given) { calf("incline_sled", **given).then { |mechanics, place| mechanics.slack_mm(place) } }
    expect(slack.call(heel_drop_deg: 10)).to be < slack.call(heel_drop_deg: 0)
    expect(slack.call(exercise: "calf_knees_bent")).to be < slack.call
    marks = [0, 1, 2, 3].map { |stop| slack.call(indices: [0, stop]) }
    expect(marks).to eq(marks.sort.reverse)
  end

  it "faults a stop that lets whole feet bend the hips past a limit, an edge that is out of reach, a flat back" do
    mechanics, place = calf("incline_sled", indices: [2, 3])
    hard = { envelope: { hip_flexion: [nil, mechanics.stopped(place).hip_bend_deg - 1] } }
    stopped = [fault(mechanics, place), fault(*calf("incline_sled", indices: [2, 3], **hard))]
    expect(stopped).to eq([nil, :past_hip_limit])
    data = Worked::MACHINES.fetch("incline_sled")
    data = data.merge("constants" => data["constants"].merge("plate_y" => 800))
    machine = Verglas::Machines::Reader.read(data, exercise: "calf")
    body = Verglas::Body::Dimensions.from(Worked.body("small").to_h.merge(shank: 300, thigh: 300))
    there = Verglas::Mechanisms.for(machine, body, Worked.wishes(machine))
    expect(fault(there, there.place(machine.parameters([2, 3])))).to eq(:edge_out_of_reach)
    expect(fault(*calf("incline_sled", indices: [2, 3], upright: 1))).to eq(:not_upright)
  end

  it "asks the ankle for the force times how far the ankle lies off the line of the ball" do
    mechanics, place = calf("seat_on_rail")
    state = mechanics.top(place)
    # Virtual work: by a small turn of the foot with the knee held the plate moves with the ankle's turn and the hip's.
    near = mechanics.send(:posed, place, state.drop_deg + 0.001)
    radians = Math::PI / 180
    moved = near.x_mm - state.x_mm
    hips = (near.hip_bend_deg - state.hip_bend_deg) * radians
    ankles = (near.ankle_bend_deg - state.ankle_bend_deg) * radians
    expect(moved).to be_within(1e-4).of(-(state.ankle_lever_mm * ankles) - (state.ball.n * hips))
  end
end
