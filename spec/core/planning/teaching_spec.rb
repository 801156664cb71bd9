# frozen_string_literal: true

require "spec_helper"

RSpec.describe Verglas::Planning::Teaching do
  # Two lengths that go together, a third that does not.
  let(:normal) do
    Verglas::Statistics::Normal.new(mean: [400, 420, 300], covariance: [[400, 300, 0], [300, 400, 0], [0, 0, 100]])
  end

  def pupil(id, rank: 3, seconds: 100, lessons: [], asks: [])
    described_class::Pupil.new(id: id, rank: rank, seconds: seconds, lessons: lessons, asks: asks)
  end

  it "puts what teaches most of the others first" do
    teaches = pupil("z", lessons: [[[1, 0, 0], 10]], asks: [[1, 0, 0]])
    learns = pupil("a", lessons: [[[0, 0, 1], 10]], asks: [[0, 1, 0]])
    expect(described_class.order(normal, [learns, teaches])).to eq(%w[z a])
  end

  # By hand: reading the first with an SD of 10 leaves the second 400 - 300^2 / (400 + 100) = 220 of its 400.
  it "tells by how much a check lets the variance of what the others require fall" do
    teaches = pupil("a", lessons: [[[1, 0, 0], 10]])
    learns = pupil("b", asks: [[0, 1, 0]])
    expect(described_class.fall_mm2(normal, teaches, [teaches, learns])).to be_within(1e-9).of(180)
  end

  it "weighs what it takes: the same lesson in half the time comes first" do
    slow = pupil("a", seconds: 200, lessons: [[[1, 0, 0], 10]])
    quick = pupil("b", seconds: 100, lessons: [[[1, 0, 0], 10]])
    expect(described_class.order(normal, [slow, quick, pupil("c", asks: [[0, 1, 0]])])).to eq(%w[b a c])
  end

  it "never lets a rank fall, and falls back on ids" do
    teaches = pupil("a", lessons: [[[1, 0, 0], 10]])
    expect(described_class.order(normal, [teaches, pupil("c", rank: 1), pupil("b", rank: 1)])).to eq(%w[b c a])
  end
end
