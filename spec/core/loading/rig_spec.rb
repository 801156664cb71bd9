# frozen_string_literal: true

RSpec.describe Verglas::Loading::Rig do
  it "reads a stack as printed in pounds, add-ons too, and gives the printed number back" do
    rig =
      described_class.read(
        { "kind" => "stack", "unit" => "lb", "masses" => [10, 20, 30], "addons" => [5], "ratio" => 0.5 }
      )
    expect(rig.choices.choices.map { |pinned| rig.printed(pinned.mass_kg) }).to eq([10, 15, 20, 25, 30, 35])
    expect(rig.choices.nearest(9.1).mass_kg).to be_within(1e-9).of(20 * 0.45359237)
    expect(rig.force_n(20)).to be_within(1e-9).of(98.0665)
  end

  it "counts the bare arm or sled, and the gym's plates on both sides" do
    rig = described_class.read({ "kind" => "plates", "unit" => "kg", "bare" => 8 }, pairs: { 10 => 1, 5 => 1 })
    expect(rig.choices.choices.map(&:to_a)).to eq([[8, []], [18, [5]], [28, [10]], [38, [10, 5]]])
    expect(rig.force_n(28)).to be_nil
  end

  # At 90 degrees a sled hangs; at 30 half of it is felt.
  it "feels the sine of the rail's incline" do
    at = ->(incline) do
      described_class.read(
        { "kind" => "sled", "unit" => "kg", "bare" => 40, "incline_deg" => incline },
        pairs: {
          20 => 1
        }
      ).force_n(80)
    end
    expect([at.call(90), at.call(30), at.call(0)]).to match(
      [be_within(1e-6).of(784.532), be_within(1e-6).of(392.266), be_within(1e-9).of(0)]
    )
  end

  it "has a tempo for every school of the house rule, and a ceiling for timed sets" do
    schools = %i[tempo tempo_hinge].flat_map { |question| Verglas::Guidance::HouseRules.fetch(question).schools.keys }
    seconds = schools.to_h { |school| [school, Verglas::Loading::Tempo.of(school).seconds_of_set(10)] }
    expect(seconds).to eq(
      {
        slow_down: 60,
        even_slow: 70,
        very_slow_down: 80,
        slow_start: 50,
        slow_timed: 60,
        squeeze: 50,
        both_pauses: 80,
        drive: 40
      }
    )
    expect(Verglas::Loading::Tempo.of(:slow_timed).most_repetitions).to eq(8)
  end
end
