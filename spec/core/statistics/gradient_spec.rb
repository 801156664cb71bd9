# frozen_string_literal: true

RSpec.describe Verglas::Statistics::Gradient do
  it "finds the slopes of several outputs, exactly for quadratics" do
    slopes = described_class.of([3.0, 4.0]) { |(x, y)| [x * y, (x**2) - y] }
    expect(slopes).to eq([[4.0, 3.0], [6.0, -1.0]])
  end

  it "finds them onwards from what is known, as nearly as a hundredth allows" do
    curve = ->((x, y)) { [x * y, (x**2) - y] }
    slopes = described_class.onwards([3.0, 4.0], here: curve.call([3.0, 4.0]), &curve)
    expect(slopes.flatten).to match([4.0, 3.0, 6.0, -1.0].map { |slope| be_within(0.011).of(slope) })
  end

  it "leaves its input alone" do
    inputs = [1.0, 2.0].freeze
    expect { described_class.of(inputs, &:itself) }.not_to raise_error
  end
end
