# frozen_string_literal: true

RSpec.describe Verglas::Fitting::Shortfall do
  def all(fixture, body, indices)
    machine = Worked.machine(fixture)
    evaluation = Verglas::Fitting::Evaluation.new(machine: machine, estimate: Worked.exact(body), wishes: Worked.wishes(machine), indices: indices)
    [described_class.all(evaluation.mechanics.class, evaluation.findings, evaluation.quantities), evaluation]
  end

  it "names what is off only, the worst first, by what lies outside the close band" do
    shortfalls, evaluation = all("slide_back", "large", [4, 0, 4])
    off = evaluation.findings.select { |finding| finding.severity > 1 }
    expect(shortfalls.map(&:code)).to match_array(off.map(&:code))
    severities = shortfalls.map { |shortfall| off.find { |finding| finding.code == shortfall.code }.severity }
    expect(severities).to eq(severities.sort.reverse)
    shortfalls.each do |shortfall|
      finding = off.find { |candidate| candidate.code == shortfall.code }
      expect(shortfall.by).to eq(Verglas::Fitting::KneeOnPivot::BANDS[shortfall.code].shortfall(finding.graded))
    end
  end

  it "mends a knee by what lies further: along the seat, or across it" do
    mend = Verglas::Fitting::SeatedKnee.method(:joint_mend)
    expect([mend.call(-40, 5), mend.call(40, 5), mend.call(5, -40), mend.call(5, 40)])
      .to eq([[:cushion_behind_back, -40], [:back_pad_further_back, 40], [:cushion_on_seat, -40], [:lower_seat, 40]])
    lying = Verglas::Fitting::LyingKnee.method(:joint_mend)
    expect([lying.call(40, 5), lying.call(0, 40), lying.call(0, -40)].map(&:first)).to eq(%i[slide_along_bench pad_under_thighs lower_bench])
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
    mended = Verglas::Fitting::Evaluation.new(machine: machine, estimate: Worked.exact("small"), wishes: wishes, indices: evaluation.indices)
    expect(mended.quantities[:knee_s_mm]).to be_within(1e-6).of(0)
  end
end
