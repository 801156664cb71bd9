# frozen_string_literal: true

RSpec.describe Verglas::Machines::Band do
  let(:gap) { Verglas::Machines::Declaration::BANDS[:crease_gap] }

  it "decides on unrounded numbers, its ends included" do
    {
      -15.001 => 2,
      -15 => 1,
      -5.001 => 1,
      -5 => 0,
      5 => 0,
      15 => 0,
      15.001 => 1,
      30 => 1,
      30.001 => 2
    }.each { |graded, severity| expect(gap.severity(graded)).to eq(severity), graded.to_s }
  end

  it "costs nothing on its target, one at half a band's width, and the square beyond" do
    expect([5, 15, -5, 25].map { |graded| gap.cost(graded) }).to eq([0.0, 1.0, 1.0, 4.0])
  end

  it "tells how far outside the close band a number lies, on either side" do
    expect([0, 30, 42.5, -20].map { |graded| gap.shortfall(graded) }).to eq([0.0, 0.0, 12.5, 5.0])
  end

  it "holds bands that nest, with their target in line, for everything that is graded" do
    Verglas::Machines::Declaration::BANDS.each do |code, band|
      expect(band.close.cover?(band.in_line)).to be(true), code.to_s
      expect(band.in_line.cover?(band.target)).to be(true), code.to_s
      expect(band.half).to be_positive
    end
  end

  it "never grades a number better the further it lies from the target, on one side" do
    Verglas::Machines::Declaration::BANDS.each_value do |band|
      [1, -1].each do |side|
        severities = (0..200).map { |step| band.severity(band.target + (side * step)) }
        expect(severities).to eq(severities.sort) unless side.negative? && band.in_line.min.zero? && band.target.zero?
      end
    end
  end
end
