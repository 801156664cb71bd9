# frozen_string_literal: true

require "spec_helper"
require_relative "../../../ops/simulated_arm"

RSpec.describe Verglas::Motion::Excursion do
  let(:arm) { Verglas::Ops::SimulatedArm }

  def read(done, **sensed)
    phone = arm.new(done, start: 0, finish: 40, seed: 9, **sensed)
    described_class.new(Verglas::Motion::Samples.read(phone.samples))
  end

  def to(top, hold:) = arm::Done.new(low: 0.0, top: top, up: 1.5, hold: hold, down: 1.5, pause: 1.0, slam: false)

  it "tells how far a limb went that stayed there, whichever way the phone lies" do
    [false, true].each do |lies|
      expect(read([to(0.9, hold: 2.0)], lies: lies).furthest_deg).to be_within(1.5).of(36)
      expect(read([to(0.9, hold: 2.0)], lies: lies).now_deg).to be_within(1.5).of(0)
    end
  end

  it "takes what was touched and not held for less" do
    expect(read([to(0.5, hold: 1.5), to(1.0, hold: 0.0)]).furthest_deg).to be_between(18, 38)
    expect(read([to(0.0, hold: 1.0)]).furthest_deg).to be_within(1).of(0)
  end

  it "says of the first seconds whether they were still" do
    restless = ->(shaking) do
      Verglas::Motion::Samples.read(
        arm.new([to(1.0, hold: 0.5)], start: 0, finish: 40, seed: 2, shaking: shaking).samples
      ).restless?
    end
    expect([0.0, 0.05, 2.0].map(&restless)).to eq([false, false, true])
  end
end
