# frozen_string_literal: true

RSpec.describe Verglas::Fitting::Cushions do
  # What a block may say of a pair: comparable, with a worst severity.
  let(:said) do
    Struct.new(:worst, :cost) do
      include Comparable

      def <=>(other) = [worst, cost] <=> [other.worst, other.cost]
    end
  end
  let(:owned) { described_class.new(back_mm: [20, 40], seat_mm: [20]) }

  it "tries every single one and every pair of one behind and one below, the thinnest total first" do
    expect(owned.by_total).to eq([[[0, 20], [20, 0]], [[20, 20], [40, 0]], [[40, 20]]])
    expect(described_class.none.by_total).to eq([])
  end

  it "is not asked where nothing is wrong" do
    plain = said.new(0, 3.0)
    asked = []
    expect(owned.search(plain) { |*pair| asked << pair }).to eq([[0, 0], plain])
    expect(asked).to eq([])
  end

  it "proposes the thinnest total that lowers the worst, not the best of all" do
    plain = said.new(2, 9.0)
    answer = owned.search(plain) do |behind, below|
      if behind + below >= 40
        said.new(behind == 40 && below == 20 ? 0 : 1, below.to_f)
      else
        plain
      end
    end
    expect(answer).to eq([[40, 0], said.new(1, 0.0)])
  end

  it "proposes none where none lowers the worst, however much cheaper it were" do
    plain = said.new(1, 9.0)
    expect(owned.search(plain) { said.new(1, 0.1) }).to eq([[0, 0], plain])
  end

  it "refuses sizes that no cushion has" do
    [[0], [201], ["thick"], [-20]].each do |sizes|
      expect { described_class.new(back_mm: sizes, seat_mm: []) }.to raise_error(Verglas::Invalid) { |error|
        expect([error.code, error.path]).to eq([:cushion_out_of_range, "/options/cushions"])
      }
    end
  end
end
