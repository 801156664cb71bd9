# frozen_string_literal: true

RSpec.describe Verglas::Fitting::Neighbours do
  let(:machine) { Worked.machine("slide_seat") }
  let(:indices) { [0, 3, 3] }

  def at(indices)
    Verglas::Fitting::Evaluation.new(
      machine: machine,
      estimate: Worked.exact("middle"),
      wishes: Worked.wishes(machine),
      indices: indices
    )
  end

  it "steps each adjuster one mark either way, all else standing, and nowhere past its ends" do
    steps = described_class.steps(at(indices))
    expect(steps.keys).to eq(["seat", "back pad", "roller"])
    expect(steps["seat"].first).to be_nil
    expect(steps["seat"].last.indices).to eq([1, 3, 3])
    expect(steps["back pad"].map(&:indices)).to eq([[0, 2, 3], [0, 4, 3]])
    expect(steps["roller"].first.indices).to eq([0, 3, 2])
    expect(steps["roller"].last).to be_nil
  end

  it "grades a step as the marks themselves are graded" do
    described_class
      .steps(at(indices))
      .each_value { |pair| pair.compact.each { |step| expect(step.score.key).to eq(at(step.indices).score.key) } }
  end

  it "puts the joint where each mark would put it, for the adjusters that move it" do
    lens = described_class.lens(at(indices))
    expect(lens.keys).to eq(["seat", "back pad"])
    machine
      .adjusters
      .first(2)
      .each_with_index do |adjuster, place|
        adjuster.marks.each_with_index do |mark, index|
          there = at(indices.dup.tap { |moved| moved[place] = index }).quantities
          expect(lens[adjuster.label][mark].to_a).to eq([there[:knee_s_mm], there[:knee_n_mm]])
        end
      end
  end
end
