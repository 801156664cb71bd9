# frozen_string_literal: true

RSpec.describe Verglas::Guidance::HouseRules do
  let(:words) { Verglas::Formats::Words }

  def family(id) = Verglas::Machines::Families.fetch(id)

  it "has a default among its schools, a title and a reason for each side of every question" do
    described_class::QUESTIONS.each_value do |question|
      expect(question.schools).to have_key(question.default)
      expect(question.schools.size).to be >= 2
      question.schools.each_key do |school|
        expect(words.say("house_rules.#{question.name}.schools.#{school}.reason")).not_to be_empty
      end
      expect(Verglas::Machines::Families.single.select { |one| question.asked_of?(one) }).not_to be_empty,
      question.name.to_s
    end
  end

  it "takes the client's choice before the gym's, and the gym's before the default" do
    chosen = described_class.chosen(gym: { belt: :always, tempo: :even_slow }, client: { tempo: :slow_start })
    expect(chosen.values_at(:belt, :tempo, :grip)).to eq(%i[always slow_start light])
  end

  it "leaves a family's own aims as they are where the defaults hold" do
    Verglas::Machines::Families
      .all
      .grep(Verglas::Machines::Family)
      .each do |family|
        wishes = Verglas::Mechanisms::Wishes.for(family, **described_class.wishes(family, described_class.chosen))
        expect(wishes).to eq(Verglas::Mechanisms::Wishes.for(family)), family.id.to_s
      end
  end

  # Each school that computes something, with the number that it changes on an exactly known body.
  def told(machine, indices, **chosen)
    machine = Worked.machine(machine)
    wishes =
      Verglas::Mechanisms::Wishes.for(
        machine.family,
        **described_class.wishes(machine.family, described_class.chosen(gym: chosen))
      )
    evaluation =
      Verglas::Fitting::Evaluation.new(
        machine: machine,
        estimate: Worked.exact("middle"),
        wishes: wishes,
        indices: indices
      )
    [evaluation, Verglas::Fitting::Advice.new(machine: machine, estimate: Worked.exact("middle"), wishes: wishes)]
  end

  def error(evaluation, code) = evaluation.findings.find { |finding| finding.code == code }.graded

  { extension_roller: { ankle_crease: 35, just_above: 60, hand_above: 110 } }.each do |question, schools|
    schools.each do |school, wanted|
      it "wants the roller #{wanted} mm above the ankle by the school #{school}" do
        evaluation, advice = told("slide_back", [2, 2, 2], question => school)
        expect(evaluation.quantities[:contact_error_mm]).to be_within(1e-9).of(
          evaluation.quantities[:above_ankle_mm] - wanted
        )
        expect((advice.evaluation.quantities[:above_ankle_mm] - wanted).abs).to be < 20
      end
    end
  end

  it "starts an extension further back, and a curl straighter, by the schools that want it" do
    _, back = told("slide_back", [2, 2, 2], extension_start: :further_back)
    expect([back.marks["start"], told("slide_back", [2, 2, 2]).last.marks["start"]]).to eq(%w[2 3])
    straight, = told("curl_plain", [3, 2, 4], curl_start: :fully_straight)
    short, = told("curl_plain", [3, 2, 4])
    expect(error(straight, :start) - error(short, :start)).to be_within(1e-9).of(6)
  end

  it "wants the curl's roller higher under the calf, and the thigh pad off the thigh where it only rests" do
    high, = told("curl_plain", [3, 2, 4], curl_roller: :under_calf)
    expect(high.quantities[:contact_error_mm]).to be_within(1e-9).of(high.quantities[:above_ankle_mm] - 110)
    resting, advice = told("curl_plain", [3, 2, 4], thigh_pad: :resting)
    expect(error(resting, :thigh_press)).to be_within(1e-9).of(6.6 + 6)
    expect(advice.marks["thigh pad"]).to eq("6")
    expect(advice.evaluation.quantities[:thigh_press_mm]).to be_within(4.5).of(0)
  end

  it "tells how far short of straight an extension ends, and grades nothing of it" do
    short, = told("slide_back", [2, 2, 2], extension_end: :just_short)
    full, = told("slide_back", [2, 2, 2])
    expect([short.wishes[:end_bend_deg], full.wishes[:end_bend_deg]]).to eq([10.0, 0.0])
    expect(short.findings.reject { |finding| finding.code == :range_left }).to eq(
      full.findings.reject { |finding| finding.code == :range_left }
    )
    expect(short.findings.last.value - full.findings.last.value).to be_within(0.01).of(3.9 - 10)
  end

  it "knows no question and no school but its own" do
    expect { described_class.fetch("lamp") }.to raise_error(Verglas::Invalid, /unknown question/)
    expect { described_class.school("belt", "sometimes") }.to raise_error(Verglas::Invalid, /not allowed/)
  end
end
