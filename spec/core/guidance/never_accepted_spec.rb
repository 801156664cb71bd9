# frozen_string_literal: true

RSpec.describe Verglas::Guidance::NeverAccepted do
  let(:machine) { Worked.machine("curl_plain") }

  def reasons(evaluation, barred: false) = described_class.reasons(evaluation, barred: barred)

  def at(indices, body: "middle", **wishes)
    Verglas::Fitting::Evaluation.new(
      machine: machine,
      estimate: Worked.exact(body),
      wishes: Worked.wishes(machine, **wishes),
      indices: indices
    )
  end

  it "refuses a machine that a caution bars, however well it fits" do
    expect(reasons(at([3, 2, 5]), barred: true)).to include(:barred)
  end

  it "refuses every mark at which the pad lies on the kneecap, and none other for that" do
    %w[small middle tall].each do |body|
      7.times do |index|
        evaluation = at([index, 2, 5], body: body)
        on_it = evaluation.quantities[:kneecap_gap_mm] < 10
        expect(reasons(evaluation).include?(:on_the_kneecap)).to eq(on_it), "#{body} #{index}"
      end
    end
  end

  it "refuses a start that forces the knee out of the client's range, on either side; the end is the client's" do
    start, last = at([3, 2, 5]).quantities.values_at(:knee_bend_start_deg, :knee_bend_end_deg)
    expect(reasons(at([3, 2, 5], knee_from_deg: start + 1))).to include(:past_straight_limit)
    expect(reasons(at([3, 2, 5], knee_from_deg: start - 1))).to be_empty
    expect(reasons(at([3, 2, 5], knee_to_deg: start - 1))).to include(:past_knee_bend_limit)
    expect(reasons(at([3, 2, 5], knee_to_deg: last - 20))).to be_empty
  end

  it "leaves what is merely off to the instructor" do
    off = Array.new(7) { |index| at([index, 2, 5]) }.select { |evaluation| evaluation.score.worst == 2 }
    expect(off.size).to be >= 2
    expect(off.map { |evaluation| reasons(evaluation) }).to all(eq([]))
    expect(off).to all(satisfy { |evaluation| described_class.reason_needed?(evaluation) })
  end
end
