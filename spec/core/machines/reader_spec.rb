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
    expect { described_class.read(data) }.to raise_error(Verglas::Invalid) { |error|
      expect(error.path).to eq("/adjusters/1/marks")
    }
  end

  it "knows no family that is not registered" do
    expect { described_class.read(data.merge("family" => "rowing")) }.to raise_error(Verglas::Invalid, /unknown family/)
  end

  it "reads each exercise of a station as a machine of its own family, the shared seat in both" do
    station = Worked::MACHINES["shared_seat"]
    extension, curl = %w[extension curl].map { |exercise| described_class.read(station, exercise: exercise) }
    expect([extension.family.id, curl.family.id]).to eq(%i[extension curl])
    expect([extension, curl].map { |machine| machine.adjusters.map(&:label) }).to eq(
      [["back pad", "roller"], ["back pad", "roller", "thigh pad"]]
    )
    expect([extension, curl].map { |machine| machine.constants[:back_face] }).to eq([-480, -480])
    expect(extension.constants).not_to have_key(:thigh_pad_front)
    expect { described_class.read(station) }.to raise_error(Verglas::Invalid, /unknown exercise/)
    expect { described_class.read(data, exercise: "curl") }.to raise_error(Verglas::Invalid, /unknown exercise/)
  end

  describe "a machine as far as it is taped" do
    def known(machine = "curl_plain", travel: {}, **constants)
      given = Worked::MACHINES[machine]
      adjusters =
        given["adjusters"].map do |adjuster|
          if travel.key?(adjuster["label"].to_sym)
            adjuster.merge("travel" => travel[adjuster["label"].to_sym])
          else
            adjuster
          end
        end
      described_class.read_known(
        given.merge("constants" => given["constants"].merge(constants.transform_keys(&:to_s)), "adjusters" => adjusters)
      )
    end

    it "is whole when everything is known" do
      expect(known).to eq(Worked.machine("curl_plain"))
    end

    it "tells the joint without the arm, and nothing without the joint" do
      expect(known(roller_reach: nil).family.findings.keys).to eq(%i[offset crease_gap kneecap_gap thigh_press])
      expect(known(thigh_pad_front: nil).family.findings.keys).to eq(%i[offset crease_gap contact start end range_left])
      nothing = known(pivot_above_seat: nil)
      expect(nothing.family.findings).to be_empty
      expect(nothing.adjusters).to all(be_recorded_only)
    end

    it "takes an adjuster whose travel is unknown for what it is: its constant is known at no mark" do
      expect(known(travel: { roller: nil }).family.told).to eq(%i[joint thigh_pad])
      expect(known(travel: { "back pad": nil }).family.findings).to be_empty
    end
  end
end
