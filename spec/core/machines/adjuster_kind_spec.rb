# frozen_string_literal: true

RSpec.describe Verglas::Machines::AdjusterKind do
  let(:families) { Verglas::Machines::Families.single }

  def family(fixture) = Worked.machine(fixture).family

  it "is found by what it drives, whichever way its marks count" do
    families.each do |one|
      one.choosable_kinds.each do |kind|
        [true, false].each do |forwards|
          found, direction = one.kind_matching(kind.driven(forwards: forwards))
          expect(found.name).to eq(kind.name)
          expect(direction).to eq(forwards) unless kind.drives.empty?
        end
      end
    end
  end

  it "is none for drives that nobody can choose; what decides them is that of the kind which moves any of it" do
    swinging = { thigh_pad_front: 1, thigh_pad_height: -0.5 }
    expect(family("curl_plain").kind_matching(swinging)).to be_nil
    expect(family("curl_plain").kind_of(swinging).decides).to eq(:thigh_press)
  end

  it "is the same for drives that are longer or shorter by a factor" do
    expect(family("slide_back").kind_of({ back_face: -0.8, seat_edge: -0.8 }).name).to eq(:whole_seat)
    expect(family("slide_back").kind_of({ back_face: 1, seat_edge: 0.5 }).name).to eq(:back_pad)
  end

  it "offers a family what that family has, and the recorded always" do
    names = ->(fixture) { family(fixture).choosable_kinds.map(&:name) }
    expect(names.call("slide_back")).to include(:back_pad, :roller, :start, :recorded)
    expect(names.call("slide_back")).not_to include(:thigh_pad, :hinge)
    expect(names.call("curl_plain")).to include(:thigh_pad)
    expect(names.call("lie_hinged")).to include(:hinge)
    expect(names.call("lie_flat")).not_to include(:back_pad)
  end
end
