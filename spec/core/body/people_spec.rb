# frozen_string_literal: true

RSpec.describe Verglas::Body::People do
  it "tries a machine on a small, a middle and a large person, known by stature alone" do
    three = described_class.three
    expect(three.keys).to eq(%i[small middle large])
    expect(three.values.map { |person| person.dimensions.stature }).to match(
      [1520, 1690, 1900].map { |stature| be_within(2).of(stature) }
    )
    expect(three.values.map { |person| person.sd[:thigh] }).to all(be > 8)
  end

  it "covers the statures that a gym meets, evenly" do
    statures = described_class.range.map { |person| person.dimensions.stature }
    expect(statures).to match(1500.step(1950, 50).map { |stature| be_within(2).of(stature) })
  end
end
