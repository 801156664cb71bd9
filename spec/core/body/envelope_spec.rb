# frozen_string_literal: true

RSpec.describe Verglas::Body::Envelope do
  def of(**spans) = described_class.new(spans)

  it "lets the strictest of all sources hold, joint by joint and end by end, in whatever order they come" do
    sources = [
      of(knee_flexion: [10, 80]),
      of(knee_flexion: [nil, 95], hip_flexion: [nil, 115]),
      of(knee_flexion: [15, nil])
    ]
    sources.permutation.each do |order|
      expect(order.inject(described_class.open, :&)).to eq(of(knee_flexion: [15, 80], hip_flexion: [nil, 115]))
    end
  end

  it "is narrower than each of two, and never wider (random ranges)" do
    random = Random.new(12)
    200.times do
      one, other =
        Array.new(2) do
          of(
            knee_flexion: [random.rand < 0.3 ? nil : random.rand(0..40), random.rand < 0.3 ? nil : random.rand(60..140)]
          )
        end
      angle = random.rand(-10..150)
      expect((one & other).cover?(:knee_flexion, angle)).to eq(
        one.cover?(:knee_flexion, angle) && other.cover?(:knee_flexion, angle)
      )
    end
  end

  it "lets a clinician's degrees stand for a figure at the end and joint they name" do
    row = of(knee_flexion: [10, 80], hip_flexion: [nil, 90])
    expect(row.replaced_by(of(knee_flexion: [0, nil]))).to eq(of(knee_flexion: [0, 80], hip_flexion: [nil, 90]))
    expect(row.replaced_by(described_class.open)).to eq(row)
  end

  it "covers its own ends exactly, and clamps to them" do
    range = of(knee_flexion: [10, 80])
    expect([10, 80, 9.999, 80.001].map { |deg| range.cover?(:knee_flexion, deg) }).to eq([true, true, false, false])
    expect([0, 45, 100].map { |deg| range.clamp(:knee_flexion, deg) }).to eq([10, 45, 80])
    expect(range.clamp(:hip_flexion, 130)).to eq(130)
  end

  it "says where two sources leave nothing between them" do
    expect((of(knee_flexion: [85, nil]) & of(knee_flexion: [nil, 80])).contradictions).to eq([:knee_flexion])
    expect((of(knee_flexion: [80, nil]) & of(knee_flexion: [nil, 80])).contradictions).to be_empty
  end

  it "knows no motion that is none" do
    expect { of(elbow_flexion: [0, 90]) }.to raise_error(Verglas::Invalid, /unknown motion/)
  end
end
