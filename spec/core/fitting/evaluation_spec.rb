# frozen_string_literal: true

require "matrix"

RSpec.describe Verglas::Fitting::Evaluation do
  let(:machine) { Worked.machine("slide_back") }
  let(:known) { estimate(sex: "man", stature: 1822, seat_to_kneecap: 641, floor_to_knee_top: 572) }
  let(:evaluation) do
    described_class.new(machine: machine, estimate: known, wishes: Worked.wishes(machine), indices: [3, 2, 2])
  end

  it "agrees with the worked example of a joint's place, its SD and its probabilities" do
    wanted = Worked.examples("evaluate").find { |example| example["expect"]["p_in_line"] }["expect"]
    joint = Verglas::Formats::Answers.joint(evaluation)
    wanted.each do |name, value|
      expect(joint[name.to_sym]).to be_within(name.start_with?("p_") ? 0.001 : 0.1).of(value), name
    end
  end

  it "has SDs that agree with drawing bodies, for numbers that bend little" do
    random = Random.new(21)
    root = Matrix[*known.normal.covariance].eigensystem
    scales = root.eigenvalues.map { |value| Math.sqrt([value, 0].max) }
    draws =
      Array.new(1500) do
        steps =
          scales.map do |scale|
            scale * Math.sqrt(-2 * Math.log(1 - random.rand)) * Math.cos(2 * Math::PI * random.rand)
          end
        offset = (root.eigenvector_matrix * Vector[*steps]).to_a
        body = Verglas::Body::Dimensions.new(*known.normal.mean.zip(offset).map(&:sum))
        mechanics = Verglas::Mechanisms::SeatedKnee.new(machine: machine, body: body, wishes: evaluation.wishes)
        mechanics.quantities(mechanics.place(evaluation.parameters))
      end
    %i[knee_s_mm knee_n_mm crease_gap_mm above_ankle_mm knee_bend_start_deg].each do |name|
      values = draws.map { |draw| draw[name] }
      mean = values.sum / values.size
      drawn = Math.sqrt(values.sum { |value| (value - mean)**2 } / values.size)
      expect(evaluation.body_sd(name)).to be_within(0.08 * drawn).of(drawn), name.to_s
    end
  end

  it "gives each band a probability, and calls a grade likely when it has less than half" do
    offset = evaluation.graded.find { |graded| graded.finding.code == :offset }
    expect([offset.finding.band, offset.likely?]).to eq(["in line", true])
    expect(evaluation.graded.map(&:probability)).to all(be_between(0, 1))
  end

  it "calls the whole in line only likely where one number is, and wrong only likely where nothing makes it so for " \
       "certain" do
    advised, far =
      [[3, 3, 2], [0, 3, 2]].map do |indices|
        described_class.new(machine: machine, estimate: known, wishes: evaluation.wishes, indices: indices)
      end
    expect([advised.grade, advised.likely?]).to eq(["in line", true])
    expect([far.grade, far.likely?]).to eq(["fault", false])
    exact =
      described_class.new(
        machine: machine,
        estimate: Worked.exact("middle"),
        wishes: Worked.wishes(machine),
        indices: [2, 2, 2]
      )
    expect(exact.likely?).to be(false)
  end

  it "is surer of a body that is known exactly" do
    exact =
      described_class.new(
        machine: machine,
        estimate: Worked.exact("middle"),
        wishes: Worked.wishes(machine),
        indices: [2, 2, 2]
      )
    expect(exact.sds[:knee_s_mm]).to be_within(1e-6).of(4.0)
    expect(exact.graded.map(&:likely?)).to all(be(false))
  end

  it "has intervals of nine in ten" do
    low, high = evaluation.intervals[:knee_s_mm]
    expect((high - low) / evaluation.sds[:knee_s_mm]).to be_within(1e-9).of(2 * 1.645)
  end

  it "leaves a thigh pad to the hand while the thigh's thickness is known too loosely" do
    curl = Worked.machine("curl_plain")
    loose, taped =
      [{}, { thigh_depth: 150 }].map do |more|
        described_class.new(
          machine: curl,
          estimate: estimate(sex: "man", stature: 1822, **more),
          wishes: Worked.wishes(curl),
          indices: [4, 2, 0]
        )
      end
    expect([loose, taped].map(&:by_hand)).to eq([[:thigh_press], []])
    press = loose.findings.find { |finding| finding.code == :thigh_press }
    expect(press.severity).to eq(2)
    expect([loose.score.worst, taped.score.worst]).to eq([1, 2])
  end
end
