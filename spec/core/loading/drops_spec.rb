# frozen_string_literal: true

RSpec.describe Verglas::Loading::Drops do
  def rig(pairs: {}, **data)
    Verglas::Loading::Rig.read({ "unit" => "kg", **data.transform_keys(&:to_s) }, pairs: pairs)
  end
  def drops(rig, from) = described_class.of(rig.choices, from).map { |one| one.mass_kg.round(2) }

  it "goes down a stack with an add-on by about a fifth, to loads that exist" do
    stack = rig(kind: "stack", masses: [5, 10, 15, 20, 25, 30, 35, 40], addons: [2.5])
    expect(drops(stack, 40)).to eq([32.5, 25, 20])
    expect(drops(stack, 5)).to eq([])
    expect(drops(stack, 7.5)).to eq([5])
  end

  it "goes down plates by what can be taken off on both sides" do
    plates = rig(kind: "plates", bare: 10, horns: 2, pairs: { 5.0 => 2, 10.0 => 2, 20.0 => 2 })
    expect(drops(plates, 90)).to eq([70, 60, 50])
  end

  it "goes down a sled, the bare one last" do
    sled = rig(kind: "sled", bare: 45, horns: 2, incline_deg: 45, pairs: { 10.0 => 2 })
    expect(drops(sled, 85)).to eq([65, 45])
  end

  it "is lighter each time, and within a step of a fifth less" do
    stack = rig(kind: "stack", masses: (1..40).map { |step| step * 2.5 })
    random = Random.new(9)
    20.times do
      from = random.rand(10.0..100.0)
      list = [from, *described_class.of(stack.choices, from).map(&:mass_kg)]
      list.each_cons(2) { |one, other| expect(other).to be_within(1.3).of(one * 0.8).or be < one }
      expect(list).to eq(list.sort.reverse.uniq)
    end
  end
end
