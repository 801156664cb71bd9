# frozen_string_literal: true

require "spec_helper"

RSpec.describe Verglas::Planning::SettingUp do
  def adjuster(**drives)
    Verglas::Machines::Adjuster.new(label: "a", marks: %w[1 2], travel: [0, 25], drives: drives, same_as: nil)
  end

  it "calls adjusters by what they drive, whatever their label" do
    expect(described_class.kind(adjuster(seat_edge: 1, back_face: 1))).to eq("back_face+seat_edge")
    expect(described_class.kind(adjuster.with(travel: []))).to eq("")
  end

  it "learns nothing of what was not moved" do
    expect(described_class.learned([[{}, 40], [{ "a" => 8 }, 8]]).keys).to eq(%w[a])
  end

  it "comes half the way with ten change-overs, and the whole way with many" do
    twice = ->(count) { described_class.learned([[{ "a" => 8 }, 16]] * count)["a"] }
    expect(twice[10].mean).to be_within(1e-9).of(1.5)
    expect(twice[1000].mean).to be_within(0.02).of(2)
    expect(twice[1000].sd).to be < 0.15
  end

  it "gives each kind the share of the time that the working figures give it" do
    told = described_class.learned([[{ "slow" => 12, "quick" => 4 }, 32]] * 40)
    # Thirty of forty for the one, ten for the other: each (10 + 2n) / (10 + n).
    expect(told["slow"].mean).to be_within(1e-9).of(70 / 40.0)
    expect(told["quick"].mean).to be_within(1e-9).of(30 / 20.0)
  end

  it "tells two kinds apart where they are moved by themselves too" do
    told = described_class.learned(([[{ "slow" => 8 }, 24]] * 30) + ([[{ "quick" => 8 }, 8]] * 30))
    expect(told["slow"].mean).to be_within(1e-9).of(2.5)
    expect(told["quick"].mean).to be_within(1e-9).of(1.0)
  end

  it "lets one long talk count for no more than four times" do
    expect(described_class.learned([[{ "a" => 8 }, 800]])["a"].mean).to be_within(1e-9).of(14 / 11.0)
  end
end
