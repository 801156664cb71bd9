# frozen_string_literal: true

RSpec.describe Verglas::Mechanisms::Rail do
  def rail(
    name,
    body: Worked.body("middle"),
    envelope: Verglas::Body::Envelope.open,
    hard: envelope,
    indices: nil,
    **wishes
  )
    machine = Worked.machine(name)
    mechanics =
      Verglas::Mechanisms.for(
        machine,
        body,
        Verglas::Mechanisms::Wishes.for(machine.family, envelope: envelope, hard: hard, **wishes)
      )
    [mechanics, mechanics.place(machine.parameters(indices || machine.adjusters.map { 0 }))]
  end

  def finding(mechanics, place, code) = mechanics.all_findings(place).find { |one| one.code == code }
  def hip_to(deg) = Verglas::Body::Envelope.new({ hip_flexion: [nil, deg] })

  it "lets a stop ten degrees past what was only measured, and not one past a caution's or a clinician's word" do
    _, place = both = rail("incline_sled", indices: [2, 2], foot_mm: 185.0)
    deg = both.first.stopped(place).hip_bend_deg
    limit = hip_to(deg - 5)
    fault = ->(**given) do
      rail("incline_sled", indices: [2, 2], foot_mm: 185.0, envelope: limit, **given).then do |mechanics, at|
        finding(mechanics, at, :stop_slack).fault
      end
    end
    expect([fault.call(hard: Verglas::Body::Envelope.open), fault.call(hard: limit), fault.call]).to eq(
      [nil, :past_hip_limit, :past_hip_limit]
    )
    eleven =
      rail(
        "incline_sled",
        indices: [2, 2],
        foot_mm: 185.0,
        envelope: hip_to(deg - 11),
        hard: Verglas::Body::Envelope.open
      )
    expect(finding(*eleven, :stop_slack).fault).to eq(:past_hip_limit)
  end

  it "wants a stop where its slack is the target's, on random people" do
    random = Random.new(4)
    60.times do
      mechanics, place = rail("incline_sled", body: random_body(random), indices: [random.rand(3), random.rand(4)])
      there = mechanics.place(place.parameters.merge(stop_x: mechanics.required(:stop, place)))
      expect(mechanics.slack_mm(there)).to be_within(1e-6).of(35)
    end
  end

  it "shows at the bottom what a scan in hundredths of a degree finds, whatever the limits, on random people" do
    random = Random.new(8)
    40.times do
      limits = {
        hip_limit_deg: 85.0 + (random.rand * 40),
        ankle_limit_deg: 5.0 + (random.rand * 30),
        toes: random.rand(3),
        target_bend_deg: 60.0 + (random.rand * 60),
        foot_mm: random.rand * 280
      }
      mechanics, place = rail("incline_sled", body: random_body(random), indices: [random.rand(3), 0], **limits)
      expect(mechanics.bottom(place).state.knee_bend_deg).to be_within(0.02).of(scanned(mechanics, place, limits)),
      limits.to_s
    end
  end

  def scanned(mechanics, place, limits)
    leg = mechanics.leg(place)
    cap = [limits[:ankle_limit_deg], { 0 => 0.0, 1 => leg.toes_bend_deg }[limits[:toes]]].compact.min
    free =
      lambda do |bend|
        state = leg.at_bend(bend, limits[:foot_mm])
        state && state.hip_bend_deg <= limits[:hip_limit_deg] && state.ankle_bend_deg <= cap + 1e-9
      end
    # The limits are asked at every whole degree, and the one after the last is looked at finely.
    last = (5..limits[:target_bend_deg].floor).take_while { |bend| free.call(bend.to_f) }.last or return 5
    (0..100)
      .map { |part| last + (part / 100.0) }
      .take_while { |bend| bend <= limits[:target_bend_deg] && free.call(bend) }
      .last
  end

  # Each part's points, at a pose or in the picture itself.
  def points_of(parts) = parts.to_h { |part| [part.id, part.points] }

  def expect_same_points(shown, drawn) = shown.zip(drawn).each { |one, other| expect((one - other).norm).to be < 1e-6 }

  %w[incline_sled seat_on_rail shoulder_sled].each do |name|
    it "moves #{name} from the bottom as it is drawn to the top as it is drawn, foot and hip keeping to what they " \
         "lie on, on random people" do
      random = Random.new(12)
      20.times do
        mechanics, place = rail(name, body: random_body(random))
        drawn = points_of((scene = Verglas::Scenes.of(mechanics, place).whole).parts)
        poses = scene.poses.map { |pose| points_of(pose.parts) }
        poses.first.each { |id, points| expect_same_points(points, drawn.fetch(id)) }
        %i[plate thigh shin foot].each { |id| expect_same_points(poses.last[id], drawn.fetch(:"#{id}_at_top")) }
        gaps =
          poses.map do |pose|
            [
              pose[:shin].last - pose[:foot].first,
              pose[:plate].first - pose[:foot].first,
              pose.fetch(:back_pad, pose[:thigh]).first - pose[:thigh].first
            ]
          end
        gaps.each { |gap| expect_same_points(gap, gaps.first) }
      end
    end
  end

  it "is as upright as it goes where the back has to be, and calls what that takes of the depth close at worst" do
    machine = Worked.machine("seat_on_rail")
    solved = ->(upright) do
      Verglas::Fitting::Solver
        .new(machine: machine, body: Worked.body("middle"), wishes: Worked.wishes(machine, upright: upright))
        .solutions
        .first
    end
    expect([solved.call(0.0), solved.call(1.0)].map { |solution| solution.indices.first }).to eq([2, 0])
    expect(finding(*rail("seat_on_rail", upright: 1.0, target_bend_deg: 110.0), :knee_depth).severity).to eq(1)
    expect(finding(*rail("seat_on_rail", target_bend_deg: 110.0), :knee_depth).severity).to eq(2)
  end

  # As deep as the body goes is what is wanted there, not so much less than a number; and what a clinician leaves is the
  # target.
  it "goes all the way back for range where a rule says so, unless something becomes a fault by it" do
    data = Worked::MACHINES.fetch("seat_on_rail")
    # A seat that stays where it is: the back alone makes up the reach.
    adjusters = data["adjusters"].reject { |adjuster| adjuster["drives"].key?("rest_x") }
    machine =
      Verglas::Machines::Reader.read(
        data.merge("constants" => data["constants"].merge("rest_x" => 720), "adjusters" => adjusters)
      )
    random = Random.new(7)
    further =
      Array
        .new(60) { random_body(random) }
        .map do |body|
          as_reach, fully_back =
            [0, 1].map do |wish|
              wishes = Verglas::Mechanisms::Wishes.for(machine.family, fully_back: wish)
              Verglas::Fitting::Solver.new(machine: machine, body: body, wishes: wishes).solutions.first
            end
          faults = [as_reach, fully_back].map { |solution| solution.score.worst == 3 }
          expect(faults).not_to eq([false, true])
          angles = [as_reach, fully_back].map { |solution| machine.parameters(solution.indices)[:trunk_angle] }
          expect(angles[1]).to be >= angles[0] unless faults.any?
          angles[1] > angles[0]
        end
    expect(further).to include(true)
  end

  it "tells where a stack rests as the depth, in every sentence, and whether more is wanted or allowed" do
    machine = Worked.machine("seat_on_rail")
    random = Random.new(3)
    told =
      [{}, { envelope: Verglas::Body::Envelope.new({ knee_flexion: [nil, 70] }) }].map do |given|
        wishes = Verglas::Mechanisms::Wishes.for(machine.family, **given)
        drawn =
          Array.new(60) do
            indices = machine.adjusters.map { |adjuster| random.rand(adjuster.size) }
            Verglas::Fitting::Evaluation.new(
              machine: machine,
              estimate: Verglas::Body::Estimate.exact(random_body(random)),
              wishes: wishes,
              indices: indices
            )
          end
        drawn.find { |at| at.mechanics.rests_early?(at.place) && at.quantities[:depth_room_deg] >= 0 }
      end
    says = told.map { |at| at.voice.tell(at.finding(:knee_depth)) }
    expect(says.map(&:code)).to eq(%i[says.knee_depth.rests_wanted says.knee_depth.rests_allowed])
    bends = told.map { |at| at.quantities[:turning_bend_deg].floor }
    expect(says.map { |one| one.params[:bend] }).to eq(bends)
    expect(told.map { |at| at.voice.step_numbers[:target_deg] }).to eq(bends)
  end

  it "grades both feet on the plate where its width is taped, moves no mark by it, and says nothing where it is not" do
    within, over, untaped =
      [[560, 300.0], [560, 600.0], [nil, 600.0]].map do |width, stance|
        data = Worked::MACHINES.fetch("incline_sled")
        machine =
          Verglas::Machines::Reader.read_known(
            data.merge("constants" => data["constants"].merge("plate_width" => width).compact)
          )
        wishes = Verglas::Mechanisms::Wishes.for(machine.family, stance_mm: stance)
        Verglas::Fitting::Evaluation.new(
          machine: machine,
          estimate: Verglas::Body::Estimate.exact(Worked.body("middle")),
          wishes: wishes,
          indices: [0] * machine.adjusters.size
        )
      end
    expect([within, over].map { |at| at.finding(:feet_wide).band }).to eq(["in line", "off"])
    expect(untaped.finding(:feet_wide)).to be_nil
    expect([within, over].map { |at| at.picture.whole.plate.width_mm }).to all(eq(560.0))
    expect(untaped.picture.whole.plate.width_mm).to be_nil
  end

  it "calls a depth in line that ends where the pelvis does, under the school that wants that, or where a " \
       "clinician ends it" do
    told =
      [{ target_bend_deg: 120.0 }, { target_bend_deg: 110.0 }].map do |given|
        found = finding(*rail("seat_on_rail", **given), :knee_depth)
        [found.value.negative?, found.band]
      end
    expect(told).to eq([[true, "in line"], [true, "off"]])
    banded =
      [Verglas::Body::Envelope.open, hip_to(80.0)].map do |hard|
        finding(*rail("seat_on_rail", envelope: hip_to(80.0), hard: hard), :knee_depth).band
      end
    expect(banded).to eq(["off", "in line"])
  end

  it "feels of a sled the sine of its slope, and of a stack its ratio" do
    sled, at = rail("incline_sled")
    expect(sled.force_n(at, 80)).to be_within(0.01).of((47 + 80) * 9.80665 * Math.sin(40 * Math::PI / 180))
    stack, there = rail("seat_on_rail")
    expect(stack.force_n(there, 80)).to be_within(0.01).of(80 * 9.80665)
  end

  describe "calf work" do
    it "keeps the ball of the foot on the plate's lower edge and the leg as long as its bend says, whatever the drop" do
      random = Random.new(21)
      50.times do
        mechanics, place = rail("incline_sled", body: random_body(random), indices: [random.rand(3), 0])
        leg = mechanics.leg(place)
        drop = -30 + (random.rand * 45)
        x = Verglas::Linkages::CalfWork.x_mm(leg, drop_deg: drop, bend_deg: 5)
        from_ball = Verglas::Linkages::CalfWork.ankle_from_ball(leg, drop)
        expect(from_ball.norm).to be_within(1e-6).of(Math.hypot(0.55 * leg.body.foot, leg.body.ankle_height + 25))
        ankle = Verglas::Geometry::Point.new(x, leg.plate_y_mm) + from_ball
        expect(ankle.norm).to be_within(1e-6).of(leg.reach_mm(5))
      end
    end

    it "comes towards the client as the heels go down" do
      mechanics, place = rail("incline_sled", indices: [2, 0])
      leg = mechanics.leg(place)
      down, level = [10, 0].map { |drop| Verglas::Linkages::CalfWork.x_mm(leg, drop_deg: drop, bend_deg: 5) }
      expect(down).to be < level
    end
  end

  describe "a hack squat" do
    it "gains about the sine of the plate's slope by a block, and is close at best on it" do
      bare, place = rail("shoulder_sled", body: Worked.body("small"), foot_mm: 146.0)
      blocked, there = rail("shoulder_sled", body: Worked.body("small"), block_mm: 20.0, foot_mm: 146.0)
      gained = blocked.reach_mm(there) - bare.reach_mm(place)
      expect(gained).to be_within(3).of(20 * Math.sin(68 * Math::PI / 180))
      expect([finding(bare, place, :latch_room).fault, finding(blocked, there, :latch_room).severity]).to eq(
        [:latch_out_of_reach, 1]
      )
    end

    it "stands as near to the middle as the latch is reached, and where it is reached from nowhere in the middle" do
      hack, place = rail("shoulder_sled", body: Worked.body("small"))
      reach = ->(foot) do
        rail("shoulder_sled", body: Worked.body("small"), foot_mm: foot).then { |there, at| there.latch_room_mm(at) }
      end
      low, middle, high = hack.window(place).then { |seen| [seen.low_mm, seen.heel_mm, seen.high_mm] }
      nearest = (low..high).step(0.25).select { |foot| reach[foot] >= 0 }.min_by { |foot| (foot - middle).abs }
      expect(hack.foot_mm(place)).to be_within(0.25).of(nearest)
      furthest = (low..high).step(0.25).map { |foot| hack.needed_mm(place) + reach[foot] }.max
      expect(hack.greatest_reach_mm(place)).to be_within(0.01).of(furthest)
      far = hack.place(place.parameters.merge(latch_distance: 1300.0))
      expect(
        [
          hack.foot_mm(far),
          hack.shortfall_mm(far),
          Verglas::Formats::Answers::HackSquat.new(hack, far).report[:block_mm]
        ]
      ).to eq([middle, 1320.0 - hack.greatest_reach_mm(far), nil])
    end

    it "says what is left under load only where somebody taped the sink" do
      hack, place = rail("shoulder_sled")
      expect(Verglas::Telling.of(hack, place).asides).to be_empty
      sunk = hack.place(place.parameters.merge(sink_per_100_kg: 500.0))
      expect(Verglas::Telling.of(hack, sunk).asides.first.code).to eq(:"sink.short")
    end

    it "facing the pad reaches its own length where the plate is square to the rail" do
      hack, place = rail("shoulder_sled_towards")
      square = hack.place(place.parameters.merge(plate_angle: 90.0))
      body = Worked.body("middle")
      expect(hack.reach_mm(square)).to be_within(1).of(body.torso + body.thigh + body.shank + body.ankle_height + 25)
      expect(hack.reach_mm(place)).to be > hack.reach_mm(square)
    end
  end

  describe "a belt squat" do
    # Every link by the definition alone.
    def best(mechanics, place)
      chain = ->(links) { place[:hook_length] + (links * place[:link_pitch]) }
      fits = (1..place[:links].to_i).select { |links| chain[links] <= mechanics.longest_mm(place) + 1e-9 }
      easy = fits.select { |links| chain[links] >= mechanics.shortest_mm(place) - 1e-9 }
      easy.min || fits.max || 1
    end

    it "takes the link that trying each one finds, on random people and boxes" do
      random = Random.new(13)
      %w[chain_on_lever two_boxes bar_in_hinge].each do |name|
        80.times do
          mechanics, place = rail(name, body: random_body(random), ankle_limit_deg: 5.0 + (random.rand * 35))
          expect(mechanics.link(place)).to eq(best(mechanics, place))
        end
      end
    end

    # By hand for knees that never go straighter than 30 degrees: the ankle takes 10, the thigh 20.
    it "stands as straight as the knees may, and counts from there" do
      tall, place = rail("chain_on_lever")
      bent, there = rail("chain_on_lever", envelope: Verglas::Body::Envelope.new({ knee_flexion: [30, nil] }))
      sunk =
        (tall.body.thigh * (1 - Math.cos(20 * Math::PI / 180))) +
          (tall.body.shank * (1 - Math.cos(10 * Math::PI / 180)))
      expect([tall.ring_mm(place) - bent.ring_mm(there), tall.drop_mm - bent.drop_mm]).to all(be_within(1e-9).of(sunk))
      hip = Verglas::Scenes.of(bent, there).whole.parts.find { |part| part.id == :thigh }.points.first
      expect(
        Verglas::Scenes.of(tall, place).whole.parts.find { |part| part.id == :thigh }.points.first.n - hip.n
      ).to be_within(1e-9).of(sunk)
    end

    it "gains a mat's height, and a box's" do
      bare, place = rail("two_boxes")
      on_mat, there = rail("two_boxes", mat_mm: 20.0)
      expect(on_mat.ring_mm(there) - bare.ring_mm(place)).to be_within(1e-9).of(20)
      lower = bare.place(place.parameters.merge(box_height: 200))
      expect(bare.ring_mm(place) - bare.ring_mm(lower)).to be_within(1e-9).of(100)
      expect(Verglas::Telling.of(bare).warnings.map(&:code)).to eq([:"care.belt_boxes"])
    end
  end

  it "asks of knee and hip all along what it tells of the work they share there" do
    random = Random.new(12)
    20.times do
      mechanics, place = rail("incline_sled", body: random_body(random), hip_limit_deg: 110.0, ankle_limit_deg: 28.0)
      knee, hip = mechanics.efforts(place).values_at(:knee, :hip)
      knee
        .zip(hip)
        .each do |(share, at_knee), (_, at_hip)|
          next if (at_knee + at_hip).zero?

          told = mechanics.hip_share(place, mechanics.along(place, share))
          expect(at_hip / (at_knee + at_hip)).to be_within(1e-9).of(told)
        end
    end
  end

  describe "what it is done for" do
    def done_for(share, known: %i[hip_bend ankle], machine: "incline_sled", body: Worked.body("middle"), **wishes)
      data = Worked.machine(machine)
      given =
        Verglas::Mechanisms::Wishes.for(
          data.family,
          measured: known,
          foot_share: share,
          target_bend_deg: 70,
          toes: 2,
          **wishes
        )
      mechanics = Verglas::Mechanisms.for(data, body, given)
      [mechanics, mechanics.place(data.parameters(data.adjusters.map { 0 }))]
    end

    # With limits wide enough that some window is left.
    def limits(random) = { hip_limit_deg: 105 + (random.rand * 25), ankle_limit_deg: 22 + (random.rand * 12) }

    it "stands so far up the window, and the higher the more of the work is the hip's, on random people" do
      random = Random.new(34)
      open = 0
      120.times do
        body = random_body(random)
        given = limits(random)
        shown = [0.0, 0.15, 0.5, 0.85, 1.0].map { |share| done_for(share, body: body, **given) }
        seen = shown.first.then { |mechanics, place| mechanics.window(place) }
        next if seen.empty? || seen.high_mm - seen.low_mm < 5

        open += 1
        feet = shown.map { |mechanics, place| mechanics.foot_mm(place) }
        expect(feet).to match(
          [0.0, 0.15, 0.5, 0.85, 1.0].map do |p|
            a_value_within(1e-9).of(seen.low_mm + (p * (seen.high_mm - seen.low_mm)))
          end
        )
        hips = shown.map { |mechanics, place| mechanics.hip_share(place) }
        expect(hips).to eq(hips.sort), hips.to_s
      end
      expect(open).to be > 60
    end

    it "goes no higher than the middle until the hip was measured, nor below 0.35 until the ankle was" do
      shares =
        [[], %i[hip_bend], %i[ankle]].map do |known|
          [0.15, 0.85].map do |share|
            mechanics, place = done_for(share, known: known, hip_limit_deg: 115, ankle_limit_deg: 30)
            seen = mechanics.window(place)
            ((mechanics.foot_mm(place) - seen.low_mm) / (seen.high_mm - seen.low_mm)).round(6)
          end
        end
      expect(shares).to eq([[0.35, 0.5], [0.35, 0.85], [0.15, 0.5]])
    end

    it "never stands below a caution's share of the plate" do
      mechanics, place = done_for(0.15, hip_limit_deg: 125, ankle_limit_deg: 35, lowest_share: 0.5)
      lowest = 0.5 * (place[:plate_length] - mechanics.body.foot)
      expect(mechanics.foot_mm(place)).to be >= lowest
    end

    it "tells of each share the same as a bench whose feet stand there" do
      mechanics, place = done_for(0.5, hip_limit_deg: 115, ankle_limit_deg: 30)
      hip = mechanics.at_share(place, 0.85)
      there, at = done_for(0.85, hip_limit_deg: 115, ankle_limit_deg: 30)
      expect(hip[:foot_mm]).to be_within(1e-9).of(there.foot_mm(at))
      expect(hip.slice(:knee, :hip)).to eq(there.split(at, there.bottom(at).state))
      expect(hip[:room_down_mm] + hip[:room_up_mm]).to be_within(1e-9).of(
        there.window(at).high_mm - there.window(at).low_mm
      )
    end
  end
end
