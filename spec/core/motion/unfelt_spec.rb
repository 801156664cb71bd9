# frozen_string_literal: true

require_relative "../../../ops/simulated_arm"

RSpec.describe Verglas::Motion::Unfelt do
  let(:done) { Array.new(4) { Verglas::Ops::SimulatedArm::Done.new(**lifted) } }
  let(:lifted) { { low: 0.0, top: 1.0, up: 1.0, hold: 0.5, down: 1.5, pause: 0.5, slam: false } }
  let(:quiet) { { noise: 0.05, spikes: 0.0, gaps: 0.0, bias: 0.0, even: false } }

  # Seconds and what was not felt at each.
  def unfelt(**sensed)
    samples = Verglas::Ops::SimulatedArm.new(done, start: 90, finish: 10, seed: 3, **quiet, **sensed).samples
    samples.map(&:first).zip(described_class.new(Verglas::Motion::ArmAngle.new(samples)).to_a)
  end

  it "is next to nothing while the phone turns with the arm, however far from the pivot it lies" do
    [0.15, 0.4, 0.7].each do |radius_m|
      expect(unfelt(radius_m: radius_m).sum { |_, lacking| lacking.abs } / 500).to be < 1
    end
  end

  it "is as much as a slip turns" do
    # By 20° (1 − cos πx) / 2 over 0.3 s: its greatest gain is 20° π² / (2 · 0.3²) = 19.1 rad/s², the mean 2/π of it.
    during, elsewhere = unfelt(slips: [[6.6, -20.0]]).partition { |at, _| at.between?(6.6, 6.9) }
    expect(during.sum(&:last) / during.size).to be_within(3).of(19.1 * 2 / Math::PI)
    expect(elsewhere.sum(&:last) / elsewhere.size).to be_within(1).of(0)
  end

  it "is nothing, and no error, where the phone hardly turned" do
    still = Array.new(120) { |index| [index / 50.0, 9.8, 0.0, 0.0] }
    expect(described_class.new(Verglas::Motion::ArmAngle.new(still)).to_a).to all(be_within(0.01).of(0))
  end
end
