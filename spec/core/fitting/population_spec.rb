# frozen_string_literal: true

require_relative "../../support/people_drawn"

# What the model claims of people at large, checked on drawn populations rather than single bodies.
RSpec.describe "A population on a machine" do
  let(:people) { PeopleDrawn.new(77) }
  let(:machine) { Worked.machine("slide_back") }
  let(:prior) { Verglas::Body::Prior.estimate(sex: nil) }

  def drawn(count) = Array.new(count) { people.body(prior.normal) }

  def offset_of(body, machine)
    indices =
      Verglas::Fitting::Solver.new(machine: machine, body: body, wishes: Worked.wishes(machine)).solutions.first.indices
    Verglas::Mechanisms::SeatedKnee
      .new(machine: machine, body: body, wishes: Worked.wishes(machine))
      .joint(machine.parameters(indices))
      .norm
  end

  # With marks 25 mm apart the knee lies evenly within 12.5 mm of the pivot along the seat; across it, as knees differ
  # in height.
  it "sits nine in ten people in line, known exactly, on notches of 25 mm with the pivot at the mean knee's height" do
    long = machine.adjuster("back pad").with(marks: ("1".."14").to_a, travel: Array.new(14) { |index| index * 25.0 })
    level = machine.with(constants: machine.constants.merge(back_face: -391), adjusters: [long])
    offsets =
      drawn(600).map do |body|
        mechanics = Verglas::Mechanisms::SeatedKnee.new(machine: level, body: body, wishes: Worked.wishes(level))
        (0..13).map { |index| mechanics.joint(level.parameters([index])).norm }.min
      end
    places = Array.new(100) { |index| -12.375 + (index * 0.25) }
    by_hand =
      places.sum { |s| Math.erf(Math.sqrt(225 - (s**2)) / (prior.sd[:knee_under] * Math.sqrt(2))) } / places.size
    expect(by_hand).to be_within(0.01).of(0.9)
    expect(offsets.count { |offset| offset <= 15 } / 600.0).to be_within(0.04).of(by_hand)
  end

  it "is told by the probability of the advised mark how often the mark is right" do
    known = estimate(sex: "woman", stature: 1648, seat_to_kneecap: 576)
    advice =
      Verglas::Fitting::Advice.new(machine: machine, estimate: known, wishes: Worked.wishes(machine), taken: [:stature])
    back_pad = advice.adjusters.first
    right =
      Array.new(1500) do
        body = people.body(known.normal)
        taped_wrong = 4 * people.normal
        required = -(body.hip_depth + Math.sqrt((body.thigh**2) - ((body.hip_rise - body.knee_under)**2))) + taped_wrong
        nearest = back_pad.requirement.positions.min_by { |position| (position - required).abs }
        nearest == back_pad.requirement.positions[machine.adjuster("back pad").index(back_pad.mark)]
      end
    expect(right.count(true) / 1500.0).to be_within(0.04).of(back_pad.probability)
  end

  it "is surer of everybody with a shorter step between the marks, never less" do
    fine =
      machine.with(
        adjusters:
          machine.adjusters.map do |adjuster|
            next adjuster unless adjuster.label == "back pad"

            adjuster.with(marks: ("1".."9").to_a, travel: Array.new(9) { |index| index * 12.5 })
          end
      )
    drawn(60).each { |body| expect(offset_of(body, fine)).to be <= [offset_of(body, machine), 30].max }
  end
end
