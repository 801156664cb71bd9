# frozen_string_literal: true

RSpec.describe Verglas::Mechanisms::Wishes do
  let(:extension) { Worked.machine("slide_back").family }
  let(:curl) { Worked.machine("curl_plain").family }

  it "aims at what the family aims at, unless told otherwise" do
    expect([described_class.for(extension)[:start_bend_deg], described_class.for(curl)[:start_bend_deg]]).to eq([90, 8])
    expect(described_class.for(extension, contact_above_ankle_mm: 35.0)[:contact_above_ankle_mm]).to eq(35.0)
    expect(described_class.for(extension).envelope).to be_open
  end

  it "refuses what is no number, and says where" do
    ["high", nil, Float::NAN, Float::INFINITY].each do |wrong|
      expect { described_class.for(extension, contact_above_ankle_mm: wrong) }.to raise_error(
        Verglas::Invalid
      ) { |error| expect([error.code, error.path]).to eq([:wish_not_a_number, "/options/contact_above_ankle_mm"]) }
    end
    expect { described_class.for(extension, slack_from_deg: Float::NAN) }.to raise_error(Verglas::Invalid) { |error|
      expect(error.path).to eq("/options/slack_from")
    }
  end

  it "knows no wish that its family does not have" do
    expect { described_class.for(extension, thigh_press_mm: 6.0) }.to raise_error(ArgumentError, /thigh_press_mm/)
  end

  it "tells nobody a range where two sources leave none: the upper end alone" do
    torn = described_class.for(extension, envelope: Verglas::Body::Envelope.new({ knee_flexion: [80, 70] }))
    expect(torn.clamp(:knee_flexion, 90)).to eq(70)
  end

  it "moves the advice: a higher wanted contact never asks for a longer roller" do
    machine = Worked.machine("slide_back")
    rollers =
      [35.0, 60.0, 110.0].map do |wanted|
        wishes = described_class.for(extension, contact_above_ankle_mm: wanted)
        Verglas::Fitting::Solver
          .new(machine: machine, body: Worked.body("middle"), wishes: wishes)
          .solutions
          .first
          .indices[
          1
        ]
      end
    reaches = rollers.map { |index| machine.adjusters[1].travel[index] }
    expect(reaches).to eq(reaches.sort.reverse)
  end
end
