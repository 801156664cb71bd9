# frozen_string_literal: true

require "spec_helper"

RSpec.describe Verglas::Planning::Pair do
  def exercise(id, **given)
    Verglas::Planning::Exercise.new(
      id: id,
      works: [id],
      rank: 3,
      place: "windows",
      worth: 1,
      kept: false,
      most: 3,
      set_s: 40,
      rest_s: 100,
      light_s: 0,
      change_s: 10,
      in_s: 5,
      out_s: 5,
      **given
    )
  end

  # Written out: change 10 + 10; a, hop, b, hop, a, hop, b with 5 s to get in each time; nobody has to wait more than
  # is left of 100 s of rest after two hops of 10, the other's set and two times getting in (90 s): 10 s each; out twice
  # and two lines written.
  it "adds up, second by second, what two in turn take" do
    pair = described_class.new(exercise("a"), exercise("b"))
    expect(pair.in_turn_s(2)).to eq(20 + (4 * 45) + (3 * 10) + (2 * 30) + 10 + 20)
  end

  it "walks once more for light sets" do
    light = described_class.new(exercise("a", light_s: 60), exercise("b"))
    expect(light.in_turn_s(1) - described_class.new(exercise("a"), exercise("b")).in_turn_s(1)).to eq(60 + 10)
  end

  it "is offered only where it saves time and no muscle is common" do
    expect(described_class.new(exercise("a"), exercise("b")).saves_s(3)).to be_positive
    expect(described_class.new(exercise("a"), exercise("b", works: %w[a])).saves_s(3)).to be_nil
    expect(described_class.new(exercise("a", rest_s: 0), exercise("b", rest_s: 0)).saves_s(3)).to be_nil
  end

  it "is one exercise of a session that takes what the two take in turn" do
    pair = described_class.new(exercise("a", light_s: 60, rest_s: 30), exercise("b", place: "door", out_s: 9))
    expect((1..3).map { |sets| pair.as_one.alone_s(sets) }).to eq((1..3).map { |sets| pair.in_turn_s(sets) })
  end

  it "is closed with the cautions that the table names, for old newcomers and for newcomers of no known age" do
    open = ->(**given) { described_class.open?(cautions: [], years: 40, newcomer: false, **given) }
    expect(open.call).to be(true)
    %i[blood_pressure heart pregnancy dizziness].each do |caution|
      expect(open.call(cautions: [:knee, caution])).to be(false)
    end
    expect(open.call(cautions: %i[knee])).to be(true)
    expect([64, 65, nil].map { |years| open.call(years: years, newcomer: true) }).to eq([true, false, false])
    expect(open.call(years: 80)).to be(true)
  end
end
