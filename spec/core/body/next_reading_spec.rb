# frozen_string_literal: true

RSpec.describe Verglas::Body::NextReading do
  let(:known) { estimate(sex: "woman", stature: 1648) }
  let(:gradients) { [Verglas::Body.row(hip_depth: 1, thigh: 1), Verglas::Body.row(shank: 1)] }

  it "foretells exactly what the reading will leave, whatever it reads" do
    described_class
      .rank(estimate: known, gradients: gradients, taken: [:stature])
      .each do |offer|
        observation = Verglas::Body::Observation.fetch(offer.observation)
        after = known.normal.observe(row: observation.row, value: 500, sd: observation.sd_mm)
        expect(offer.variance_after_mm2).to be_within(1e-6).of(gradients.sum { |gradient| after.variance(gradient) })
      end
  end

  it "offers the seat first for a back pad and a roller, never what was taken, best first" do
    offers = described_class.rank(estimate: known, gradients: gradients, taken: %i[stature seat_to_crease])
    expect(offers.first.observation).to eq(:seat_to_kneecap)
    expect(offers.map(&:observation)).not_to include(:stature, :seat_to_crease)
    expect(offers.map(&:drop_mm2)).to eq(offers.map(&:drop_mm2).sort.reverse)
  end
end
