# frozen_string_literal: true

RSpec.describe Verglas::Statistics::Gradient do
  it "finds the slopes of several outputs, exactly for quadratics" do
    slopes = described_class.of([3.0, 4.0]) { |(x, y)| [x * y, (x**2) - y] }
    expect(slopes).to eq([[4.0, 3.0], [6.0, -1.0]])
  end

  it "leaves its input alone" do
    inputs = [1.0, 2.0].freeze
    expect { described_class.of(inputs, &:itself) }.not_to raise_error
  end
end
