# frozen_string_literal: true

RSpec.describe Verglas::Mechanisms::LyingKnee do
  let(:flat) { Worked.machine("lie_flat") }
  let(:middle) { Worked.body("middle") }

  def mechanics(machine, body, **wishes)
    described_class.new(machine: machine, body: body, wishes: Worked.wishes(machine, **wishes))
  end

  def numbers(mechanics, parameters) = mechanics.quantities(mechanics.place(parameters))

  it "rolls the roller up as the knee bends: the same contact as a seated curl mirrored" do
    lying = mechanics(flat, middle)
    place = lying.place(flat.parameters([2]))
    seated =
      Verglas::Linkages::RollerContact.at(
        knee: place.joint,
        reach_mm: place[:roller_reach],
        clearance_mm: lying.clearance_mm(place),
        side: -1,
        arm_deg: 70
      )
    expect(lying.contact(place, 70)).to eq(seated)
  end

  it "has the knee above the pivot where the thigh is thicker than the pivot is high" do
    thick = Verglas::Body::Dimensions.from(middle.to_h.merge(knee_front: 80.0))
    expect(mechanics(flat, thick).joint(flat.parameters([2])).n).to be_within(1e-9).of(57 - 80.0)
    high = mechanics(flat, Verglas::Body::Dimensions.from(middle.to_h.merge(knee_front: 95.0)))
    finding = high.all_findings(high.place(flat.parameters([2]))).first
    expect([finding.code, finding.severity]).to eq([:offset, 2])
  end

  it "bends the knee by what the pad under the hips turns the thigh, on a flat bench only" do
    hinged = Worked.machine("lie_hinged")
    bend = ->(machine, indices, pad) do
      numbers(mechanics(machine, middle, hip_pad_mm: pad), machine.parameters(indices))[:knee_bend_start_deg]
    end
    expect(bend.call(flat, [2], 50.0) - bend.call(flat, [2], 0.0)).to be_within(1e-9).of(
      Math.asin(50 / 416.5) * 180 / Math::PI
    )
    expect(bend.call(hinged, [2, 1], 50.0)).to eq(bend.call(hinged, [2, 1], 0.0))
    expect(numbers(mechanics(hinged, middle), hinged.parameters([2, 1]))[:hip_bend_deg]).to eq(14.0)
  end

  it "tells how far the kneecap lies beyond the pad when the client slides" do
    laid = ->(at) { numbers(mechanics(flat, middle, knee_laid_mm: at), flat.parameters([2])) }
    expect(laid.call(8.0)[:kneecap_clear_mm] - laid.call(0.0)[:kneecap_clear_mm]).to eq(8.0)
    expect(laid.call(8.0)[:knee_s_mm]).to eq(8.0)
  end

  describe Verglas::Linkages::HipPad do
    it "agrees with the worked example" do
      example = Worked.examples("hip_pad").first["expect"]
      example.each { |name, pad| expect(described_class.wanted_mm(Worked.body(name))).to be_within(0.1).of(pad) }
    end

    it "bends the hips by fifteen degrees with what it asks for, and rounds to pads that exist" do
      expect(described_class.bend_deg(middle, described_class.wanted_mm(middle))).to be_within(1e-9).of(15)
      expect(described_class.nearest(middle, [30, 50, 70])).to eq(50)
      expect(described_class.nearest(middle, [])).to eq(0)
    end
  end
end
