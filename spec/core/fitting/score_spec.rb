# frozen_string_literal: true

RSpec.describe Verglas::Fitting::Score do
  def finding(severity, cost) = Verglas::Mechanisms::Finding.new(:offset, 0, 0, severity, cost, nil)

  it "adds up to the score of all findings together" do
    random = Random.new(5)
    200.times do
      findings = Array.new(6) { finding(random.rand(4), random.rand) }
      one, other = findings.partition { random.rand < 0.5 }
      expect((described_class.of(one) + described_class.of(other)).key).to eq(described_class.of(findings).key)
    end
  end

  it "compares severity before number before cost" do
    worse = described_class.new(2, 1, 0.0)
    more = described_class.new(1, 3, 0.0)
    dearer = described_class.new(1, 2, 9.0)
    expect([worse, more, dearer].sort).to eq([dearer, more, worse])
  end

  it "counts nothing when everything is in line" do
    expect(described_class.of([finding(0, 0.2), finding(0, 0.1)]).key).to eq([0, 0, 0.3])
  end
end
