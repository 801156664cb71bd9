# frozen_string_literal: true

require "spec_helper"

RSpec.describe Verglas::Planning::Circuit do
  station = Verglas::Planning::Changeover.new(pin_s: 3, adjusters: { "seat" => [6, 2] })

  def circuit(seats, station, closed: true)
    described_class.new(
      seats.map { |seat| { "press" => seat && { "seat" => seat } } },
      { "press" => station },
      closed: closed
    )
  end

  it "puts people of one size beside one another" do
    expect(circuit([1, 8, 1, 8, 1], station).order).to eq([0, 1, 3, 2, 4])
    expect(circuit([5, 1, 9], station, closed: false).order).to eq([1, 0, 2])
  end

  it "tells the seconds of the whole round, the way back among them where it is closed" do
    expect(circuit([1, 3], station).seconds).to eq(2 * (3 + 6 + 4))
    expect(circuit([1, 3], station, closed: false).seconds).to eq(3 + 6 + 4)
    expect(circuit([1], station).seconds).to eq(0)
  end

  it "moves nothing for somebody who does not go to a station" do
    expect(circuit([1, nil], station).seconds).to eq(0)
  end

  it "refuses more people than it can weigh" do
    expect { circuit([1] * 13, station) }.to raise_error(Verglas::Invalid, /too many people/)
  end

  it "sets everything where nobody knows how a machine stands" do
    expect(station.seconds(nil, { "seat" => 4 })).to eq(9)
    expect(station.seconds({ "seat" => 4 }, { "seat" => 4 })).to eq(3)
    expect(station.seconds({}, { "seat" => 4 })).to eq(3)
  end
end
