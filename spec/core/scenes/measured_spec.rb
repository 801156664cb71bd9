# frozen_string_literal: true

require "spec_helper"

# What is drawn to scale is drawn from the numbers that are told: on drawn people at drawn marks each length and angle
# of a finding, measured in the picture between the parts that it names, is the number told.
RSpec.describe "A picture, measured" do
  def evaluations(fixture, count, exercise: nil, **readings)
    on = Verglas::Machines::Reader.read(Worked::MACHINES.fetch(fixture), exercise: exercise)
    random = Random.new(fixture.sum)
    Array.new(count) do
      wishes = Verglas::Mechanisms::Wishes.for(on.family, **readings)
      indices = on.adjusters.map { |adjuster| random.rand(adjuster.size) }
      Verglas::Fitting::Evaluation.new(
        machine: on,
        estimate: Verglas::Body::Estimate.exact(random_body(random)),
        wishes: wishes,
        indices: indices
      )
    end
  end

  def drawn(evaluation) = evaluation.picture.whole

  # Yields what is drawn, the numbers told and the body, on 50 evaluations.
  def each_drawn(fixture)
    evaluations(fixture, 50).each do |evaluation|
      yield drawn(evaluation), evaluation.quantities, evaluation.mechanics.body
    end
  end

  def angle(one, middle, other)
    ((one - middle).angle_deg - (other - middle).angle_deg).abs.then { |deg| deg > 180 ? 360 - deg : deg }
  end

  # Numbers of findings that stand in the picture with a line: as long as it says.
  Worked::MACHINES.each do |fixture, data|
    Verglas::Machines::Families
      .fetch(Verglas::Machines::Families.named(*data.values_at("family", "kind")))
      .plain_exercises
      .each_key do |exercise|
        it "has every number of #{[fixture, exercise].compact.join(", ")} as long as it is told" do
          evaluations(fixture, 50, exercise: exercise).each do |evaluation|
            scene = drawn(evaluation)
            expect(scene).not_to be_nil
            scene
              .dimensions
              .select { |one| one.unit == :mm }
              .each do |one|
                expect((one.to - one.from).norm).to be_within(1).of(one.value.abs), one.of.to_s
                finding = evaluation.finding(one.of)
                next unless finding
                expect(one.value).to be_within(1).of(
                  evaluation.quantities[evaluation.kind(one.of).shown] || finding.value
                ),
                one.of.to_s
              end
          end
        end
      end
  end

  # {name => value} of what is taped between points of the picture: as an instructor is shown it, on the machine by
  # itself.
  def taped_lengths(on, mechanics, place)
    scene = Verglas::Scenes.of(mechanics, place).at_rest
    on
      .family
      .constants
      .reject { |_, constant| constant.tape.empty? }
      .to_h { |name, constant| [name, constant.tape.map { |id| scene.points.fetch(id) }] }
  end

  Worked::MACHINES.each do |fixture, data|
    Verglas::Machines::Families
      .fetch(Verglas::Machines::Families.named(*data.values_at("family", "kind")))
      .plain_exercises
      .each_key do |exercise|
        it "shows on #{[fixture, exercise].compact.join(", ")} each length between the points it is taped from" do
          evaluations(fixture, 10, exercise: exercise).each do |evaluation|
            on = evaluation.machine
            on = on.with(constants: on.constants.merge(heel_roller: 90.0)) if on.constants.key?(:heel_roller)
            mechanics = Verglas::Mechanisms.for(on, evaluation.mechanics.body, evaluation.wishes)
            place = mechanics.place(on.parameters(evaluation.indices))
            taped_lengths(on, mechanics, place).each do |name, (first, second, third)|
              drawn = third ? angle(second, first, third) : (second - first).norm
              expect(drawn).to be_within(1).of(place[name].abs),
              "#{name}: #{drawn.round(1)} drawn, #{place[name].round(1)} told"
            end
          end
        end
      end
  end

  %w[slide_back slide_seat curl_plain curl_slide].each do |fixture|
    it "shows on #{fixture} the knee from its pivot, the crease from the seat's edge and the bend at the start" do
      each_drawn(fixture) do |scene, told, body|
        knee = scene.targets.first.joint
        hip, ankle = %i[hip ankle].map { |id| scene.part(id).points.first }
        expect(knee.norm).to be_within(1).of(told[:offset_mm])
        expect(knee.s - body.knee_back - scene.part(:seat).points.map(&:s).max).to be_within(1).of(told[:crease_gap_mm])
        expect(180 - angle(hip, knee, ankle)).to be_within(1).of(told[:knee_bend_start_deg].abs)
      end
    end
  end

  # How far a point lies outside a capsule (mm), less than 0 within it.
  def outside(capsule, point)
    from, upto = capsule.points
    share = ((point - from).dot(upto - from) / (upto - from).dot(upto - from)).clamp(0, 1)
    (point - (from + ((upto - from) * share))).norm -
      (capsule.radii.first + ((capsule.radii.last - capsule.radii.first) * share))
  end

  %w[slide_back slide_seat curl_plain curl_slide].each do |fixture|
    it "draws on #{fixture} the leg where it ends clear of the seat's edge, unless the edge presses it" do
      free = 0
      each_drawn(fixture) do |scene, told|
        next if told[:crease_gap_mm].negative?

        free += 1
        leg = scene.part(:shin_at_end)
        upper, lower = scene.part(:seat).points.last(2)
        expect((0..10).map { |tenth| outside(leg, upper + ((lower - upper) * (tenth / 10.0))) }.min).to be > -5
      end
      expect(free).to be > 20
    end
  end

  %w[curl_plain curl_slide].each do |fixture|
    it "shows on #{fixture} the thigh as thick as it was taped, under a pad where it stands" do
      each_drawn(fixture) do |scene, told|
        pad = scene.part(:thigh_pad)
        thigh = scene.part(:thigh)
        top = thigh.points[1].n + thigh.radii[1]
        expect(top - pad.points.map(&:n).min).to be_within(1).of(told[:thigh_press_mm])
        expect(scene.targets.first.joint.s - 25 - pad.points.map(&:s).max).to be_within(1).of(told[:kneecap_gap_mm])
      end
    end
  end

  # Of hip and knee, as the picture has them; the hip against the trunk's own line.
  def bend_of_knee(scene)
    hip, knee, ankle = %i[hip knee ankle].map { |id| scene.part(id).points.first }
    180 - angle(hip, knee, ankle)
  end

  # How far up its rail something lies.
  def along_rail(scene, point)
    from, upto = scene.part(:rail).points
    (point - from).dot((upto - from).unit)
  end

  it "shows on incline_sled the knee bent as it is told at the bottom" do
    each_drawn("incline_sled") { |scene, told| expect(bend_of_knee(scene)).to be_within(1).of(told[:knee_bend_deg]) }
  end

  it "shows on seat_on_rail the knee bent as it is told at the bottom, or the plate where the stack rests before it" do
    early = []
    free = []
    each_drawn("seat_on_rail") do |scene, told|
      (told[:slack_mm].positive? ? early : free) << scene
      next expect(bend_of_knee(scene)).to be_within(1).of(told[:knee_bend_deg]) unless told[:slack_mm].positive?

      expect(bend_of_knee(scene)).to be < told[:knee_bend_deg]
      expect(along_rail(scene, scene.part(:plate).points.first)).to be_within(1).of(
        along_rail(scene, scene.part(:stop).points.first)
      )
    end
    expect([early, free]).to all(be_any)
  end

  # How far a point lies from a board's face, which is its first side.
  def off_face(part, point) = (point - part.points[0]).dot((part.points[1] - part.points[0]).unit.front).abs
  def thickness(part) = (part.points[0] - part.points[3]).norm

  {
    "incline_sled" => {
    },
    "seat_on_rail" => {
    },
    "shoulder_sled" => {
      block_mm: 40.0
    },
    "shoulder_sled_towards" => {
      block_mm: 40.0
    }
  }.each do |fixture, laid|
    it "shows on #{fixture} the shoe as thick as it counts, and what lies between it and the plate" do
      evaluations(fixture, 50, **laid).each do |evaluation|
        scene = drawn(evaluation)
        foot, shoe, plate, block = %i[foot shoe plate block].map { |id| scene.part(id) }
        expect([thickness(shoe), block ? thickness(block) : 0.0]).to match(
          [be_within(0.1).of(25), be_within(0.1).of(laid.fetch(:block_mm, 0.0))]
        )
        expect(off_face(plate, foot.points.first) - foot.radii.first).to be_within(1).of(
          thickness(shoe) + laid.fetch(:block_mm, 0.0)
        )
        expect(off_face(plate, (block || shoe).points[3])).to be_within(1).of(0)
      end
    end
  end

  it "shows on a belt squat the shoe on its mat, as high as they count" do
    evaluations("chain_on_lever", 50, mat_mm: 30.0).each do |evaluation|
      scene = drawn(evaluation)
      foot, shoe, mat = %i[foot shoe mat].map { |id| scene.part(id) }
      expect([thickness(shoe), mat.points.map(&:n).max, shoe.points.map(&:n).min]).to match(
        [be_within(0.1).of(25), be_within(0.1).of(30), be_within(0.1).of(30)]
      )
      expect(foot.points.first.n - foot.radii.first).to be_within(0.1).of(55)
    end
  end
end
