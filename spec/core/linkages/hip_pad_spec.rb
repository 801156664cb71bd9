# frozen_string_literal: true

RSpec.describe Verglas::Linkages::HipPad do
  let(:body) { Worked.body("middle") }

  it "bends the hips by the thigh's slope and the trunk's together" do
    thigh_deg = Math.asin(50 / body.thigh) * 180 / Math::PI
    trunk_deg = Math.asin(50 / (0.8 * body.torso)) * 180 / Math::PI
    expect(described_class.bend_deg(body, 50)).to be_within(1e-9).of(thigh_deg + trunk_deg)
    expect(described_class.bend_deg(body, 0)).to eq(0)
  end

  it "wants the thickness that gives fifteen degrees: 45 to 60 mm on usual bodies" do
    Worked::BODIES.each_key do |id|
      wanted = described_class.wanted_mm(Worked.body(id))
      expect(described_class.bend_deg(Worked.body(id), wanted)).to be_within(1e-6).of(15), id
      expect(wanted).to be_between(40, 65), id
    end
  end

  it "takes of the pads that exist the one whose bend is nearest, and none where every pad is worse" do
    expect(described_class.nearest(body, [30, 50, 80])).to eq(50)
    expect(described_class.nearest(body, [])).to eq(0)
    expect(described_class.nearest(body, [200])).to eq(0)
  end

  it "needs a thicker pad the longer the body" do
    small, large = %w[small large].map { |id| described_class.wanted_mm(Worked.body(id)) }
    expect(large).to be > small
  end
end
