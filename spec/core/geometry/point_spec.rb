# frozen_string_literal: true

RSpec.describe Verglas::Geometry::Point do
  it "points along the seat at 0, straight down at 90 and up at -90" do
    expect([0, 90, -90].map { |deg| described_class.towards(deg).to_a.map { |value| value.round(12) } }).to eq(
      [[1.0, 0.0], [0.0, -1.0], [0.0, 1.0]]
    )
  end

  it "finds again the angle it was made of" do
    (-170..170).step(17) { |deg| expect((described_class.towards(deg) * 250).angle_deg).to be_within(1e-9).of(deg) }
  end

  it "clamps an arcsine that rounding pushed past one" do
    expect(Verglas::Geometry::Angle.arcsine_deg(1.0000001)).to eq(90.0)
    expect(Verglas::Geometry::Angle.arcsine_deg(-3)).to eq(-90.0)
  end
end
