# frozen_string_literal: true

RSpec.describe Verglas::Fitting::Advice do
  def advice(machine, known, taken: [:stature], **given)
    machine = Worked.machine(machine)
    described_class.new(machine: machine, estimate: known, wishes: Worked.wishes(machine), taken: taken, **given)
  end

  it "fits a middle body and says what the seat's neighbours would do" do
    advised = advice("slide_back", Worked.exact("middle"))
    expect([advised.status, advised.marks]).to eq([:fits, { "back pad" => "3", "roller" => "C", "start" => "3" }])
    down, up = Verglas::Fitting::Neighbours.steps(advised.evaluation)["back pad"]
    expect([down, up].map { |step| step.quantities[:knee_s_mm].round }).to eq([28, -22])
    expect(down.marks).to eq(advised.marks.merge("back pad" => "2"))
  end

  it "has no step beyond the ends of a row" do
    down, = Verglas::Fitting::Neighbours.steps(advice("slide_back", Worked.exact("small")).evaluation)["back pad"]
    expect(down).to be_nil
  end

  it "shows in the lens exactly where each mark puts the knee" do
    evaluation = advice("slide_back", Worked.exact("middle")).evaluation
    places = Verglas::Fitting::Neighbours.lens(evaluation)
    expect(places.keys).to eq(["back pad"])
    expect(places["back pad"]["3"].s).to be_within(1e-9).of(evaluation.quantities[:knee_s_mm])
    expect(places["back pad"].values.map(&:s).each_cons(2).map { |one, other| (other - one).round(6) }.uniq).to eq(
      [-25.0]
    )
  end

  it "names a runner-up with another seat, no better than the advised" do
    advised = advice("slide_seat", Worked.exact("middle"))
    expect(advised.runner_up.marks.slice("seat", "back pad")).not_to eq(advised.marks.slice("seat", "back pad"))
    expect(advised.runner_up.score).to be >= advised.evaluation.score
  end

  it "is unsure from height alone, says which other mark is likely, and which reading would help" do
    advised = advice("slide_back", estimate(sex: "woman", stature: 1648))
    back_pad = advised.adjusters.first
    expect(back_pad.probability).to be < 0.6
    expect(back_pad.also.values).to all(be > 0.2)
    expect(advised.next_readings.first.observation).to eq(:seat_to_crease).or eq(:seat_to_kneecap)
  end

  it "grows surer with each reading" do
    sds =
      [{ stature: 1822 }, { stature: 1822, seat_to_kneecap: 641 }].map do |readings|
        advice("slide_back", estimate(**readings)).adjusters.first.requirement.sd
      end
    expect(sds.last).to be < sds.first
  end

  it "says how short a machine is for a body it cannot take, and what would mend it" do
    tiny = Verglas::Body::Estimate.exact(Verglas::Body::Dimensions.from(Worked.body("small").to_h.merge(thigh: 338.0)))
    advised = advice("slide_back", tiny)
    expect(advised.status).to eq(:compromise)
    offset = advised.shortfalls.find { |shortfall| shortfall.code == :offset }
    expect(offset.mend).to eq(:cushion_behind_back)
    expect(offset.by).to be_within(1e-6).of(advised.evaluation.quantities[:offset_mm] - 30)
    expect(advised.adjusters.first.too_far).to eq(:above)
    expect(advised.adjusters.first.missing).to be_within(0.1).of(-advised.evaluation.quantities[:knee_s_mm])
  end

  it "is impossible where every combination is a fault" do
    machine = Worked.machine("slide_back")
    limited =
      described_class.new(
        machine: machine,
        estimate: Worked.exact("middle"),
        wishes: Worked.wishes(machine, knee_to_deg: 40.0)
      )
    expect(limited.status).to eq(:impossible)
    expect(limited.shortfalls.map(&:code)).to include(:start)
  end

  it "adds no cushion where none is needed or none helps" do
    choices = Verglas::Fitting::Choices.new(sizes: { cushion_back_mm: [20, 40], cushion_seat_mm: [10, 20] })
    plain = advice("slide_back", Worked.exact("middle"), choices: choices)
    expect([plain.wishes[:cushion_back_mm], plain.wishes[:cushion_seat_mm]]).to eq([0.0, 0.0])
    tall = advice("slide_back", Worked.exact("tall"), choices: choices)
    expect([tall.wishes[:cushion_back_mm], tall.grade_without_cushions]).to eq([0.0, "close"])
  end

  it "takes the thinnest cushions that lower the worst, singly or in pairs" do
    choices = Verglas::Fitting::Choices.new(sizes: { cushion_back_mm: [40, 20], cushion_seat_mm: [10] })
    expect(choices.by_total(Worked.machine("slide_back").family).flatten.map(&:values)).to eq(
      [[0, 10], [20, 0], [20, 10], [40, 0], [40, 10]]
    )
    expect { Verglas::Fitting::Choices.new(sizes: { cushion_back_mm: [0] }) }.to raise_error(Verglas::Invalid)
  end
end
