# frozen_string_literal: true

require "spec_helper"

RSpec.describe Verglas::Loading::NextLoad do
  let(:stack) { Verglas::Loading::Stack.new(stack_kg: [5, 10, 15, 20, 25, 30].map(&:to_f), addons_kg: []) }

  def set(load_kg, last = :clean, reached: 1, joint: false, sign: false, one_leg: false)
    Verglas::Loading::DoneSet.new(
      load_kg: load_kg,
      last: last,
      reached: reached,
      joint: joint,
      sign: sign,
      one_leg: one_leg
    )
  end

  def visit(*sets, pad: { "roller" => "C" }) = Verglas::Loading::Visit.new(sets: sets, pad: pad)
  def today(last, **given) = described_class.today(stack, last, pad: { "roller" => "C" }, **given)
  def told(...) = today(...).then { |one| [one.choice.mass_kg, one.reason] }

  it "begins at the lightest where nothing is known" do
    expect(told(nil)).to eq([5, :nothing_known])
    expect(told(visit(set(nil)))).to eq([5, :nothing_known])
  end

  it "goes a step up after easy, holds after clean, a step down where it was not reached" do
    expect(told(visit(set(15, :easy), set(15, :easy)))).to eq([20, :easy])
    expect(today(visit(set(15, :easy), set(15, :easy))).count).to eq(2)
    expect(told(visit(set(15, :easy), set(15, :clean)))).to eq([15, :clean])
    expect(told(visit(set(15, :easy), set(15, :not_reached)))).to eq([10, :not_reached])
    expect(told(visit(set(15, nil)))).to eq([15, :unsaid])
  end

  it "counts missing range before load: nine tenths of it are whole, less is not" do
    expect(told(visit(set(15, :easy, reached: 0.75)))).to eq([10, :short])
    expect(told(visit(set(15, :easy, reached: 0.9)))).to eq([20, :easy])
    expect(told(visit(set(15, :easy, reached: 0.89)))).to eq([10, :short])
    expect(told(visit(set(15, :easy, reached: nil)))).to eq([20, :easy])
  end

  it "asks for a measure before missing range takes the load down, and holds nothing else for it" do
    expect(told(visit(set(15, :easy, reached: 0.75)), measure: true)).to eq([15, :measure_straight])
    expect(told(visit(set(15, :not_reached)), measure: true)).to eq([10, :not_reached])
    expect(told(visit(set(15, :easy, sign: true)), measure: true)).to eq([10, :sign])
  end

  it "holds once after the roller went to another mark, and never keeps a load up for it" do
    moved = { pad: { "roller" => "B" } }
    expect(told(visit(set(15, :easy), **moved))).to eq([15, :pad_moved])
    expect(told(visit(set(15, :not_reached), **moved))).to eq([10, :not_reached])
    # the visit after it stands at the new mark: no longer held
    expect(told(visit(set(15, :easy)))).to eq([20, :easy])
  end

  it "takes the light set where it hurt in a joint, and a step down after a sign, at whichever load it was" do
    expect(told(visit(set(20, :easy, joint: true)))).to eq([10, :joint])
    expect(told(visit(set(20, :easy, joint: true)), light_share: 0.5)).to eq([5, :joint])
    expect(told(visit(set(10, :easy, sign: true), set(20, :easy)))).to eq([15, :sign])
  end

  it "keeps two in hand where a caution asks for it: easy holds, hard goes down" do
    expect(
      [
        told(visit(set(15, :easy)), in_hand: true),
        told(visit(set(15, :clean)), in_hand: true),
        told(visit(set(15, :not_reached)), in_hand: true)
      ]
    ).to eq([[15, :kept_in_hand], [10, :hard_in_hand], [10, :not_reached]])
  end

  it "never steps up after more than four weeks, takes a part off for each week past three, and begins anew after " \
       "half a year or an illness" do
    gap = ->(weeks, anew: false) { Verglas::Loading::Gap.new(weeks: weeks, anew: anew) }
    expect(told(visit(set(20, :easy)), gap: gap[4.0])).to eq([25, :easy])
    expect(told(visit(set(20, :easy)), gap: gap[4.5])).to eq([15, :gap]) # 20 times e to the minus 0.018
    expect(told(visit(set(30, :clean)), gap: gap[20.0])).to eq([20, :gap]) # 30 times e to the minus 0.204
    expect(gap[26.0].share).to be_within(1e-12).of(Math.exp(-0.276))
    expect(gap[60.0].share).to eq(0.6)
    expect(told(visit(set(30, :clean)), gap: gap[26.1])).to eq([5, :long_gap])
    expect(told(visit(set(30, :clean)), gap: gap[1.0, anew: true])).to eq([5, :long_gap])
  end

  it "is not led up to what was not reached the same day" do
    expect(told(visit(set(20, :not_reached), set(15, :easy)))).to eq([15, :failed_above])
    expect(told(visit(set(25, :not_reached), set(15, :easy)))).to eq([20, :easy])
  end

  it "stays within what is allowed and what the machine has" do
    expect(told(visit(set(15, :easy)), limit_kg: 17)).to eq([15, :limited])
    expect(told(visit(set(15, :clean)), limit_kg: 12)).to eq([10, :limited])
    expect(told(visit(set(15, :clean)), limit_kg: 3)).to eq([5, :limited])
    expect(told(visit(set(30, :easy)))).to eq([30, :at_the_end])
    expect(told(visit(set(5, :not_reached)))).to eq([5, :not_reached])
    expect(told(nil, limit_kg: 30)).to eq([5, :nothing_known])
  end

  it "gives one leg that never lifted alone half of both at most" do
    expect(described_class.one_leg(stack, 25).then { |one| [one.choice.mass_kg, one.reason] }).to eq(
      [10, :half_of_both]
    )
    expect(described_class.one_leg(stack, 6).choice.mass_kg).to eq(5)
    expect(described_class.one_leg(stack, 60, limit_kg: 16).choice.mass_kg).to eq(15)
  end

  # Against every visit of two sets: what is told is never heavier than a step above what was lifted last, never up
  # after anything but easy, never above a limit that leaves the machine something.
  it "is never led up by anything but an easy visit, whatever two sets say" do
    kilograms = stack.choices.map(&:mass_kg)
    hows = [:easy, :clean, :not_reached, nil].product([1, 0.75, nil], [true, false], [true, false])
    random = Random.new(11)
    3000.times do
      sets =
        Array.new(2) do
          hows
            .sample(random: random)
            .then do |last, reached, joint, sign|
              set(kilograms.sample(random: random), last, reached: reached, joint: joint, sign: sign)
            end
        end
      limit = [nil, 7, 12, 31].sample(random: random)
      last = visit(*sets)
      choice = today(last, limit_kg: limit).choice.mass_kg
      up = kilograms.find { |kg| kg > last.load_kg } || last.load_kg
      expect(choice).to be <= (last.outcome == :easy ? up : last.load_kg)
      expect(choice).to be <= limit if limit
      expect(choice).to be < last.load_kg if %i[short not_reached sign].include?(last.outcome) && last.load_kg > 5
    end
  end
end
