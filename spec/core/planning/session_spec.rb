# frozen_string_literal: true

require "spec_helper"

RSpec.describe Verglas::Planning::Session do
  exercise = ->(id, **given) do
    Verglas::Planning::Exercise.new(
      id: id,
      works: [id],
      rank: 3,
      place: "windows",
      worth: Rational(1),
      kept: false,
      most: 3,
      set_s: 40,
      rest_s: 60,
      light_s: 0,
      change_s: 10,
      in_s: 10,
      out_s: 10,
      **given
    )
  end

  def plan(*exercises, seconds:) = described_class.new(exercises, seconds: seconds).plan

  # One set by itself: 10 + 10 + 40 + 10 + 10 = 80 s; each further one 100 s more.
  it "puts in as many sets as fit, and not one second more" do
    one = exercise["a"]
    expect([79, 80, 179, 180, 280, 9999].map { |seconds| plan(one, seconds: seconds).sets["a"] }).to eq(
      [nil, 1, 1, 2, 3, 3]
    )
  end

  it "gives two first sets before one second: the first set counts most" do
    expect(plan(exercise["a"], exercise["b"], seconds: 190)).to have_attributes(
      order: %w[a b],
      sets: {
        "a" => 1,
        "b" => 1
      },
      seconds: 170
    )
  end

  it "never lets a rank fall, whatever the walk costs" do
    order =
      plan(
        exercise["a", rank: 3],
        exercise["b", rank: 1, place: "door"],
        exercise["c", rank: 3, place: "door"],
        exercise["d", rank: 2],
        seconds: 9999
      ).order
    expect(order.first(2)).to eq(%w[b d])
  end

  it "keeps one muscle from coming twice in a row, where something else can stand between" do
    order =
      plan(
        exercise["a", works: %w[front]],
        exercise["b", works: %w[front]],
        exercise["c", works: %w[back]],
        seconds: 9999
      ).order
    expect(order).to eq(%w[a c b])
  end

  it "holds what is kept, though something else were worth more" do
    kept = exercise["a", kept: true, worth: Rational(1, 10)]
    expect(plan(kept, exercise["b"], seconds: 100)).to have_attributes(order: %w[a], left_out: %w[b])
  end

  it "says how many seconds are missing where not even that fits" do
    session = described_class.new([exercise["a", kept: true], exercise["b", kept: true]], seconds: 150)
    expect(session.plan).to be_nil
    expect(session.missing_s).to eq(80 + 10 + 80 - 150)
  end

  it "prefers more sets of the earlier id where worth and time are the same" do
    expect(plan(exercise["b"], exercise["a"], seconds: 290).sets).to eq({ "a" => 2, "b" => 1 })
  end

  it "weighs the eight of greatest worth, what is kept among them, and leaves the rest out" do
    many = ("a".."j").map { |id| exercise[id, most: 1, worth: Rational(id == "b" ? 1 : 2), kept: id == "a"] }
    told = plan(*many, seconds: 99_999)
    expect(told.order).to match_array(%w[a c d e f g h i])
    expect(told.left_out).to eq(%w[b j])
  end

  it "refuses one exercise twice, and more that are kept than can be weighed" do
    expect { described_class.new([exercise["a"]] * 2, seconds: 1) }.to raise_error(Verglas::Invalid, /exercise twice/)
    kept = ("a".."i").map { |id| exercise[id, kept: true] }
    expect { described_class.new(kept, seconds: 1) }.to raise_error(Verglas::Invalid, /too many kept/)
  end

  it "does them in the order that somebody wants, what is not named last" do
    session =
      described_class.new([exercise["a"], exercise["b", rank: 1], exercise["c"]], seconds: 9999, sequence: %w[c a])
    expect(session.plan.order).to eq(%w[c a b])
  end

  it "plans nothing of nothing" do
    expect(plan(seconds: 600)).to have_attributes(order: [], sets: {}, seconds: 0, worth: 0, left_out: [])
  end
end
