# frozen_string_literal: true

require "spec_helper"

# Every angle of a finding, measured in the picture between the parts that it names, is the one that is told: to a
# degree, on 50 drawn people at drawn marks. What is named and where it is read off is written here apart from what
# draws it.
RSpec.describe "A picture's angles, measured" do
  def each_drawn(fixture, exercise: nil)
    on = Verglas::Machines::Reader.read(Worked::MACHINES.fetch(fixture), exercise: exercise)
    random = Random.new(fixture.sum + 1)
    50.times do
      indices = on.adjusters.map { |adjuster| random.rand(adjuster.size) }
      evaluation =
        Verglas::Fitting::Evaluation.new(
          machine: on,
          estimate: Verglas::Body::Estimate.exact(random_body(random)),
          wishes: Verglas::Mechanisms::Wishes.for(on.family),
          indices: indices
        )
      yield evaluation.picture.whole, evaluation.quantities
    end
  end

  def ends(scene, id) = scene.part(id).points.values_at(0, -1)
  def along(scene, id) = ends(scene, id).then { |from, upto| upto - from }
  def between(one, other) = (one.angle_deg - other.angle_deg).abs.then { |deg| deg > 180 ? 360 - deg : deg }

  # Whether each is the number told.
  def to_a_degree(told, **measured) = measured.all? { |name, deg| (deg - told.fetch(name)).abs < 1 }

  # How far forward of upright.
  def lean(direction) = between(direction, Verglas::Geometry::Point.new(0, 1))

  # Of a knee between two limbs, each from its upper end to its lower one; straight is none.
  def knee_bend(thigh, shin) = between(thigh, shin)

  # Of a hip: the trunk upwards, the thigh downwards.
  def hip_bend(trunk, thigh) = 180 - between(trunk, thigh)

  {
    "slide_back" => :max,
    "slide_seat" => :max,
    "curl_plain" => :min,
    "curl_slide" => :min,
    "curl_shin" => :min,
    "lie_flat" => :min,
    "lie_hinged" => :min
  }.each do |fixture, nearer|
    it "are told on #{fixture}: the knee where the client turns back" do
      each_drawn(fixture) do |scene, told|
        # Of what is aimed at and where the arm ends, whichever comes first.
        turns = [told[:knee_bend_end_deg], told[:end_target_deg]].public_send(nearer)
        thigh = scene.targets.first.joint - scene.part(:hip).points.first
        expect(knee_bend(thigh, along(scene, :shin_at_end))).to be_within(1).of(turns.abs)
      end
    end
  end

  %w[incline_sled seat_on_rail shoulder_sled].each do |fixture|
    it "are told on #{fixture}: hip, knee and ankle where the client turns" do
      each_drawn(fixture) do |scene, told|
        # the plate rests before the bottom: held elsewhere
        next if told[:slack_mm].positive? && fixture == "seat_on_rail"

        hip, knee, ankle = %i[hip knee ankle].map { |id| scene.part(id).points.first }
        plate = scene.part(:plate).points[1] - scene.part(:plate).points[0]
        expect(
          to_a_degree(
            told,
            hip_bend_deg: hip_bend(along(scene, :trunk), knee - hip),
            knee_bend_deg: knee_bend(knee - hip, ankle - knee),
            ankle_bend_deg: 90 - between(plate, knee - ankle)
          )
        ).to be(true)
      end
    end
  end

  %w[chain_on_lever two_boxes bar_in_hinge].each do |fixture|
    it "are told on #{fixture}: hip, knee, ankle and trunk at the deepest" do
      each_drawn(fixture) do |scene, told|
        trunk, thigh, shin = %i[trunk_deepest thigh_deepest shin_deepest].map { |id| along(scene, id) }
        expect(
          to_a_degree(
            told,
            hip_bend_deg: hip_bend(trunk, thigh),
            knee_bend_deg: knee_bend(thigh, shin),
            ankle_bend_deg: lean(shin * -1),
            lean_deg: lean(trunk)
          )
        ).to be(true)
      end
    end
  end

  { "pad_and_angle" => nil, "level_pad" => nil, "one_plate" => "hip_extension" }.each do |fixture, exercise|
    it "are told on #{fixture}: the bench, the hips at the bottom and at the top" do
      each_drawn(fixture, exercise: exercise) do |scene, told|
        legs = scene.part(:hip).points.first - scene.part(:ankle).points.first
        expect(between(along(scene, :beam), Verglas::Geometry::Point.new(1, 0))).to be_within(1).of(
          told[:bench_angle_deg]
        )
        expect([between(legs, along(scene, :trunk)), between(legs, along(scene, :trunk_at_top))]).to match(
          [be_within(1).of(told[:bottom_deg]), be_within(1).of(told[:top_deg])]
        )
      end
    end
  end

  %w[arms_turned_out arms_turned_in].each do |fixture|
    it "are told on #{fixture}: each thigh at the start" do
      each_drawn(fixture) do |scene, told|
        ahead = Verglas::Geometry::Point.new(1, 0)
        sides = %i[thigh_left thigh_right].map { |id| between(along(scene, id), ahead) }
        expect(sides).to all(be_within(1).of(told[:thigh_start_deg].abs))
      end
    end
  end

  it "are told on pad_on_lever: how far the heels go down" do
    each_drawn("pad_on_lever") do |scene, told|
      heel, ball =
        scene
          .part(:foot)
          .points
          .zip(scene.part(:foot).radii)
          .map { |point, radius| point - (Verglas::Geometry::Point.towards(-90 - told[:heel_drop_deg]) * radius) }
      expect(between(ball - heel, Verglas::Geometry::Point.new(1, 0))).to be_within(1).of(told[:heel_drop_deg])
    end
  end
end
