# frozen_string_literal: true

require "spec_helper"

RSpec.describe Verglas::Linkages::Stance do
  let(:body) { Struct.new(:stature, :foot).new(1700.0, 260.0) }

  def stance(plate_mm, **placed) = described_class.of(body, plate_mm, placed)

  it "is a share of stature where the plate is wide enough or not taped, and as wide as the plate lets it where it " \
       "is not" do
    expect([nil, 800.0].map { |width| stance(width).to_h }).to all(eq(stance_mm: 310.0, turn_deg: 10.0))
    narrow = stance(380.0)
    expect([narrow.to_h[:stance_mm], narrow.room_mm]).to match([be < 310, be_between(0, 5)])
  end

  it "has with straight feet half a shoe beside the middle of each heel" do
    expect(stance(500.0, stance_mm: 300.0, turn_deg: 0.0).room_mm).to be_within(1e-9).of(((500 - 300) / 2) - 44)
  end

  it "hangs over by as much as it is placed too wide, and by more with the toes turned out" do
    straight, turned = [0.0, 30.0].map { |deg| stance(500.0, stance_mm: 600.0, turn_deg: deg).room_mm }
    expect([straight, turned]).to match([be_within(1e-9).of(-94), be_within(1e-9).of(-94 - ((260 - 44) / 2))])
    expect(stance(nil, stance_mm: 600.0).room_mm).to be_nil
  end
end
