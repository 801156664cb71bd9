# frozen_string_literal: true

require "spec_helper"

RSpec.describe Verglas::Loading::Balance do
  let(:loading) { Verglas::Loading }
  let(:person) { loading::Strength::Person.new(sex: :woman, mass_kg: 66, age_years: 34, stature_mm: 1660) }
  let(:known) { { "x" => [0.0, 0.01], "c" => [0.0, 0.01] } }

  def lifted(action, load_kg, last: :clean, week: 10)
    machine = action == :knee_flexion ? "c" : "x"
    loading::Lifted.new(week: week, machine: machine, action: action, load_kg: load_kg, repetitions: 10, last: last)
  end
  def strength(*sets, factors: known) = loading::Strength.new(person, sets, now: 10, factors: factors)
  def of(curl_kg, extension_kg, **given)
    described_class.curl_to_extension(
      strength(lifted(:knee_flexion, curl_kg), lifted(:knee_extension, extension_kg), **given)
    )
  end

  # The same by drawing: both strengths a hundred thousand times.
  def drawn(mean, sd, low, high, random: Random.new(3))
    outside =
      Array.new(50_000) do
        normal = Math.sqrt(-2 * Math.log(1 - random.rand)) * Math.cos(2 * Math::PI * random.rand)
        Math.exp(mean + (sd * normal))
      end
    outside.count { |share| !share.between?(low, high) } / 50_000.0
  end

  it "says how probable it is that a curl lies outside what is usual of an extension, as drawing does" do
    balance = of(14, 40)
    mean, variance =
      strength(lifted(:knee_flexion, 14), lifted(:knee_extension, 40)).difference(:knee_flexion, :knee_extension)
    expect(balance.share).to be_within(1e-9).of(Math.exp(mean))
    expect(balance.outside).to be_within(0.01).of(drawn(mean, Math.sqrt(variance), 0.45, 0.9))
  end

  it "is sure of what lies far outside or well inside, and surer of machines whose factor is known" do
    expect([of(10, 40), of(24, 40)].map(&:remarked?)).to eq([true, false])
    expect(of(10, 40, factors: {}).outside).to be < of(10, 40).outside
    expect(of(10, 40, factors: {}).share).to be > of(10, 40).share
  end

  it "tells sides the same from either, less by more visits, and nothing of two that are alike" do
    expect(described_class.sides(40, 40).outside).to be_within(0.02).of(0.27)
    expect(described_class.sides(40, 30).outside).to be_within(1e-9).of(described_class.sides(30, 40).outside)
    expect(described_class.sides(40, 40, before: [40, 40]).outside).to be < described_class.sides(40, 40).outside
    expect(described_class.sides(30, 40, before: [40, 30]).share).to be_within(1e-9).of(1)
    expect(described_class.sides(40, 30).outside).to be_within(0.01).of(
      drawn(Math.log(40 / 30.0), Math.sqrt(2 * described_class::NOISE), 0.9, 1 / 0.9)
    )
  end
end
