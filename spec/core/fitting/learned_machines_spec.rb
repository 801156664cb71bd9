# frozen_string_literal: true

require "spec_helper"

RSpec.describe Verglas::Fitting::TapedBias do
  it "stays at nothing without a fitting, and goes to what many say" do
    expect(described_class.learned([])).to have_attributes(mean_mm: 0.0, sd_mm: be_within(1e-9).of(15), count: 0)
    many = described_class.learned([[-500.0, -509.0, 20.0, 100.0]] * 200)
    expect(many.mean_mm).to be_within(0.1).of(9)
    expect(many.sd_mm).to be < 1.2
  end
end

RSpec.describe Verglas::Fitting::UntapedScale do
  # A scale of 20 mm a mark, mark 4 in the middle.
  let(:fits) { (-3..3).map { |step| [500.0 + (20 * step), 25.0, 4 + step] } }

  it "finds the slope and the middle of a scale that nobody taped" do
    scale = described_class.new(fits * 5, marks: 8, middle_mm: 500.0)
    expect(scale.slope).to be_within(0.002).of(1 / 20.0)
    expect(scale.at_middle).to be_within(0.05).of(4)
    mean, sd = scale.mark(540.0, 25.0)
    expect(mean).to be_within(0.1).of(6)
    expect(sd).to be_between(0.57, 0.75)
  end

  it "is surer of a length that is known better" do
    scale = described_class.new(fits, marks: 8, middle_mm: 500.0)
    expect(scale.mark(520.0, 400.0).last).to be > scale.mark(520.0, 4.0).last
  end
end
