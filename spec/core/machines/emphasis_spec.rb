# frozen_string_literal: true

RSpec.describe Verglas::Machines::Emphasis do
  def family(id) = Verglas::Machines::Families.fetch(id)

  it "is an exercise of its own on each family that offers it, and on a station beside the exercise it belongs to" do
    expect(family(:press_sled).all_exercises.keys).to eq([nil, "hip", "knee", "calf", "calf_knees_bent"])
    expect(family(:level_hip).all_exercises.keys).to include("hip_extension_back", "hip_extension_rounded")
    expect(family(:level_hip).plain("hip_extension_back")).to eq("hip_extension")
    expect { family(:press_sled).exercise("rounded") }.to raise_error(Verglas::Invalid, /unknown exercise/)
  end

  it "is read off the name of an exercise, whatever station it is on" do
    Verglas::Machines::Families.all.each do |whole|
      whole.all_exercises.each do |name, one|
        expect(described_class.parted(name.to_s)).to eq([whole.plain(name).to_s, one.emphasis])
      end
    end
  end

  it "has muscles for which it is meant on every family, and those first" do
    emphasised = Verglas::Machines::Families.single.flat_map { |one| one.emphases.values }
    emphasised.each do |one|
      meant = Verglas::Guidance::Regions.meant(one)
      expect(meant.take(one.emphasis.meant.size)).to match_array(one.emphasis.meant)
    end
    press = family(:press_sled)
    back_thigh = Verglas::Guidance::Regions.fetch(:back_thigh)
    expect([press, press.exercise("hip")].map { |one| back_thigh.meaning(one) }).to eq(%i[helps works])
  end

  it "reads a machine as that exercise" do
    data = Worked::MACHINES.fetch("incline_sled")
    read = ->(name) { Verglas::Machines::Reader.read_known(data, exercise: name).family.emphasis&.name }
    expect([nil, "", "hip"].map(&read)).to eq([nil, nil, :hip])
  end
end
