# frozen_string_literal: true

RSpec.describe Verglas::Mechanisms::SeatedKnee do
  names = Verglas::Formats::Answers::QUANTITIES

  def evaluation(request)
    machine = Worked.machine(request["machine"])
    Verglas::Fitting::Evaluation.new(
      machine: machine,
      estimate: Worked.subjects.estimate(request),
      wishes: Worked.subjects.wishes(request, machine),
      indices: machine.indices(request["marks"])
    )
  end

  Worked
    .examples("evaluate")
    .select { |example| example["expect"]["findings"] }
    .each do |example|
      it "agrees with the worked example #{example["input"].slice("machine", "body", "marks", "options").values}" do
        evaluation = evaluation(example["input"])
        example["expect"]["quantities"].each do |short, value|
          expect(evaluation.quantities[names.key(short.to_sym)]).to be_within(
            short.start_with?("ratio") ? 0.001 : 0.1
          ).of(value),
          short
        end
        expect(
          evaluation.told.map(&:finding).to_h { |finding| [finding.code.to_s, [finding.value.round(4), finding.band]] }
        ).to eq(example["expect"]["findings"])
        expect(evaluation.grade).to eq(example["expect"]["grade"])
      end
    end

  def findings(machine, body, marks, **wishes)
    machine = Worked.machine(machine)
    mechanics = described_class.new(machine: machine, body: body, wishes: Worked.wishes(machine, **wishes))
    mechanics
      .all_findings(mechanics.place(machine.parameters(machine.indices(marks))))
      .to_h { |finding| [finding.code, finding] }
  end

  let(:middle) { Worked.body("middle") }
  let(:marks) { { "back pad" => "3", "roller" => "C", "start" => "3" } }

  it "moves the knee ahead by what the cushion behind the back is thick, and up by the one on the seat" do
    machine = Worked.machine("slide_back")
    knee =
      lambda do |**given|
        described_class.new(machine: machine, body: middle, wishes: Worked.wishes(machine, **given)).joint(
          machine.parameters([2, 2, 2])
        )
      end
    moved = knee.call(cushion_back_mm: 20.0, cushion_seat_mm: 10.0) - knee.call
    expect(moved.to_a.map { |value| value.round(9) }).to eq([20.0, 10.0])
  end

  it "calls a roller on the foot and one on the belly of the calf a fault" do
    short_shank = Worked.body("middle").dup.to_h.merge(shank: 372.0)
    foot = findings("slide_back", Verglas::Body::Dimensions.from(short_shank), marks.merge("roller" => "E"))[:contact]
    expect([foot.severity, foot.fault]).to eq([3, :on_the_foot])
    long_shank = Worked.body("middle").to_h.merge(shank: 560.0)
    calf = findings("slide_back", Verglas::Body::Dimensions.from(long_shank), marks.merge("roller" => "A"))[:contact]
    expect([calf.severity, calf.fault]).to eq([3, :on_the_calf])
  end

  it "calls an end that forces the knee past straight a fault, and a limit passed at either end" do
    forced =
      Worked::MACHINES["slide_back"].merge(
        "constants" => Worked::MACHINES["slide_back"]["constants"].merge("end_angle" => -22)
      )
    machine = Verglas::Machines::Reader.read(forced)
    mechanics = described_class.new(machine: machine, body: middle, wishes: Worked.wishes(machine))
    found = mechanics.all_findings(mechanics.place(machine.parameters([2, 2, 2])))
    expect(found.find { |finding| finding.code == :start }.fault).to eq(:forced_straight)
    expect(findings("slide_back", middle, marks, knee_to_deg: 80.0)[:start].fault).to eq(:past_knee_bend_limit)
    expect(findings("slide_back", middle, marks, knee_to_deg: 100.0)[:start].fault).to be_nil
  end

  it "always grades a pinch, but lets a gap that nothing can mend weigh little" do
    fixed =
      Worked::MACHINES["slide_seat"].merge(
        "adjusters" => Worked::MACHINES["slide_seat"]["adjusters"].reject { |adjuster| adjuster["label"] == "back pad" }
      )
    machine = Verglas::Machines::Reader.read(fixed.merge("constants" => fixed["constants"].merge("back_face" => -544)))
    crease =
      lambda do |thigh|
        body = Verglas::Body::Dimensions.from(middle.to_h.merge(thigh: thigh))
        mechanics = described_class.new(machine: machine, body: body, wishes: Worked.wishes(machine))
        mechanics
          .all_findings(mechanics.place(machine.parameters([3, 1])))
          .find { |finding| finding.code == :crease_gap }
      end
    gap = crease.call(480.0)
    pinch = crease.call(345.0)
    expect([gap.severity, gap.cost]).to eq([1, 4])
    expect(gap.value).to be > 30
    expect(pinch.severity).to eq(2)
    expect(pinch.cost).to be > 4
  end

  it "tells a gap on a curl without grading it, and a pad on the kneecap as a fault" do
    found =
      findings(
        "curl_slide",
        Worked.body("tall"),
        { "seat" => "1", "roller" => "IV", "thigh pad" => "8", "start" => "2" }
      )
    expect(found[:crease_gap].value).to be > 100
    expect([found[:crease_gap].severity, found[:crease_gap].cost]).to eq([0, 0.0])
    expect(
      findings("curl_plain", Worked.body("large"), { "back pad" => "7", "roller" => "C", "thigh pad" => "10" })[
        :kneecap_gap
      ].fault
    ).to eq(:on_the_kneecap)
  end

  it "decides bands on unrounded numbers" do
    band = Verglas::Machines::Declaration::BANDS[:offset]
    expect([15.0, 15.0000001, 30.0, 30.0000001].map { |value| band.severity(value) }).to eq([0, 1, 1, 2])
  end
end
