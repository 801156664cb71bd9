# frozen_string_literal: true

RSpec.describe Verglas::Statistics::Gaussian do
  def disc(s, n, var_s, var_n, cov, radius)
    described_class.disc_probability(
      mean: Verglas::Geometry::Point.new(s, n),
      variance_s: var_s,
      variance_n: var_n,
      covariance: cov,
      radius: radius
    )
  end

  it "knows the round normal in closed form: 1 - exp(-r^2 / 2 sd^2)" do
    [5, 10, 25].each do |sd|
      expect(disc(0, 0, sd**2, sd**2, 0, 15.0)).to be_within(1e-3).of(1 - Math.exp(-(15.0**2) / (2 * (sd**2))))
    end
  end

  it "agrees with drawing points" do
    random = Random.new(7)
    normal = -> { Math.sqrt(-2 * Math.log(1 - random.rand)) * Math.cos(2 * Math::PI * random.rand) }
    inside =
      Array.new(40_000) do
        a = normal.call
        b = normal.call
        Math.hypot(8 + (9 * a), -4 + (3 * a) + (6 * b)) <= 15 ? 1 : 0
      end
    expect(disc(8, -4, 81, 45, 27, 15.0)).to be_within(0.01).of(inside.sum / 40_000.0)
  end

  it "does not change when both axes are mirrored, and grows with the radius" do
    expect(disc(8, -4, 81, 45, 27, 15.0)).to be_within(1e-9).of(disc(-8, 4, 81, 45, 27, 15.0))
    expect(disc(8, -4, 81, 45, 27, 30.0)).to be > disc(8, -4, 81, 45, 27, 15.0)
  end

  it "integrates a cubic exactly" do
    expect(described_class.simpson(-1.0, 3.0) { |x| (x**3) - (2 * x) }).to be_within(1e-9).of(12.0)
  end

  it "holds 90 percent within 1.645 SD, and treats a known number as known" do
    expect(described_class.between(-1.645, 1.645, mean: 0, sd: 1)).to be_within(1e-4).of(0.9)
    expect(described_class.between(0, 1, mean: 0.5, sd: 0)).to eq(1.0)
  end
end
