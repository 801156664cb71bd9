# frozen_string_literal: true

RSpec.describe Verglas::Geometry::Root do
  def root(from, upto, &) = described_class.between(from, upto, close: 1e-12, &)

  it "finds where curves of any shape cross zero, in few tries" do
    { ->(x) { (x**3) - 2 } => 2**(1 / 3.0), ->(x) { Math.cos(x) - (1 - x) - 0.3 } => nil, ->(x) { Math.exp(x) - 5 } => Math.log(5), ->(x) { x - 0.25 } => 0.25 }.each do |curve, known|
      tried = 0
      found = root(0.0, 2.0) { |x| (tried += 1) && curve.call(x) }
      expect(curve.call(found).abs).to be < 1e-11
      expect(found).to be_within(1e-9).of(known) if known
      expect(tried).to be < 20
    end
  end

  it "is what halving finds, on random cubics" do
    random = Random.new(11)
    200.times do
      a = random.rand
      b = random.rand
      curve = ->(x) { (a * (x**3)) + (b * x) - 0.3 }
      low = 0.0
      high = 10.0
      100.times { ((low + high) / 2).then { |middle| curve.call(middle).negative? ? low = middle : high = middle } }
      expect(root(0.0, 10.0, &curve)).to be_within(1e-7).of(low)
    end
  end
end
