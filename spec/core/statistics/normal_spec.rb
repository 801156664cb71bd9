# frozen_string_literal: true

require "matrix"

RSpec.describe Verglas::Statistics::Normal do
  let(:normal) { described_class.new(mean: [10, 20, 30], covariance: [[4, 1, 0.5], [1, 9, -2], [0.5, -2, 16]]) }

  it "weighs one number and one reading by their precisions" do
    one = described_class.new(mean: [100], covariance: [[9]]).observe(row: [1], value: 112, sd: 4)
    expect(one.mean.first).to be_within(1e-12).of(((100 / 9.0) + (112 / 16.0)) / ((1 / 9.0) + (1 / 16.0)))
    expect(one.covariance[0][0]).to be_within(1e-12).of(1 / ((1 / 9.0) + (1 / 16.0)))
  end

  it "agrees with the Joseph form written with matrices" do
    row = [1, -1, 0.5]
    observed = normal.observe(row: row, value: 7, sd: 2)
    p = Matrix[*normal.covariance]
    h = Matrix[row]
    gain = p * h.transpose / ((h * p * h.transpose)[0, 0] + 4)
    rest = Matrix.identity(3) - (gain * h)
    joseph = (rest * p * rest.transpose) + (gain * 4 * gain.transpose)
    expect((Matrix[*observed.covariance] - joseph).to_a.flatten.map(&:abs).max).to be < 1e-12
  end

  it "does not care about the order of readings" do
    readings = [
      { row: [1, 0, 1], value: 44, sd: 3 },
      { row: [0, 1, 0], value: 25, sd: 1 },
      { row: [1, 1, 1], value: 58, sd: 5 }
    ]
    results = readings.permutation.map { |order| order.inject(normal) { |known, given| known.observe(**given) } }
    results.each do |result|
      result.mean.zip(results.first.mean) { |one, other| expect(one).to be_within(1e-9).of(other) }
    end
  end

  it "never lets a variance grow or turn negative, however sharp the reading" do
    sharp = normal.observe(row: [1, 0, 0], value: 10, sd: 1e-6).observe(row: [1, 0, 0], value: 10, sd: 1e-6)
    3.times { |i| expect(sharp.covariance[i][i]).to be_between(0, normal.covariance[i][i]) }
  end

  it "refuses a covariance of another size" do
    expect { described_class.new(mean: [1, 2], covariance: [[1]]) }.to raise_error(ArgumentError)
  end
end
