# frozen_string_literal: true

require "spec_helper"

RSpec.describe Verglas::Planning::Refits do
  quiet = {
    months: 0,
    years: 40,
    notches: nil,
    load_ratio: nil,
    visits: 0,
    whole_visits: 0,
    caution_changed: false,
    sent_back: false,
    redescribed: false,
    checkable: true,
    checked: true
  }

  def names(**facts) = described_class.of(described_class::Card.new(**facts)).map(&:name)

  it "asks for nothing where nothing changed" do
    expect(names(**quiet)).to be_empty
  end

  {
    caution_changed: [{ caution_changed: true }, { caution_changed: false }],
    sign_unsolved: [{ sent_back: true }, { sent_back: false }],
    redescribed: [{ redescribed: true }, { redescribed: false }],
    notches: [{ notches: 2 }, { notches: 1 }],
    range_never_whole: [{ visits: 3, whole_visits: 0 }, { visits: 3, whole_visits: 1 }],
    load_doubled: [{ load_ratio: 2.0 }, { load_ratio: 1.9 }],
    grown: [{ years: 19, months: 6 }, { years: 20, months: 6 }],
    long_since: [{ months: 12 }, { months: 11 }],
    never_checked: [{ checked: false, months: 1 }, { checked: false, months: 0 }]
  }.each do |name, (holds, not_yet)|
    it "asks for it by #{name}, and not before" do
      expect(names(**quiet, **holds)).to include(name)
      expect(names(**quiet, **not_yet)).not_to include(name)
    end
  end

  it "tells the weightiest first, each with its number" do
    reasons = described_class.of(described_class::Card.new(**quiet, months: 14, notches: 3, caution_changed: true))
    expect(reasons.map { |reason| [reason.name, reason.numbers] }).to eq(
      [[:caution_changed, {}], [:notches, { notches: 3 }], [:long_since, { months: 14 }]]
    )
  end

  it "never asks where a fit cannot be seen by eye, nor for the age of somebody of unknown age" do
    expect(names(**quiet, checkable: false, checked: false, months: 3)).to be_empty
    expect(names(**quiet, years: nil, months: 7)).to be_empty
    expect([described_class.months(15), described_class.months(20), described_class.months(nil)]).to eq([6, 12, 12])
  end
end
