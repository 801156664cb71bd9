# frozen_string_literal: true

# The leg between a hip and a plate, and what of the plate the heels may use.
RSpec.describe Verglas::Linkages::ClosedLeg do
  def random_leg(random)
    described_class.new(
      body: random_body(random),
      trunk_deg: 100.0 + (random.rand * 80),
      plate_deg: 60.0 + (random.rand * 30),
      plate_y_mm: -150.0 + (random.rand * 100),
      sole_mm: random.rand * 40
    )
  end

  def radians(degrees) = Verglas::Geometry::Angle.radians(degrees)

  # Where the bars meet by Newton's method on their two lengths, from a start on the knees' side: nothing of the
  # formulas.
  def knee_by_lengths(ankle, thigh, shank)
    x = (ankle.s / 2) - ankle.n
    y = (ankle.n / 2) + ankle.s
    60.times do
      first = (x**2) + (y**2) - (thigh**2)
      other = ((x - ankle.s)**2) + ((y - ankle.n)**2) - (shank**2)
      a, b, c, d = [x, y, x - ankle.s, y - ankle.n].map { |slope| 2 * slope }
      determinant = (a * d) - (b * c)
      x -= ((first * d) - (b * other)) / determinant
      y -= ((a * other) - (c * first)) / determinant
    end
    [x, y]
  end

  it "lays the leg where its bars' lengths alone do, by plate and by knee bend alike" do
    random = Random.new(31)
    compared =
      200.times.count do
        leg = random_leg(random)
        state = leg.at_bend(20.0 + (random.rand * 90), random.rand * 300) or next
        expect(knee_by_lengths(state.ankle, leg.body.thigh, leg.body.shank)).to match(
          [be_within(1e-6).of(state.knee.s), be_within(1e-6).of(state.knee.n)]
        )
        again = leg.at_plate(state.x_mm, leg.heel_for(state.ankle.n))
        expect([again.knee_bend_deg, again.thigh_deg]).to match(
          [be_within(1e-6).of(state.knee_bend_deg), be_within(1e-6).of(state.thigh_deg)]
        )
      end
    expect(compared).to be > 120
  end

  it "closes: knee bend is hip bend, ankle bend and what trunk and plate leave, whatever the lengths" do
    random = Random.new(32)
    legs = Array.new(100) { [random_leg(random), 20.0 + (random.rand * 90), random.rand * 300] }
    sums =
      legs.filter_map do |leg, bend, heel|
        state = leg.at_bend(bend, heel)
        state && leg.trunk_deg > state.thigh_deg &&
          (state.hip_bend_deg + state.ankle_bend_deg + leg.trunk_deg - leg.plate_deg - 90 - bend)
      end
    expect(sums.size).to be > 60
    expect(sums).to all(be_within(1e-9).of(0))
  end

  it "has the lever arms that virtual work asks for: a push along the rail does what its joints' torques do" do
    random = Random.new(33)
    works =
      Array
        .new(100) { [random_leg(random), 30.0 + (random.rand * 70), random.rand * 250] }
        .filter_map do |leg, bend, heel|
          state = leg.at_bend(bend, heel) or next
          below, above = [-0.01, 0.01].map { |step| leg.at_plate(state.x_mm + step, heel) }
          knee, thigh = %i[knee_bend_deg thigh_deg].map { |angle| radians(above[angle] - below[angle]) / 0.02 }
          ankle_lever = state.middle_of_foot.n - state.ankle.n
          (state.hip_lever_mm * thigh) + (state.knee_lever_mm * knee) + (ankle_lever * (knee - thigh))
        end
    expect(works.size).to be > 60
    expect(works).to all(be_within(1e-4).of(-1))
  end

  it "has no place for a leg that is too short, nor for a bend that no plate gives" do
    leg =
      described_class.new(
        body: Worked.body("small"),
        trunk_deg: 110.0,
        plate_deg: 75.0,
        plate_y_mm: -100.0,
        sole_mm: 25
      )
    expect(leg.at_plate(2000.0, 100.0)).to be_nil
    expect(leg.at_bend(160.0, 550.0)).to be_nil
  end
end

RSpec.describe Verglas::Linkages::FootWindow do
  def limits(hip: 115.0, ankle: 30.0, knee: nil, toes: :up_to)
    described_class::Limits.new(hip_bend_deg: hip, ankle_bend_deg: ankle, knee_bend_deg: knee, toes: toes)
  end

  def leg(body, trunk: 120.0, plate: 75.0, low: -130.0)
    Verglas::Linkages::ClosedLeg.new(body: body, trunk_deg: trunk, plate_deg: plate, plate_y_mm: low, sole_mm: 25.0)
  end

  def window(leg, limits, target: 90.0, length: 560.0)
    described_class.new(leg, limits: limits, plate_length_mm: length, target_deg: target)
  end

  # Heights of the heel at which the wanted bend itself is within hip and ankle, by trying each.
  def scanned(leg, limits, cap, target: 90.0, length: 560.0)
    (0..(length - leg.body.foot).floor).select do |heel|
      state = leg.at_bend(target, heel.to_f)
      state && state.hip_bend_deg <= limits.hip_bend_deg && state.ankle_bend_deg <= cap
    end
  end

  it "is what a scan of the plate finds, on random people" do
    random = Random.new(34)
    found =
      Array.new(200) do
        one =
          leg(
            random_body(random),
            trunk: 105.0 + (random.rand * 25),
            plate: 68.0 + (random.rand * 14),
            low: -150.0 + (random.rand * 60)
          )
        limit =
          limits(
            hip: 95.0 + (random.rand * 30),
            ankle: 12.0 + (random.rand * 20),
            toes: %i[over up_to past].sample(random: random)
          )
        [window(one, limit), scanned(one, limit, window(one, limit).cap_deg)]
      end
    open, closed = found.partition { |_, heels| heels.any? }
    expect([open.size, closed.size].min).to be > 25
    open.each do |window, heels|
      expect([window.low_mm, window.high_mm]).to match([be_within(1).of(heels.first), be_within(1).of(heels.last)])
    end
    expect(closed.map(&:first)).to all(satisfy { |window| window.empty? || window.high_mm - window.low_mm < 1 })
  end

  it "tells the depth that is missing: with so much more recline the wanted depth is there" do
    tight = leg(Worked.body("middle"), trunk: 105.0)
    found = window(tight, limits)
    expect(found.empty_by).to eq(%i[hip toes])
    opened = window(leg(Worked.body("middle"), trunk: 105.0 + found.deficit_deg), limits)
    expect([opened.empty?, opened.high_mm - opened.low_mm]).to match([false, be_within(1e-6).of(0)])
  end

  it "says that the plate leaves nothing, and uses its nearer edge" do
    above = window(leg(Worked.body("middle"), low: -600.0), limits)
    expect([above.empty_by, above.heel_mm]).to match([[:plate], be_within(1e-9).of(560 - Worked.body("middle").foot)])
  end

  it "says so of a plate shorter than the foot, too" do
    short = window(leg(Worked.body("tall")), limits, length: 200.0)
    expect([short.empty_by, short.heel_mm]).to eq([[:plate], 0.0])
  end

  it "turns back where the first limit comes, which a scan of bends finds too" do
    random = Random.new(35)
    bottoms =
      Array.new(60) do
        one = leg(random_body(random), trunk: 105.0 + (random.rand * 25))
        limit = limits(hip: 90.0 + (random.rand * 30), knee: random.rand < 0.3 ? 80.0 : nil)
        found = window(one, limit, target: 120.0)
        heel = random.rand * 250
        bends =
          (50..(found.target_deg * 10))
            .map { |tenths| tenths / 10.0 }
            .take_while do |bend|
              state = one.at_bend(bend, heel)
              state && state.hip_bend_deg <= limit.hip_bend_deg + 1e-9 && state.ankle_bend_deg <= found.cap_deg + 1e-9
            end
        [found.bottom(heel), bends.last]
      end
    bottoms.each { |bottom, last| expect(bottom&.state&.knee_bend_deg).to(last ? be_within(0.11).of(last) : be_nil) }
    expect(bottoms.map { |bottom, _| bottom&.by }.uniq).to include(:hip, :toes)
  end

  # Which limits are passed so much deeper than the bottom.
  def passed(one, limit, cap, bottom, heel, deeper_deg)
    deeper = one.at_bend(bottom.bend_deg + deeper_deg, heel) or return [:reach]
    [(:hip if deeper.hip_bend_deg > limit.hip_bend_deg), (:ankle if deeper.ankle_bend_deg > cap)].compact
  end

  it "names the limit that is passed there, but the pelvis where it starts to roll within a degree" do
    random = Random.new(36)
    told =
      Array
        .new(400) do
          one =
            leg(
              random_body(random),
              trunk: 95.0 + (random.rand * 40),
              plate: 50.0 + (random.rand * 50),
              low: -500.0 + (random.rand * 600)
            )
          limit = limits(hip: 80.0 + (random.rand * 80), ankle: 10.0 + (random.rand * 70), toes: :past)
          found = window(one, limit, target: 150.0)
          heel = random.rand * 250
          bottom = found.bottom(heel)
          if bottom && bottom.by != :target
            [bottom.by, *[1e-4, 1].map { |deg| passed(one, limit, found.cap_deg, bottom, heel, deg) }]
          end
        end
        .compact
    expect(told).to all(satisfy { |by, here, deeper| deeper.include?(:hip) ? by == :hip : here == [by] })
    expect(told.map(&:first).tally).to include(hip: be > 20, ankle: be > 20)
  end

  it "tells the pelvis where the knees come past the toes a little before it rolls, and the toes where they do so " \
       "long before" do
    tight = leg(Worked.body("middle"), trunk: 105.0)
    found = window(tight, limits)
    near, far = [1, 40].map { |lower| found.bottom(found.heel_mm - lower) }
    expect([near, far].map(&:by)).to eq(%i[hip toes])
    expect([near, far].map { |bottom| found.cap_deg - bottom.state.ankle_bend_deg }).to all(be_within(1e-6).of(0))
    expect([near, far].map { |bottom| 115 - bottom.state.hip_bend_deg }).to match([be_between(1e-3, 1), be > 3])
  end

  describe "worked examples" do
    data = JSON.parse(File.read(File.join(Worked::FOLDER, "closed_legs.json")))["examples"]

    def leg_of(example)
      body = Worked.body(example["body"])
      at = example["at"]
      hip_up = at.key?("seat_angle") ? hip_over_corner(body, at) : body.hip_depth
      Verglas::Linkages::ClosedLeg.new(
        body: body,
        trunk_deg: at.fetch("trunk_angle", 180),
        plate_deg: at["plate_angle"],
        plate_y_mm: at["plate_y"] - hip_up,
        sole_mm: example["sole"]
      )
    end

    def hip_over_corner(body, at)
      Verglas::Linkages::PressSeat.hip(body, trunk_deg: at["trunk_angle"], seat_deg: at["seat_angle"]).n
    end

    def told(state)
      {
        "X" => state.x_mm,
        "d" => state.reach_mm,
        "knee_bend" => state.knee_bend_deg,
        "thigh_dir" => state.thigh_deg,
        "hip_bend" => state.hip_bend_deg,
        "ankle_bend" => state.ankle_bend_deg,
        "past_toes" => state.past_toes_mm,
        "knee_lever" => state.knee_lever_mm,
        "hip_lever" => state.hip_lever_mm
      }
    end

    def close_to(numbers) = numbers.transform_values { |number| be_within(0.05).of(number) }

    data.each_with_index do |example, index|
      it "agree: #{index + 1}, #{example["machine"]}, #{example["body"]}" do
        leg = leg_of(example)
        if example.key?("knee_bend")
          state = leg.at_bend(example["knee_bend"], example["f"])
          expect(state.torques(example["force"]).transform_keys(&:to_s)).to match(close_to(example["torques"]))
        else
          given = example["limits"]
          limit =
            limits(
              hip: given.fetch("hip_bend_limit", 115.0),
              ankle: given.fetch("ankle_limit", 30.0),
              knee: given["knee_bend_limit"],
              toes: given.fetch("toes", "up_to").to_sym
            )
          found = window(leg, limit, target: example["target"], length: example["at"]["plate_length"])
          wanted = example["window"]
          state = found.bottom.state
          expect(
            "low" => found.low_mm,
            "high" => found.high_mm,
            "deficit" => found.deficit_deg,
            "heel" => found.heel_mm
          ).to match(close_to(wanted.slice("low", "high", "deficit", "heel")))
          expect((found.empty? ? found.empty_by : found.ends).map(&:to_s)).to eq(wanted["by"])
        end
        expect(told(state)).to match(close_to(example["state"]))
      end
    end
  end
end
