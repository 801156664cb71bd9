# frozen_string_literal: true

RSpec.describe Verglas::Fitting::Limits do
  it "reads the ankle in centimetres from the wall, 3.6 degrees each, everything else in degrees" do
    expect(described_class.fetch(:ankle).degrees(10)).to be_within(1e-9).of(36)
    expect(described_class.fetch(:hip_bend).degrees(108)).to eq(108.0)
    expect { described_class.fetch(:ankle).degrees(30) }.to raise_error(Verglas::Invalid) { |error| expect(error.params).to eq({ low: 0.0, high: 16.7 }) }
    expect { described_class.fetch(:elbow) }.to raise_error(Verglas::Invalid, /unknown limit/)
  end

  it "narrows the bend of the knee and a start beyond it, never widens what a caution allows" do
    wishes = { start_bend_deg: 90.0, knee_bend_limit_deg: nil }
    expect(described_class.narrowing({}, wishes)).to eq({})
    expect(described_class.narrowing({ knee_bend: 75.0 }, wishes)).to eq({ knee_bend_limit_deg: 75.0, start_bend_deg: 75.0 })
    expect(described_class.narrowing({ knee_bend: 120.0 }, wishes)).to eq({ knee_bend_limit_deg: 120.0, start_bend_deg: 90.0 })
    expect(described_class.narrowing({ knee_bend: 120.0 }, wishes.merge(knee_bend_limit_deg: 80.0))[:knee_bend_limit_deg]).to eq(80.0)
  end

  it "is not measured under the cautions that concern the joint" do
    skipped = described_class::ALL.transform_values { |limit| limit.skipped_for(%i[knee ankle hip_replacement]) }
    expect(skipped).to eq({ knee_bend: [:knee], hip_bend: [:hip_replacement], ankle: [:ankle], abduction: [:hip_replacement], heel_drop: [:ankle] })
  end
end
