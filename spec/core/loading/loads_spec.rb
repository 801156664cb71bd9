# frozen_string_literal: true

RSpec.describe Verglas::Loading do
  describe Verglas::Loading::Stack do
    let(:stack) { described_class.new(stack_kg: [5, 10, 15, 22.5, 30, 37.5, 45, 55, 65, 75], addons_kg: [0, 2.5, 5]) }

    it "agrees with the worked case" do
      expect(stack.choices.size).to eq(28)
      expect([stack.at_most(41), stack.nearest(41), stack.next_up(41), stack.next_down(41)].map(&:mass_kg)).to eq(
        [40.0, 40.0, 42.5, 40.0]
      )
      expect(Verglas::Loading::Remarks.light_set(stack, 65).mass_kg).to eq(32.5)
    end

    it "names the pin and the add-on, the fewest add-ons first" do
      expect(stack.nearest(42.5).to_a).to eq([42.5, 37.5, 5])
      expect(stack.nearest(10).to_a).to eq([10, 10, 0])
    end

    it "takes the lighter of two that are as near, and says when there is nothing further" do
      expect(stack.nearest(6.25).mass_kg).to eq(5)
      expect([stack.at_most(4.9), stack.next_up(80), stack.next_down(5)]).to eq([nil, nil, nil])
      expect(Verglas::Loading::Remarks.light_set(stack, 8).mass_kg).to eq(5)
    end

    it "steps up and down through every mass it has, once" do
      walked = [stack.lightest]
      walked << stack.next_up(walked.last.mass_kg) while stack.next_up(walked.last.mass_kg)
      expect(walked).to eq(stack.choices)
      expect(walked.drop(1).map { |pinned| stack.next_down(pinned.mass_kg) }).to eq(walked[0..-2])
    end

    it "answers as trying every pin with every add-on would, on random stacks" do
      random = Random.new(51)
      50.times do
        masses = Array.new(1 + random.rand(12)) { (2 + random.rand(60)) * 2.5 }.uniq
        addons = Array.new(random.rand(3)) { (1 + random.rand(4)) * 1.25 }
        any = described_class.new(stack_kg: masses, addons_kg: addons)
        every = masses.product([0, *addons]).map(&:sum).uniq.sort
        wanted = random.rand * 180
        expect(any.choices.map(&:mass_kg)).to eq(every)
        expect(any.at_most(wanted)&.mass_kg).to eq(every.reverse.find { |mass| mass <= wanted })
        expect(any.nearest(wanted).mass_kg).to eq(every.min_by { |mass| [(mass - wanted).abs, mass] })
        expect(any.next_up(every.first)&.mass_kg).to eq(every[1])
        expect(any.next_down(every.first)).to be_nil
      end
    end

    it "refuses a stack of nothing" do
      expect { described_class.new(stack_kg: []) }.to raise_error(Verglas::Invalid, /no masses/)
      expect { described_class.new(stack_kg: [0]) }.to raise_error(Verglas::Invalid, /not positive/)
    end
  end

  describe Verglas::Loading::Plates do
    let(:plates) { described_class.new(pairs: { 20 => 2, 15 => 1, 10 => 2, 5 => 1, 2.5 => 1 }, bare_kg: 47) }

    it "agrees with the worked case" do
      expect([97, 122, 152].map { |total| plates.side(total) }).to eq([[20, 5], [20, 15, 2.5], [20, 20, 10, 2.5]])
      expect(plates.choices.last.mass_kg).to eq(212)
    end

    it "makes every total with the fewest plates, the heavier first, as trying all choices would" do
      hand = [20, 20, 15, 10, 10, 5, 2.5]
      choices = (0..hand.size).flat_map { |size| hand.combination(size).to_a }.group_by(&:sum)
      choices.each do |side, ways|
        best = ways.min_by { |way| [way.size, way.map(&:-@)] }
        expect(plates.side(47 + (2 * side))).to eq(best), side.to_s
      end
      expect(plates.choices.map(&:mass_kg)).to eq(choices.keys.sort.map { |side| 47 + (2 * side) })
    end

    it "knows what it cannot make, and the next either way" do
      expect([plates.side(50), plates.side(40), plates.side(98)]).to eq([nil, nil, nil])
      expect([plates.at_most(98), plates.next_up(98), plates.next_down(97), plates.nearest(99.5)].map(&:mass_kg)).to eq(
        [97, 102, 92, 97]
      )
      expect(plates.lightest.to_a).to eq([47, []])
    end
  end

  it "agrees with the worked remarks" do
    remarks = Verglas::Loading::Remarks
    expect(remarks.sides(42, 37, before: [40, 35]).to_a).to match([be_within(0.001).of(0.119), true])
    expect([nil, [40, 40], [37, 42]].map { |before| remarks.sides(42, 37, before: before).remarked }).to all(be(false))
    expect(remarks.curl_to_extension(27, 60).to_a).to match([be_within(0.001).of(0.45), true])
    expect(remarks.belt?(40, 79)).to be(true)
    expect(Verglas::Loading::Units.lb(45.0)).to be_within(0.01).of(99.208)
    expect(Verglas::Loading::Tempo.of(:slow_down).seconds_of_set(10)).to eq(60)
  end

  it "wears the belt when load or mass are unknown, and always by that school" do
    belt = Verglas::Loading::Remarks.method(:belt?)
    expect([belt.call(nil, 70), belt.call(30, nil), belt.call(30, 70), belt.call(30, 70, always: true)]).to eq(
      [true, true, false, true]
    )
  end

  it "takes one plate at a time on a single horn, without doubling" do
    one = Verglas::Loading::Plates.new(pairs: { 5 => 1, 10 => 1 }, bare_kg: 4, horns: 1)
    expect(one.choices.map(&:mass_kg)).to eq([4, 9, 14, 19, 24, 29, 34])
    expect(one.side(19)).to eq([10, 5])
    expect(Verglas::Loading::Plates.new(pairs: { 5 => 1, 10 => 1 }, bare_kg: 4).choices.map(&:mass_kg)).to eq(
      [4, 14, 24, 34]
    )
  end

  it "goes up after an easy last repetition, holds a clean one, goes down when it was not reached" do
    stack = Verglas::Loading::Stack.new(stack_kg: [10, 20, 30])
    plates = Verglas::Loading::Plates.new(pairs: { 5 => 2 }, bare_kg: 10)
    following = ->(choices, load_kg, went) { Verglas::Loading::Progress.next(choices, load_kg, went).mass_kg }
    expect(%i[easy clean not_reached].map { |went| following.call(stack, 20, went) }).to eq([30, 20, 10])
    expect(
      [following.call(stack, 30, :easy), following.call(stack, 10, :not_reached), following.call(plates, 20, :easy)]
    ).to eq([30, 10, 30])
    expect { following.call(stack, 20, :fine) }.to raise_error(Verglas::Invalid, /unknown outcome/)
  end

  it "takes a quarter where a caution asks for half of the usual light set" do
    stack = Verglas::Loading::Stack.new(stack_kg: [5, 10, 15, 20, 40])
    expect(
      [nil, 0.5].map { |share| Verglas::Loading::Remarks.light_set(stack, 40, share_of_usual: share).mass_kg }
    ).to eq([20, 10])
  end

  it "keeps pounds as pounds: there and back" do
    expect(Verglas::Loading::Units.lb(Verglas::Loading::Units.kg(85, :lb))).to be_within(1e-9).of(85)
  end
end
