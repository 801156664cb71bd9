# frozen_string_literal: true

RSpec.describe Verglas::Value do
  let(:pair) do
    described_class.define(:low, :high) { def check = low <= high || raise(Verglas::Invalid, :upside_down) }
  end

  it "is built whole, frozen, and checked at birth" do
    expect(pair.new(low: 1, high: 2)).to be_frozen
    expect { pair.new(low: 1) }.to raise_error(ArgumentError, /missing high/)
    expect { pair.new(low: 1, high: 2, wide: 3) }.to raise_error(ArgumentError, /unknown wide/)
    expect { pair.new(low: 3, high: 2) }.to raise_error(Verglas::Invalid)
  end

  it "checks a changed copy too, and leaves the first alone" do
    first = pair.new(low: 1, high: 2)
    expect(first.with(high: 5).high).to eq(5)
    expect(first.high).to eq(2)
    expect { first.with(high: 0) }.to raise_error(Verglas::Invalid)
  end
end
