# frozen_string_literal: true

require "spec_helper"

RSpec.describe Verglas::Statistics::Draws do
  def covariance(draws)
    draws.first.each_index.map do |row|
      draws.first.each_index.map { |column| draws.sum { |draw| draw[row] * draw[column] } / draws.size }
    end
  end

  it "draws standard normals that are as wide and as independent as they should be" do
    [1, 2, 5, 9].each do |size|
      draws = described_class.standard(size)
      size.times { |at| expect(draws.sum { |draw| draw[at] } / draws.size).to be_within(0.05).of(0) }
      covariance(draws).each_with_index do |row, at|
        row.each_with_index { |entry, other| expect(entry).to be_within(0.15).of(at == other ? 1 : 0) }
      end
    end
  end

  it "has a covariance that is asked for, also one that says nothing along some direction" do
    asked = [[4.0, 2.0, 4.0], [2.0, 5.0, 2.0], [4.0, 2.0, 4.0]]
    drawn = described_class.of(asked)
    drawn.each { |one| expect(one[0]).to be_within(1e-9).of(one[2]) }
    covariance(drawn).flatten.zip(asked.flatten) { |is, should| expect(is).to be_within(0.5).of(should) }
  end

  it "is the same for whoever asks" do
    expect(described_class.standard(3)).to equal(described_class.standard(3))
  end
end
