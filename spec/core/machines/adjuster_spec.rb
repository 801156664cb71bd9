# frozen_string_literal: true

RSpec.describe Verglas::Machines::Adjuster do
  def adjuster(**given)
    described_class.new(
      label: "roller",
      marks: %w[I II III IV],
      travel: [0.0, 36.0, 70.0, 108.0],
      drives: {
        roller_reach: 1
      },
      same_as: nil,
      **given
    )
  end

  it "takes the pitch from the neighbours, one at an end, none when alone" do
    expect((0..3).map { |index| adjuster.pitch(index) }).to eq([36.0, 35.0, 36.0, 38.0])
    expect(adjuster(marks: ["dot"], travel: [0.0]).pitch(0)).to eq(0.0)
  end

  it "measures a pitch without sign where the marks run backwards" do
    expect(adjuster(travel: [0.0, -36.0, -70.0, -108.0]).pitch(1)).to eq(35.0)
  end

  it "finds a mark exactly as printed and names the ones there are" do
    expect(adjuster.index("III")).to eq(2)
    expect { adjuster.index("iii") }.to raise_error(Verglas::Invalid) { |error|
      expect(error.params[:marks]).to eq(%w[I II III IV])
    }
  end

  it "refuses marks and travels that do not go together" do
    {
      no_marks: {
        marks: [],
        travel: []
      },
      marks_repeated: {
        marks: %w[I I III IV]
      },
      travel_per_mark: {
        travel: [0.0]
      },
      travel_not_finite: {
        travel: [0.0, 1.0, Float::NAN, 3.0]
      },
      travel_repeated: {
        travel: [0.0, 36.0, 36.0, 108.0]
      }
    }.each do |code, given|
      expect { adjuster(**given) }.to raise_error(Verglas::Invalid) { |error| expect(error.code).to eq(code) }
    end
  end

  it "needs no travel where its mark is only recorded" do
    recorded = adjuster(drives: {}, travel: [])
    expect([recorded.recorded_only?, recorded.pitch(1), recorded.index("IV")]).to eq([true, 0.0, 3])
  end
end
