# frozen_string_literal: true

RSpec.describe Verglas::Fitting::Checked do
  def at(fixture, indices, **wishes)
    machine = Worked.machine(fixture)
    Verglas::Fitting::Evaluation.new(
      machine: machine,
      estimate: Worked.exact("middle"),
      wishes: Worked.wishes(machine, **wishes),
      indices: indices
    )
  end

  def of(evaluation, **seen) = described_class.of(evaluation, machine: "one", **seen)

  it "teaches nothing of what nobody saw" do
    expect(of(at("slide_back", [2, 2, 2]))).to be_nil
  end

  it "teaches the back pad's face with its cushion, and its pitch, where the knee was seen" do
    evaluation = at("slide_back", [2, 2, 2], cushion_back_mm: 20.0)
    learned = of(evaluation, knee_off_mm: 15.0)
    expect([learned.back_face_mm, learned.knee_off_mm]).to eq([evaluation.parameters[:back_face] + 20.0, 15.0])
    expect(learned.pitch_back_mm).to eq(evaluation.machine.adjusters.first.pitch(2))
    expect(learned.roller_reach_mm).to be_nil
  end

  it "teaches the roller alone where only that was seen" do
    evaluation = at("slide_back", [2, 2, 2])
    learned = of(evaluation, roller_seen: true)
    expect([learned.back_face_mm, learned.roller_reach_mm]).to eq([nil, evaluation.parameters[:roller_reach]])
  end

  it "takes the pitch of the finest adjuster that moves the back pad" do
    evaluation = at("slide_seat", [2, 2, 2])
    finest = evaluation.machine.adjusters.first(2).zip([2, 2]).map { |adjuster, index| adjuster.pitch(index) }.min
    expect(of(evaluation, knee_off_mm: 0.0).pitch_back_mm).to eq(finest)
  end

  it "learns nothing from a client who slides, whatever was seen" do
    expect(of(at("lie_flat", [2]), knee_off_mm: 0.0, roller_seen: true)).to be_nil
  end
end
