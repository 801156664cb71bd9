# frozen_string_literal: true

require "spec_helper"

RSpec.describe Verglas::Planning::Learned do
  def learned(**given) = described_class.of(60, 12, count: 0, mean_s: 0, sd_s: 0, **given)

  it "stays at the working figure while nothing was measured" do
    expect(learned).to have_attributes(mean_s: 60, sd_s: 12)
  end

  it "is what ten imagined times and those that were measured have in common" do
    imagined = [48, 72] * 5
    measured = [90, 110, 95, 105]
    all = imagined + measured
    mean = all.sum / 14.0
    sd = Math.sqrt(all.sum { |one| (one - mean)**2 } / 14)
    expect(learned(count: 4, mean_s: 100, sd_s: Math.sqrt(62.5))).to have_attributes(
      mean_s: be_within(1e-9).of(mean),
      sd_s: be_within(1e-9).of(sd)
    )
  end
end
