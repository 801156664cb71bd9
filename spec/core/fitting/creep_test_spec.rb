# frozen_string_literal: true

RSpec.describe Verglas::Fitting::CreepTest do
  def test(prior: [3, 2], covariance: [[144, 10], [10, 50]])
    described_class.new(
      prior_knee: Verglas::Geometry::Point.new(*prior),
      prior_covariance: covariance,
      reach_mm: 368,
      clearance_mm: 94,
      side: 1
    )
  end

  # From an independent implementation: readings, then e, zero and SDs.
  [
    [[[95, 483.5], [60, 474.2], [25, 465.5], [-5, 460.8]], [12.9905, 5.686], 119.5784, [5.4503, 5.0945]],
    [[[90, 401.1], [30, 405.1]], [-3.1167, 0.4527], 45.5445, [6.2256, 6.5367]]
  ].each do |readings, knee, zero, sds|
    it "agrees with the worked case of #{readings.size} readings" do
      answer = test.answer(readings)
      expect([answer.knee.s, answer.knee.n, answer.zero_mm, *answer.sds_mm]).to match(
        [*knee, zero, *sds].map { |value| be_within(0.1).of(value) }
      )
    end
  end

  def readings_of(knee, zero, angles, noise: ->(_) { 0 })
    angles.map do |arm_deg|
      contact =
        Verglas::Linkages::RollerContact.at(knee: knee, reach_mm: 368, clearance_mm: 94, side: 1, arm_deg: arm_deg)
      [arm_deg, zero + contact.contact_mm + noise.call(arm_deg)]
    end
  end

  it "finds a knee that stands off, nearly, from exact readings and a weak prior" do
    knee = Verglas::Geometry::Point.new(22.0, -9.0)
    answer = test(prior: [0, 0], covariance: [[1e6, 0], [0, 1e6]]).answer(readings_of(knee, 80.0, [95, 60, 25, -5]))
    expect([answer.knee.s, answer.knee.n]).to match([be_within(0.5).of(22), be_within(0.5).of(-9)])
  end

  it "is surer with four readings than with two, and its SD is what simulated readings scatter by" do
    knee = Verglas::Geometry::Point.new(10.0, 4.0)
    sds = [[95, -5], [95, 60, 25, -5]].map { |angles| test.answer(readings_of(knee, 60.0, angles)).sds_mm.first }
    expect(sds.last).to be < sds.first
    random = Random.new(8)
    normal = ->(_ = nil) { Math.sqrt(-2 * Math.log(1 - random.rand)) * Math.cos(2 * Math::PI * random.rand) }
    errors =
      Array.new(300) do
        real = Verglas::Geometry::Point.new(3 + (12 * normal.call), 2 + (Math.sqrt(50) * normal.call))
        test(covariance: [[144, 0], [0, 50]])
          .answer(readings_of(real, 60.0, [95, 60, 25, -5], noise: ->(_) { 4 * normal.call }))
          .knee
          .s - real.s
      end
    spread = Math.sqrt(errors.sum { |error| error**2 } / errors.size)
    expect(spread).to be_within(0.9).of(
      test(covariance: [[144, 0], [0, 50]]).answer(readings_of(knee, 60.0, [95, 60, 25, -5])).sds_mm.first
    )
  end

  it "wants two readings at the least" do
    expect { test.answer([[90, 400]]) }.to raise_error(Verglas::Invalid, /too few readings/)
  end
end
