# frozen_string_literal: true

require "spec_helper"

RSpec.describe Verglas::Planning::Learned do
  def learned(**given) = described_class.of(60, 12, count: 0, mean: 0, sd: 0, **given)

  it "stays at the working figure while nothing was measured" do
    expect(learned).to have_attributes(mean: 60, sd: 12)
  end

  it "is what ten imagined times and those that were measured have in common" do
    imagined = [48, 72] * 5
    measured = [90, 110, 95, 105]
    all = imagined + measured
    mean = all.sum / 14.0
    sd = Math.sqrt(all.sum { |one| (one - mean)**2 } / 14)
    expect(learned(count: 4, mean: 100, sd: Math.sqrt(62.5))).to have_attributes(
      mean: be_within(1e-9).of(mean),
      sd: be_within(1e-9).of(sd)
    )
  end
end
