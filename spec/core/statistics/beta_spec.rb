# frozen_string_literal: true

RSpec.describe Verglas::Statistics::Beta do
  def lower(successes, tried) = described_class.quantile(0.1, successes: successes, failures: tried - successes)

  it "is what can be written down where it can" do
    # Beta(1, 1) is level; Beta(2, 1) has x squared below x, Beta(1, 2) the rest of (1 - x) squared.
    expect(lower(0, 0)).to be_within(1e-9).of(0.1)
    expect(lower(1, 1)).to be_within(1e-9).of(Math.sqrt(0.1))
    expect(lower(0, 1)).to be_within(1e-9).of(1 - Math.sqrt(0.9))
  end

  it "is near what draws have below it, whatever the counts" do
    random = Random.new(3)
    [[3, 9], [12, 40], [30, 31]].each do |successes, tried|
      # The (successes + 1)th smallest of tried + 1 level draws is Beta(successes + 1, tried - successes + 1).
      drawn = Array.new(4000) { Array.new(tried + 1) { random.rand }.sort[successes] }
      below = drawn.count { |share| share < lower(successes, tried) } / 4000.0
      expect(below).to be_within(0.02).of(0.1)
    end
  end

  it "rises with what helped, falls with what did not, and nears the share itself" do
    expect(lower(1, 1)).to be > lower(0, 0)
    expect(lower(1, 2)).to be < lower(1, 1)
    expect(lower(50_000, 100_000)).to be_between(0.46, 0.5)
  end
end
