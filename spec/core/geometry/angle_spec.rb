# frozen_string_literal: true

RSpec.describe Verglas::Geometry::Angle do
  it "goes from degrees to radians and back" do
    [-180, -30, 0, 45, 90, 360].each do |degrees|
      expect(described_class.degrees(described_class.radians(degrees))).to be_within(1e-9).of(degrees)
    end
    expect(described_class.radians(180)).to be_within(1e-12).of(Math::PI)
  end

  it "has an arcsine that stays at a right angle where a ratio is past one" do
    expect([-1.2, -1, 0, 0.5, 1, 1 + 1e-12].map { |ratio| described_class.arcsine_deg(ratio).round(6) }).to eq(
      [-90, -90, 0, 30, 90, 90]
    )
  end
end
