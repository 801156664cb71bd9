# frozen_string_literal: true

require "web_helper"

RSpec.describe Verglas::Application::Kept do
  it "computes once for the same input, and forgets what was not asked for longest" do
    stub_const("#{described_class}::MOST", { bodies: 2 })
    kept = described_class.new
    computed = []
    ask = ->(key) { kept.of(:bodies, key) { (computed << key) && key.to_s } }
    expect(%i[a b a c a b].map { |key| ask.call(key) }).to eq(%w[a b a c a b])
    expect(computed).to eq(%i[a b c b])
    kept.empty
    expect(ask.call(:b) && computed).to eq(%i[a b c b b])
  end

  it "keeps each kind for itself, and knows no other" do
    kept = described_class.new
    described_class::MOST.each_key { |kind| kept.of(kind, 1) { kind } }
    expect(described_class::MOST.keys.map { |kind| kept.of(kind, 1) { :anew } }).to eq(described_class::MOST.keys)
    expect { kept.of(:lamps, 1) { :lamp } }.to raise_error(KeyError)
  end

  it "gives a body anew as soon as anything it rests on is another" do
    body =
      lambda do |sex: "man", mass: nil, value: 600, confirmed: false|
        rows = [{ observation: "seat_to_kneecap", value_mm: value, confirmed: confirmed }]
        Verglas::Application::ClientBody.estimation({ sex: sex, body_mass_kg: mass }, rows)
      end
    first = body.call
    expect(body.call).to equal(first)
    [{ sex: "woman" }, { mass: 110 }, { value: 601 }, { confirmed: true }].each do |change|
      expect(body.call(**change)).not_to equal(first)
    end
  end
end
