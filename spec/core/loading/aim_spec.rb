# frozen_string_literal: true

RSpec.describe Verglas::Loading::Aim do
  let(:by_rule) { Verglas::Loading::Tempo.of(:slow_down) }

  def aim(**given) = described_class.of({ name: "Own", sets: 2, rest_s: 60, repetitions: nil, seconds: nil, **given })

  it "has a table of its own until a gym writes one" do
    expect(described_class.table([]).map(&:name)).to eq(["General", "Strength", "Accessory", "One timed minute"])
    expect(described_class.table([{ name: "Own", sets: 1, repetitions: 5, rest_s: 10 }]).map(&:name)).to eq(["Own"])
  end

  it "keeps the house rule's tempo unless it has one, and times a set that says seconds" do
    expect(aim(repetitions: 10).paced(by_rule)).to eq(by_rule)
    own = aim(repetitions: 5, up_s: 2.5, hold_s: 0, down_s: 3.5, pause_s: 1).paced(by_rule)
    expect([own.repetition_s, own.seconds_of_set(5), own.set_s]).to eq([7.0, 35.0, nil])
    timed = aim(repetitions: 8, seconds: 60).paced(by_rule)
    expect([timed.set_s, timed.most_repetitions, timed.up_s]).to eq([60, 8, by_rule.up_s])
  end
end
