# frozen_string_literal: true

RSpec.describe Verglas::Machines::Reader do
  let(:data) { Marshal.load(Marshal.dump(Worked::MACHINES["slide_back"])) }

  it "reads plain data" do
    machine = described_class.read(data)
    expect(machine.family.id).to eq(:extension)
    expect(machine.adjusters.map(&:label)).to eq(["back pad", "roller", "start"])
  end

  it "says where the data are wrong" do
    data["adjusters"][1]["marks"] = %w[A A C D E]
    expect { described_class.read(data) }.to raise_error(Verglas::Invalid) { |error| expect(error.path).to eq("/adjusters/1/marks") }
  end

  it "knows no family that is not registered" do
    expect { described_class.read(data.merge("family" => "rowing")) }.to raise_error(Verglas::Invalid, /unknown family/)
  end
end
