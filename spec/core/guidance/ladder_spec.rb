# frozen_string_literal: true

require "spec_helper"

RSpec.describe Verglas::Guidance::Ladder do
  visit =
    Struct.new(:clean, :back) do
      def clean? = clean
      def sends_back? = back
    end
  clean = visit.new(true, false)
  odd = visit.new(false, true)
  plain = visit.new(false, false)

  def rungs(*visits) = visits.each_index.map { |index| described_class.of(visits.take(index + 1)).rung }

  it "begins with the range and climbs a rung after two clean visits in a row" do
    expect(described_class.of([]).rung).to eq(:range)
    expect(rungs(*[clean] * 8)).to eq(%i[range control control load load harder harder harder])
  end

  it "goes one rung back after a sign or missing range, and begins the count anew" do
    expect(rungs(clean, clean, clean, odd, clean, clean)).to eq(%i[range control control range range control])
    expect(described_class.of([clean, clean, odd])).to have_attributes(
      rung: :range,
      moved: :back,
      missing: 2,
      back: nil
    )
    expect(described_class.of([odd, odd]).rung).to eq(:range)
  end

  it "neither climbs nor falls for a set that was not reached or not told" do
    expect(rungs(clean, plain, clean, clean)).to eq(%i[range range range control])
    expect(described_class.of([clean])).to have_attributes(onward: :control, missing: 1, moved: nil)
  end

  it "tells nothing past the rung that a caution leaves" do
    held = described_class.of([clean] * 20, most: :load)
    expect(held).to have_attributes(rung: :load, onward: nil, missing: nil, told: %i[range control load])
    expect(held).to be_held_back
    expect(described_class.of([clean] * 20)).not_to be_held_back
  end

  it "has nothing above the last rung" do
    top = described_class.of([clean] * 20)
    expect(top).to have_attributes(rung: :harder, onward: nil, missing: nil, back: :load)
  end
end
