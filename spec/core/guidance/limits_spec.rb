# frozen_string_literal: true

RSpec.describe Verglas::Guidance::Limits do
  it "reads the ankle in centimetres from the wall, 3.6 degrees each, everything else in degrees" do
    expect(described_class.fetch(:ankle).degrees(10)).to be_within(1e-9).of(36)
    expect(described_class.fetch(:hip_bend).degrees(108)).to eq(108.0)
    expect { described_class.fetch(:ankle).degrees(30) }.to raise_error(Verglas::Invalid) { |error|
      expect(error.params).to eq({ low: 0.0, high: 16.7 })
    }
    expect { described_class.fetch(:elbow) }.to raise_error(Verglas::Invalid, /unknown limit/)
  end

  it "narrows the joint that was measured, at the end that was found, and no other" do
    expect(described_class.envelope({})).to be_open
    expect(described_class.envelope({ knee_bend: 75.0, ankle: 20.0 }).spans).to eq(
      { knee_flexion: [nil, 75.0], ankle_dorsiflexion: [nil, 20.0] }
    )
  end

  it "is not measured under the cautions that concern the joint" do
    skipped = described_class::ALL.transform_values { |limit| limit.skipped_for(%i[knee ankle hip_replacement]) }
    expect(skipped).to eq(
      {
        knee_bend: [:knee],
        knee_straight: [:knee],
        hip_bend: [:hip_replacement],
        ankle: [:ankle],
        abduction: [:hip_replacement],
        adduction: [:hip_replacement],
        hip_extension: [:hip_replacement],
        hinge: [:hip_replacement],
        heel_drop: [:ankle]
      }
    )
  end
end
