# frozen_string_literal: true

RSpec.describe Verglas::Fitting::Choices do
  # What a block may say of a pair: comparable, with a worst severity.
  let(:said) do
    Struct.new(:worst, :cost) do
      include Comparable

      def <=>(other) = [worst, cost] <=> [other.worst, other.cost]
    end
  end
  let(:family) { Verglas::Machines::Families.fetch(:extension) }
  let(:owned) { described_class.new(sizes: { cushion_back_mm: [20, 40], cushion_seat_mm: [20] }) }

  def way(behind, below) = { cushion_back_mm: behind, cushion_seat_mm: below }

  it "tries every single one and every pair of one behind and one below, the thinnest total first" do
    expect(owned.by_total(family)).to eq([[way(0, 20), way(20, 0)], [way(20, 20), way(40, 0)], [way(40, 20)]])
    expect(described_class.none.by_total(family)).to eq([])
  end

  it "seeks nothing that a family does not take" do
    expect(owned.by_total(Verglas::Machines::Families.fetch(:lying_curl))).to eq([])
  end

  it "is not asked where nothing is wrong" do
    plain = said.new(0, 3.0)
    asked = []
    expect(owned.search(family, plain) { |way| asked << way }).to eq([{}, plain])
    expect(asked).to eq([])
  end

  it "proposes the thinnest total that lowers the worst, not the best of all" do
    plain = said.new(2, 9.0)
    answer =
      owned.search(family, plain) do |way|
        behind, below = way.values
        if behind + below >= 40
          said.new(behind == 40 && below == 20 ? 0 : 1, below.to_f)
        else
          plain
        end
      end
    expect(answer).to eq([way(40, 0), said.new(1, 0.0)])
  end

  it "proposes none where none lowers the worst, however much cheaper it were" do
    plain = said.new(1, 9.0)
    expect(owned.search(family, plain) { said.new(1, 0.1) }).to eq([{}, plain])
  end

  it "says which pad bends a lying client's hips best, and leaves other families as they are" do
    machine = Worked.machine("lie_flat")
    pads = described_class.new(sizes: { hip_pad_mm: [30, 45, 60] })
    chosen = pads.computed(machine, Worked.body("middle"), Worked.wishes(machine))[:hip_pad_mm]
    expect(chosen).to eq(Verglas::Linkages::HipPad.nearest(Worked.body("middle"), [30, 45, 60]).to_f)
    extension = Worked.machine("slide_back")
    expect(pads.computed(extension, Worked.body("middle"), Worked.wishes(extension))).to eq(Worked.wishes(extension))
  end

  it "refuses sizes that no cushion has" do
    [[0], [201], ["thick"], [-20]].each do |sizes|
      expect { described_class.new(sizes: { cushion_back_mm: sizes }) }.to raise_error(Verglas::Invalid) { |error|
        expect([error.code, error.path]).to eq([:cushion_out_of_range, "/options/cushions"])
      }
    end
  end
end
