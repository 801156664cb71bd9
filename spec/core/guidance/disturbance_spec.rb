# frozen_string_literal: true

RSpec.describe Verglas::Guidance::Disturbance do
  let(:machine) { Worked.machine("curl_plain") }
  let(:steps) { Verglas::Guidance::Flow.steps(machine) }
  let(:exact) { Worked.exact("middle") }
  let(:best) do
    Verglas::Fitting::Solver
      .new(machine: machine, body: exact.dimensions, wishes: Worked.wishes(machine))
      .solutions
      .first
      .indices
  end

  def at(indices)
    Verglas::Fitting::Evaluation.new(
      machine: machine,
      estimate: exact,
      wishes: Worked.wishes(machine),
      indices: indices
    )
  end
  def moved_back(by) = best.dup.tap { |copy| copy[0] += by }
  def moved(now, seen)
    described_class.new(at(now), steps: steps, seen: seen.transform_values { |indices| at(indices) }).moved
  end

  it "finds nothing where nothing moved since it was seen" do
    seen = steps.to_h { |step| [step.id, best] }
    expect(moved(best, seen)).to be_empty
  end

  it "names roller and thigh pad after the back pad was moved, each by as much as the geometry moved it" do
    later = moved_back(-1)
    found = moved(later, { "roller" => best, "thigh pad" => best, "@support" => best })
    expect(found.map { |one| one.step.id }).to contain_exactly("roller", "thigh pad", "@support")
    roller = found.find { |one| one.step.id == "roller" }
    expect(roller.by).to be_within(1e-9).of(
      at(later).quantities[:above_ankle_mm] - at(best).quantities[:above_ankle_mm]
    )
    # A notch of the back pad moves knee, kneecap and crease by its pitch along the seat.
    pitch = machine.adjusters.first.pitch(best.first)
    expect(found.reject { |one| one.step.id == "roller" }.map { |one| one.by.abs }).to all(be_within(1e-6).of(pitch))
  end

  it "says of the knee how far it went, even to the other side of the pivot" do
    from, to = [0, machine.adjusters.first.size - 1].map { |index| best.dup.tap { |copy| copy[0] = index } }
    whole = machine.adjusters.first.travel.minmax.inject(:-).abs
    expect(moved(to, { "back pad" => from }).first.by).to be_within(1e-6).of(whole)
  end

  it "asks nothing again of what was never seen, and forgets what was set again since" do
    later = moved_back(-1)
    expect(moved(later, {})).to be_empty
    expect(moved(later, { "roller" => later })).to be_empty
  end

  it "gives the mark of the step's own adjuster that is best now" do
    later = moved_back(-2)
    roller = moved(later, { "roller" => best }).first
    tried = machine.adjusters[1].marks.each_index.map { |index| at(later.dup.tap { |copy| copy[1] = index }) }
    expect(roller.to ? roller.to.score : at(later).score).to eq(tried.map(&:score).min)
  end
end
