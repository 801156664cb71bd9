# frozen_string_literal: true

require "web_helper"

RSpec.describe Verglas::Application::Recent do
  it "computes once for the same input, and forgets what was not asked for longest" do
    recent = described_class.new(2)
    computed = []
    ask = ->(key) { recent.fetch(key) { (computed << key) && key.to_s } }
    expect(%i[a b a c a b].map { |key| ask.call(key) }).to eq(%w[a b a c a b])
    expect(computed).to eq(%i[a b c b])
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
