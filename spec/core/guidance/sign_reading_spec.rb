# frozen_string_literal: true

require "spec_helper"
require_relative "../../support/people_watched"

RSpec.describe Verglas::Guidance::SignReading do
  let(:machine) { PeopleWatched.knee_machine("extension") }
  let(:press) { Worked.machine("incline_sled") }

  def reading(on = machine, body: known, wishes: Verglas::Mechanisms::Wishes.for(on.family), dressed: false)
    described_class.new(machine: on, estimate: body, wishes: wishes, dressed: dressed)
  end

  def known(**readings)
    given = readings.map { |name, mm| Verglas::Body::Reading.new(observation: name, value_mm: mm, confirmed: true) }
    Verglas::Body::Estimation.new(sex: "man", readings: given).met
  end

  def advised(on = machine, body: known)
    wishes = Verglas::Mechanisms::Wishes.for(on.family)
    Verglas::Fitting::Solver.new(machine: on, body: body.dimensions, wishes: wishes).solutions.first.indices
  end

  def thigh(one) = one.knowledge.evaluation(advised).estimate.mean[:thigh]

  it "takes a roller that climbs for a longer thigh one that slides for a shorter, and moves the back pad after it" do
    { roller_climbs: 1, roller_slides: -1 }.each do |sign, way|
      seen = reading
      seen.look(advised, seen: [sign])
      expect((thigh(seen) - thigh(reading)) * way).to be > 2
      expect(seen.move(advised).to_h.slice(:adjuster, :by).values_at(:adjuster, :by).first).to eq("back pad")
      expect(seen.move(advised).by * way).to be_positive
    end
  end

  it "learns from what was looked for and not seen, and less from it than from what was" do
    nothing = reading
    nothing.look(advised, seen: [], not_seen: described_class.shown_on(machine))
    sd = ->(one) { one.knowledge.evaluation(advised).sd(:knee_s_mm) }
    seen = reading.tap { |one| one.look(advised, seen: [:roller_climbs]) }
    expect(sd[nothing]).to be < sd[reading]
    expect((thigh(nothing) - thigh(reading)).abs).to be < (thigh(seen) - thigh(reading)).abs
  end

  # By hand: the whole population, weighed by how likely each of them shows the sign.
  it "agrees with drawing people and weighing each by how likely the sign is seen on them" do
    body = known(stature: 1800)
    at = advised(body: body)
    people = PeopleDrawn.new(3)
    wishes = Verglas::Mechanisms::Wishes.for(machine.family)
    random = Random.new(4)
    normal = -> { Math.sqrt(-2 * Math.log(1 - random.rand)) * Math.cos(2 * Math::PI * random.rand) }
    drawn =
      Array.new(6000) do
        one = people.body(body.normal)
        mechanics = Verglas::Mechanisms.for(machine, one, wishes)
        off =
          machine
            .parameters(at)
            .to_h { |name, value| [name, value + (machine.family.constant(name).taped_sd * normal[])] }
        climb = mechanics.shown(:climb_mm, mechanics.place(off), nil)
        [one.thigh + one.hip_depth, 0.5 * Math.erfc((12 - climb) / 5 / Math.sqrt(2))]
      end
    mean = drawn.sum { |mm, weight| mm * weight } / drawn.sum(&:last)
    seen = reading(body: body).tap { |one| one.look(at, seen: [:roller_climbs]) }
    found = seen.knowledge.evaluation(at).estimate.mean
    expect(found[:thigh] + found[:hip_depth]).to be_within(2.5).of(mean)
  end

  it "counts the same sign at the same marks once, and again at others" do
    once = reading.tap { |one| one.look(advised, seen: [:roller_climbs]) }
    twice = reading.tap { |one| 2.times { one.look(advised, seen: [:roller_climbs]) } }
    further = advised.dup.tap { |copy| copy[0] += 1 }
    elsewhere = once.dup.tap { |one| one.look(further, seen: [:roller_climbs]) }
    expect(thigh(twice)).to eq(thigh(once))
    expect(thigh(elsewhere)).to be > thigh(twice)
  end

  it "reads a roller over trousers less sharply than on skin" do
    skin, clothed =
      [false, true].map { |dressed| reading(dressed: dressed).tap { |one| one.look(advised, seen: [:roller_climbs]) } }
    sd = ->(one) { one.knowledge.evaluation(advised).sd(:knee_s_mm) }
    expect(sd[clothed]).to be > sd[skin]
  end

  it "leads on where the numbers all but rule out what was seen, and learns nothing of it" do
    body = Verglas::Body::Estimate.exact(Worked.exact("middle").dimensions)
    at = advised(body: body)
    seen = reading(body: body)
    seen.look(at, seen: [:edge_bites_calf])
    expect(seen.unexplained(at)).to eq([:edge_bites_calf])
    expect(seen.knowledge.evaluation(at).estimate.mean).to eq(
      reading(body: body).knowledge.evaluation(at).estimate.mean
    )
    expect(seen.causes(:edge_bites_calf, at).sum(&:probability)).to be_within(1e-9).of(1)
  end

  it "takes a pelvis that rolls for a stiffer hip, heels that lift for a stiffer ankle, not for a shorter thigh" do
    body = known(stature: 1750, seat_to_kneecap: 610, floor_to_knee_top: 540)
    at = advised(press, body: body)
    before = reading(press, body: body).knowledge.evaluation(at)
    hip, ankle =
      %i[pelvis_rolls heels_lift].map do |sign|
        reading(press, body: body).tap { |one| one.look(at, seen: [sign]) }.knowledge.evaluation(at)
      end
    expect(hip.wishes[:hip_limit_deg]).to be < before.wishes[:hip_limit_deg] - 3
    expect(ankle.wishes[:ankle_limit_deg]).to be < before.wishes[:ankle_limit_deg] - 2
    [hip, ankle].each { |one| expect(one.estimate.mean[:thigh]).to be_within(3).of(before.estimate.mean[:thigh]) }
  end

  it "moves no limit that a caution's or a clinician's word fixes, and none past what holds until it is measured" do
    at = advised(press)
    fixed =
      Verglas::Mechanisms::Wishes.for(
        press.family,
        envelope: Verglas::Body::Envelope.new({ hip_flexion: [nil, 90] }),
        hip_limit_deg: 90
      )
    seen = reading(press, wishes: fixed).tap { |one| one.look(at, seen: [:pelvis_rolls]) }
    expect(seen.knowledge.evaluation(at).mechanics.hip_limit_deg).to eq(90)
    nothing = reading(press).tap { |one| one.look(at, seen: [], not_seen: described_class.shown_on(press)) }
    expect(nothing.knowledge.evaluation(at).wishes[:hip_limit_deg]).to be <= 105
  end

  it "refuses what the machine cannot show, and what was seen and not seen at once" do
    expect { reading.look(advised, seen: [:pelvis_rolls]) }.to raise_error(
      Verglas::Invalid,
      /unknown_sign|unknown sign/
    )
    expect { reading.look(advised, seen: [:roller_climbs], not_seen: [:roller_climbs]) }.to raise_error(
      Verglas::Invalid
    )
  end

  it "says nothing of a machine that nobody taped" do
    bare = {
      family: "extension",
      name: "Bare",
      constants: {
      },
      adjusters: [{ label: "back pad", marks: %w[1 2], drives: {} }]
    }
    untaped = Verglas::Machines::Reader.read_known(JSON.parse(JSON.generate(bare)))
    seen = reading(untaped).tap { |one| one.look([0], seen: [:roller_climbs]) }
    expect(seen.move([0])).to be_nil
    expect(seen.in_line([0])).to eq(0.0)
  end

  # Fifty people a family: docs/model.md has the figures of two thousand (benchmarks/signs_read.rb).
  it "brings more knees in line than advice alone, and few that were out of it" do
    { "extension" => 3, "curl" => 5 }.each do |family, points|
      watched = PeopleWatched.new(PeopleWatched.knee_machine(family), %i[stature], seed: 11)
      found = Array.new(50) { watched.one }
      before, after = %i[before after].map { |key| found.count { |one| one[key] } }
      expect((after - before) * 2).to be > points
      expect(found.count { |one| one[:before] && !one[:after] }).to be <= found.count { |one| one[:before] } * 0.2
    end
  end
end
