# frozen_string_literal: true

require "web_helper"

# What the numbers are called: the sentence for every band, direction and fault.
RSpec.describe Verglas::Application::Told::Finding do
  let(:machine) { Worked.machine("slide_back") }

  def evaluation(body = "middle", machine: self.machine, indices: [2, 2, 2], **wishes)
    estimate = body.is_a?(String) ? Worked.exact(body) : Verglas::Body::Estimate.exact(body)
    Verglas::Fitting::Evaluation.new(
      machine: machine,
      estimate: estimate,
      wishes: Worked.wishes(machine, **wishes),
      indices: indices
    )
  end

  def says(code, *given, **wishes)
    evaluation = evaluation(*given, **wishes)
    described_class.says(evaluation.findings.find { |finding| finding.code == code }, evaluation)
  end

  it "says where the knee is: ahead, behind, above, below, and both where both matter" do
    [0, 1, 2, 3, 4].zip(
      ["53 mm ahead of", "28 mm ahead of", "3 mm ahead of", "22 mm behind", "47 mm behind"]
    ) { |mark, words| expect(says(:offset, indices: [mark, 2, 2])).to eq("Knee #{words} the pivot.") }
    low = Verglas::Body::Dimensions.from(Worked.body("middle").to_h.merge(knee_under: 48.0))
    expect(says(:offset, low)).to eq("Knee 18 mm below the pivot.")
    high = Verglas::Body::Dimensions.from(Worked.body("middle").to_h.merge(knee_under: 84.0, hip_depth: 140.0))
    expect(says(:offset, high)).to match(/\AKnee \d+ mm (above and ahead of|ahead of and above) the pivot\.\z/)
  end

  it "says that a knee within two millimetres is on the pivot" do
    exact = Verglas::Body::Dimensions.from(Worked.body("middle").to_h.merge(hip_depth: 125.2))
    expect(says(:offset, exact)).to eq("Knee on the pivot.")
  end

  it "says gap, snug or pinch behind the knee" do
    expect(says(:crease_gap)).to eq("Snug on the seat edge.")
    expect(says(:crease_gap, indices: [1, 2, 2])).to eq("A gap of 33 mm behind the knee.")
    expect(says(:crease_gap, indices: [4, 2, 2])).to eq("Seat edge presses 42 mm past the crease of the knee.")
  end

  it "says where the roller lies, and calls the foot and the calf by name" do
    expect(says(:contact)).to eq("On the shin, just above the ankle.")
    expect(says(:contact, indices: [2, 1, 2])).to match(/\ARoller \d+ mm higher than wanted\.\z/)
    expect(says(:contact, indices: [2, 3, 2], contact_above_ankle_mm: 110.0)).to match(
      /\ARoller \d+ mm lower than wanted\.\z/
    )
    short = Verglas::Body::Dimensions.from(Worked.body("middle").to_h.merge(shank: 372.0))
    expect(says(:contact, short, indices: [2, 4, 2])).to start_with("Roller on the foot")
    long = Verglas::Body::Dimensions.from(Worked.body("middle").to_h.merge(shank: 560.0))
    expect(says(:contact, long, indices: [2, 0, 2])).to eq("Roller on the belly of the calf.")
  end

  it "says how deep the start is, and which limit it passes" do
    expect(says(:start)).to eq("About a right angle.")
    expect(says(:start, indices: [2, 2, 1])).to match(/\AStarts \d+° deeper than wanted\.\z/)
    expect(says(:start, indices: [2, 2, 4])).to match(/\AStarts \d+° straighter than wanted\.\z/)
    expect(says(:start, knee_to_deg: 80.0)).to eq("Starts with the knee bent past this client's limit.")
  end

  it "has words for what a curl finds too" do
    curl = Worked.machine("curl_plain")
    marks = ->(*indices) { { machine: curl, indices: indices } }
    expect(says(:kneecap_gap, **marks.call(3, 2, 4))).to eq("The kneecap is clear of the thigh pad.")
    expect(says(:kneecap_gap, "large", **marks.call(6, 2, 9))).to eq("Thigh pad on the kneecap.")
    expect(says(:kneecap_gap, **marks.call(1, 2, 4))).to include("holds the thigh too far up")
    expect(says(:thigh_press, **marks.call(3, 2, 4))).to eq("Firm on the thigh.")
    expect(says(:thigh_press, **marks.call(3, 2, 6))).to match(/\AThigh pad \d+ mm clear of the thigh: loose\.\z/)
    expect(says(:thigh_press, **marks.call(3, 2, 0))).to include("too hard")
  end

  it "says of a lying client where the knee is along the bench, and above or below the pivot the right way up" do
    bench = Worked.machine("lie_flat")
    expect(says(:offset, machine: bench, indices: [2], knee_laid_mm: 18.0)).to eq("Knee 18 mm past the pivot.")
    expect(says(:offset, machine: bench, indices: [2], knee_laid_mm: -18.0)).to eq("Knee 18 mm short of the pivot.")
    thick = Verglas::Body::Dimensions.from(Worked.body("middle").to_h.merge(knee_front: 77.0))
    expect(says(:offset, thick, machine: bench, indices: [2])).to eq("Knee 20 mm above the pivot.")
    expect(says(:kneecap_clear, machine: bench, indices: [2])).to eq("Kneecaps just off the end of the pad.")
    expect(says(:kneecap_clear, machine: bench, indices: [2], knee_laid_mm: -30.0)).to eq(
      "Kneecaps 30 mm too far up: the pad's end presses on them."
    )
    expect(says(:kneecap_clear, machine: bench, indices: [2], knee_laid_mm: 30.0)).to eq(
      "Kneecaps 30 mm too far beyond the pad's end."
    )
  end

  it "says in few words what a step would show, for every rule that decides an adjuster" do
    shorts =
      lambda do |name, indices|
        shown = evaluation("middle", machine: Worked.machine(name), indices: indices)
        shown.mechanics.class::RULES.keys.to_h { |rule| [rule, described_class.short(rule, shown)] }
      end
    seated = shorts.call("curl_plain", [3, 2, 4])
    lying = shorts.call("lie_hinged", [2, 1])
    expect([*seated.values, *lying.values]).to all(match(/\d/))
    expect(seated).to include(pivot: "3 mm ahead", crease: "gap 8 mm", contact: "63 mm", start: "8°")
    expect(lying).to include(height: "1 mm above", bench_end: "12 mm clear", hips: "14°")
  end

  it "offers a step only where the whole gets better, and none where all is in line" do
    good = Verglas::Application::Told::Evaluation.of(evaluation)
    expect(good[:findings].map { |finding| finding[:move] }.uniq).to eq([nil])
    bad = Verglas::Application::Told::Evaluation.of(evaluation("middle", indices: [4, 2, 2]))
    expect(bad[:findings].first[:move]).to include(adjuster: "back pad", mark: "4")
  end

  it "has no word that a family lacks, and misses each that is taken away" do
    families = Verglas::Machines::Families.single
    keys = families.flat_map { |family| Verglas::Formats::FamilyWords.keys(family) }.uniq
    expect(keys.size).to be > 100
    expect { Verglas::Formats::FamilyWords.check!(families) }.not_to raise_error
    allow(I18n).to receive(:exists?) { |key| key != "steps.pivot.look" }
    expect { Verglas::Formats::FamilyWords.check!(families) }.to raise_error(
      ArgumentError,
      /\Aconfig.messages needs steps\.pivot\.look\z/
    )
  end
end
