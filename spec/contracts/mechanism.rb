# frozen_string_literal: true

# What every mechanism owes to solver, bench and picture, at random marks and for random bodies. Wants: machine.
RSpec.shared_examples "a mechanism" do
  let(:random) { Random.new(machine.name.sum) }
  let(:family) { machine.family }

  def placed(
    body: Worked.body("middle"),
    indices: machine.adjusters.map { |adjuster| random.rand(adjuster.size) },
    **wishes
  )
    mechanics = Verglas::Mechanisms.for(machine, body, Worked.wishes(machine, **wishes))
    [mechanics, mechanics.place(machine.parameters(indices))]
  end

  # The best marks for the middle body.
  def solved
    Verglas::Fitting::Solver
      .new(machine: machine, body: Worked.body("middle"), wishes: Worked.wishes(machine))
      .solutions
      .first
  end

  # The leading joint's bends in the two poses around a share; the share's own where nothing is posed.
  def bends_around(poses, quickening)
    around = poses.each_cons(2).find { |low, high| quickening.share.between?(low.share, high.share) }
    around ? around.map { |pose| pose.deg.fetch(quickening.motion) } : [quickening.deg]
  end

  it "answers the same findings group by group as all together, each a number within what can be" do
    20.times do
      mechanics, place = placed(body: random_body(random))
      all = mechanics.all_findings(place)
      by_group = family.told.flat_map { |group| mechanics.findings(group, place) }
      expect(by_group).to match_array(all)
      expect(all.map(&:graded)).to all(satisfy(&:finite?))
    end
  end

  it "tells the number of every finding among its quantities, and says something of it" do
    mechanics, place = placed
    numbers = mechanics.quantities(place)
    mechanics
      .all_findings(place)
      .each do |finding|
        kind = family.findings.fetch(finding.code)
        expect(numbers.keys).to include(*kind.quantities)
        expect(numbers[kind.graded]).to be_within(1e-9).of(finding.value)
        expect(Verglas::Formats::Words.of(Verglas::Telling.of(mechanics, place).tell(finding))).not_to be_empty
      end
  end

  it "is moved by hand wherever its movement is told, from one end to the other, each part where it is drawn" do
    mechanics, place = placed
    scene = Verglas::Scenes.of(mechanics, place)&.whole
    poses = Array(scene&.poses)
    expect(poses.map(&:share).minmax).to eq(mechanics.lead(place) ? [0.0, 1.0] : [nil, nil])
    expect(poses.flat_map { |pose| pose.parts.map(&:id) } - Array(scene&.parts).map(&:id)).to be_empty
    drawn = poses.find { |pose| pose.share == scene.drawn_share }
    drawn&.parts&.each do |part|
      apart = scene.part(part.id).points.zip(part.points).map { |one, other| (one - other).norm }
      expect(apart.max).to be < 45, "#{part.id} by #{apart.max.round}"
    end
  end

  it "answers some of its numbers as it answers them all" do
    mechanics, place = placed
    graded_on = family.findings.each_value.flat_map(&:quantities).uniq & mechanics.quantities(place).keys
    [graded_on, mechanics.quantities(place).keys.shuffle(random: random)].each do |names|
      alone, there = placed(indices: machine.adjusters.map { 0 })
      expect(alone.numbers(names, there)).to eq(alone.quantities(there).values_at(*names))
    end
  end

  it "answers at any marks what one that was asked of no others answers there" do
    mechanics, = placed
    20.times do
      indices = machine.adjusters.map { |adjuster| random.rand(adjuster.size) }
      fresh, there = placed(indices: indices)
      place = mechanics.place(machine.parameters(indices))
      expect(mechanics.quantities(place)).to eq(fresh.quantities(there))
      expect([mechanics.all_findings(place), mechanics.preference(place)]).to eq(
        [fresh.all_findings(there), fresh.preference(there)]
      )
    end
  end

  it "is one and the same for all who settle what is placed the same way" do
    mechanics, place = placed
    settled = mechanics.settled(place)
    expect(mechanics.settling(settled)).to equal(mechanics.settling(settled))
    expect(mechanics.settling(settled).wishes).to eq(mechanics.wishes.wishing(**settled))
  end

  it "reaches what decides an adjuster where it stands as required" do
    machine.adjusters.each_with_index do |adjuster, index|
      decision = machine.deciding(adjuster)
      next unless decision

      mechanics, place = placed
      expect([mechanics.position(decision, place), *mechanics.required(decision, place)]).to all(satisfy(&:finite?)),
      "#{index} #{decision}"
      expect(Verglas::Telling.of(mechanics, place).short(decision)).to be_nil.or be_a(Verglas::Telling::Says)
    end
  end

  it "keeps the joint where another place has it" do
    mechanics, place = placed
    expect(mechanics.place(place.parameters, standing: place).joint).to eq(place.joint)
  end

  it "tells where a slow start is over: on the way, the leading joint bent so far, as the picture has it there" do
    mechanics, place = placed(indices: solved.indices, body: Worked.body("middle"))
    expect(Verglas::Scenes::Quickening.of(mechanics, place, nil)).to be_nil
    expect(Verglas::Scenes::Quickening.of(mechanics, place, 170)).to be_nil
    quickening = Verglas::Scenes::Quickening.of(mechanics, place, 15)
    lead = mechanics.lead(place)
    next expect(quickening).to be_nil unless lead&.within?(lead.slow_to(15))

    expect(quickening.deg).to be_between(*[lead.from_deg, lead.upto_deg].minmax)
    expect(quickening.share).to be_between(0.0, 0.9999)
    expect(quickening.deg).to be_between(
      *bends_around(Verglas::Scenes.of(mechanics, place).whole.poses, quickening).minmax.zip([-1e-6, 1e-6]).map(&:sum)
    )
    expect(quickening.parts.map(&:role) - [:slow]).to be_empty
  end

  it "tells where a phone lies that reads it: directions of that part at both ends, as far apart as its joint goes" do
    8.times do
      mechanics, place = placed(body: random_body(random))
      laid = mechanics.laid(place) or next
      lead = mechanics.lead(place)
      expect([laid.from_deg, laid.upto_deg]).to all(satisfy(&:finite?))
      expect(laid.whole_share).to be_between(0.8, 0.95)
      # Where the leading joint goes nowhere, nothing turns; a thigh turns less than its knee bends.
      turned = (lead.upto_deg - lead.from_deg).abs
      expect(laid.arc_deg).to be <= turned + 1e-6 unless laid.on == :arm
    end
  end

  it "draws where that phone lies, within the picture" do
    mechanics, place = placed(indices: solved.indices)
    laid = mechanics.laid(place) or next
    scene = Verglas::Scenes.of(mechanics, place).whole
    phone = Verglas::Scenes::Phone.of(scene, laid.on)
    expect(phone.at.s - scene.window[:left]).to be_between(0, scene.window[:width])
    expect(phone.at.n - scene.window[:bottom]).to be_between(0, scene.window[:height])
  end

  it "tells what one load asks along the movement: rising shares, no effort below nothing, 1 where it is measured by" do
    8.times do
      mechanics, place = placed(body: random_body(random))
      lines = mechanics.efforts(place) or next
      lines.each_value do |points|
        shares, efforts = points.transpose
        expect(shares.each_cons(2)).to all(satisfy { |one, next_one| one <= next_one + 1e-9 })
        expect(efforts).to all(be_finite.and(be >= 0))
      end
      most = lines.values.flatten(1).map(&:last).max
      numbers = mechanics.quantities(place)
      next expect(most).to be_within(1e-9).of(1) unless numbers.key?(:torque_ratio_middle)

      middle = numbers[:torque_ratio_middle]
      efforts = lines.values.first.map(&:last)
      expect(efforts.values_at(0, efforts.size / 2, -1)).to match(
        [numbers[:torque_ratio_start], middle, numbers[:torque_ratio_end]].map do |one|
          a_value_within(1e-9).of(one / middle)
        end
      )
    end
  end

  it "prefers something that can be compared, the same for the same place" do
    mechanics, place = placed
    expect(mechanics.preference(place)).to eq(mechanics.preference(place)).and all(be_a(Numeric))
  end

  it "names an end for every motion that its family declares, and calls a forced one outside the envelope a fault" do
    moving = family.joints.each_value.select(&:computed?)
    mechanics, place = placed
    ranges = mechanics.ranges(place)
    expect(ranges.keys).to match_array(moving.map(&:motion))
    ranges.each do |motion, ends|
      forced = ends.select(&:forced)
      expect(family.joints[motion].forced - forced.map(&:at)).to be_empty
      forced.each do |reached|
        wishes =
          Verglas::Mechanisms::Wishes.for(
            family,
            envelope: Verglas::Body::Envelope.new({ motion => [nil, reached.deg - 1] }),
            **mechanics.settled(place)
          )
        strict = Verglas::Mechanisms.for(machine, Worked.body("middle"), wishes)
        expect(strict.all_findings(strict.place(place.parameters)).map(&:severity).max).to eq(3),
        "#{motion} at #{reached.at}"
      end
    end
  end

  it "aims at no end outside the envelope" do
    family
      .joints
      .each_value
      .select(&:computed?)
      .each do |joint|
        wishes =
          Verglas::Mechanisms::Wishes.for(family, envelope: Verglas::Body::Envelope.new({ joint.motion => [3, 7] }))
        mechanics = Verglas::Mechanisms.for(machine, Worked.body("middle"), wishes)
        place = mechanics.place(machine.parameters(machine.adjusters.map { 0 }))
        expect(mechanics.ranges(place).fetch(joint.motion).map(&:target_deg)).to all(be_between(3, 7))
      end
  end
end
