# frozen_string_literal: true

RSpec.describe Verglas::Body::Dimensions do
  let(:values) { Worked.body("middle").to_h }

  it "is frozen and whole" do
    expect(described_class.from(values)).to be_frozen
    expect { described_class.from(values.except(:shank)) }.to raise_error(
      Verglas::Invalid,
      /body parameter missing.*shank/
    )
  end

  it "refuses lengths that no body has" do
    [0, -1, Float::INFINITY, Float::NAN, "400", nil].each do |bad|
      expect { described_class.from(values.merge(shank: bad)) }.to raise_error(Verglas::Invalid) { |error|
        expect(error.path).to eq("/shank")
      }
    end
    expect { described_class.from(values.merge(thigh: 20, hip_rise: 100)) }.to raise_error(
      Verglas::Invalid,
      /thigh too short/
    )
  end
end
