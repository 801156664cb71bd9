# frozen_string_literal: true

RSpec.describe Verglas::Fitting::Shortfall do
  def all(fixture, body, indices)
    machine = Worked.machine(fixture)
    evaluation =
      Verglas::Fitting::Evaluation.new(
        machine: machine,
        estimate: Worked.exact(body),
        wishes: Worked.wishes(machine),
        indices: indices
      )
    [described_class.all(evaluation), evaluation]
  end

  it "names what is off only, the worst first, by what lies outside the close band" do
    shortfalls, evaluation = all("slide_back", "large", [4, 0, 4])
    off = evaluation.findings.select { |finding| finding.severity > 1 }
    expect(shortfalls.map(&:code)).to match_array(off.map(&:code))
    severities = shortfalls.map { |shortfall| off.find { |finding| finding.code == shortfall.code }.severity }
    expect(severities).to eq(severities.sort.reverse)
    shortfalls.each do |shortfall|
      finding = off.find { |candidate| candidate.code == shortfall.code }
      expect(shortfall.by).to eq(evaluation.kind(shortfall.code).band.shortfall(finding.graded))
    end
  end

  # A family's machine with the pivot so far off that a knee lies there.
  def mend(fixture, **constants)
    machine = Worked.machine(fixture)
    moved = machine.with(constants: machine.constants.merge(constants) { |_, old, by| old + by })
    evaluation =
      Verglas::Fitting::Evaluation.new(
        machine: moved,
        estimate: Worked.exact("middle"),
        wishes: Worked.wishes(moved),
        indices: moved.adjusters.map { 2 }
      )
    described_class.all(evaluation).find { |shortfall| shortfall.code == :offset }.mend
  end

  it "mends a knee by what lies further: along the seat, or across it" do
    expect(
      [
        mend("slide_back", back_face: -80),
        mend("slide_back", back_face: 80),
        mend("slide_back", pivot_above_seat: 80),
        mend("slide_back", pivot_above_seat: -80)
      ]
    ).to eq(%i[cushion_behind_back back_pad_further_back cushion_on_seat lower_seat])
    expect([mend("lie_flat", pivot_above_bench: 80), mend("lie_flat", pivot_above_bench: -80)]).to eq(
      %i[pad_under_thighs lower_bench]
    )
  end

  it "says nothing where everything is close or better" do
    shortfalls, evaluation = all("slide_back", "middle", [2, 2, 2])
    expect(evaluation.score.worst).to be < 2
    expect(shortfalls).to eq([])
  end

  it "brings the knee to the pivot: a cushion as thick as the amount mends an offset along the seat" do
    machine = Worked.machine("slide_back")
    shortfalls, evaluation = all("slide_back", "small", [4, 2, 2])
    offset = shortfalls.find { |shortfall| shortfall.code == :offset }
    expect(offset.mend).to eq(:cushion_behind_back)
    wishes = Worked.wishes(machine, cushion_back_mm: offset.amount)
    mended =
      Verglas::Fitting::Evaluation.new(
        machine: machine,
        estimate: Worked.exact("small"),
        wishes: wishes,
        indices: evaluation.indices
      )
    expect(mended.quantities[:knee_s_mm]).to be_within(1e-6).of(0)
  end
end
