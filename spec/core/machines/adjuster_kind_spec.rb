# frozen_string_literal: true

RSpec.describe Verglas::Machines::AdjusterKind do
  it "finds the kind of what it drives, whichever way its marks count" do
    described_class::ALL.each_value do |kind|
      [true, false].each do |forwards|
        found, direction = described_class.matching(kind.driven(forwards: forwards))
        expect(found.name).to eq(kind.name)
        expect(direction).to eq(forwards) unless kind.drives.empty?
      end
    end
  end

  it "knows no kind for drives that nobody can choose" do
    expect(described_class.matching({ thigh_pad_front: 1, thigh_pad_height: -0.5 })).to be_nil
  end

  it "offers a family what that family has, and the recorded always" do
    names = ->(fixture) { described_class.of_family(Worked.machine(fixture).family).map(&:name) }
    expect(names.call("slide_back")).to include(:back_pad, :roller, :start, :recorded)
    expect(names.call("slide_back")).not_to include(:thigh_pad, :hinge)
    expect(names.call("curl_plain")).to include(:thigh_pad)
    expect(names.call("lie_hinged")).to include(:hinge)
    expect(names.call("lie_flat")).not_to include(:back_pad)
  end

  it "refuses a kind that does not exist" do
    expect { described_class.fetch("lever") }.to raise_error(Verglas::Invalid) { |error| expect([error.code, error.path]).to eq([:unknown_kind, "/kind"]) }
  end
end
