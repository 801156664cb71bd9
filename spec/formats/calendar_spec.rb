# frozen_string_literal: true

require "spec_helper"

RSpec.describe Verglas::Formats::Calendar do
  it "folds lines at 75 octets, within no letter, and escapes what would begin another" do
    hostile = "Net\r\nX-EVIL:1\nBEGIN:VEVENT; a, b \\ #{"ö" * 80}"
    text =
      described_class.of(
        [{ id: "1", day: Date.new(2026, 12, 1), title: hostile, text: "why\r\nATTENDEE:x" }],
        name: hostile,
        now: Time.utc(2026, 11, 29)
      )
    lines = text.split("\r\n")
    expect(lines.map(&:bytesize).max).to be <= 75
    expect(lines).to all(be_valid_encoding)
    expect(lines.grep(/\A(X-EVIL|ATTENDEE)/)).to eq([])
    expect(lines.count("BEGIN:VEVENT")).to eq(1)
    expect(text.gsub("\r\n ", "")).to include("X-WR-CALNAME:Net\\nX-EVIL:1\\nBEGIN:VEVENT\\; a\\, b \\\\ #{"ö" * 80}")
  end
end
