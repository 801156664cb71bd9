# frozen_string_literal: true

RSpec.describe Verglas::Fitting::MarkProbability do
  Worked
    .examples("probability")
    .each_with_index do |example, number|
      it "agrees with worked example #{number + 1}" do
        given, wanted = example.values_at("input", "expect")
        found = described_class.of(positions: given["positions"], mean: given["mu"], sd: given["sigma"])
        found.marks.zip(wanted["p"]) { |share, value| expect(share).to be_within(0.001).of(value) }
        expect([found.below, found.above]).to match(
          [be_within(0.001).of(wanted["below"]), be_within(0.001).of(wanted["above"])]
        )
      end
    end

  it "shares out the whole, in whichever order the marks run" do
    up = described_class.of(positions: [0, 20, 50, 90], mean: 41.0, sd: 18.0)
    down = described_class.of(positions: [90, 50, 20, 0], mean: 41.0, sd: 18.0)
    expect(up.marks.sum + up.none).to be_within(1e-12).of(1)
    expect(down.marks.reverse).to eq(up.marks)
  end

  it "gives a single mark 12.5 either side" do
    alone = described_class.of(positions: [300], mean: 312.5, sd: 10.0)
    expect(alone.above).to be_within(1e-9).of(0.5)
  end
end
