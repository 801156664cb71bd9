# frozen_string_literal: true

RSpec.describe Verglas::Fitting::StationAdvice do
  let(:data) { Worked::MACHINES["shared_seat"] }
  let(:machines) do
    %w[extension curl].to_h { |exercise| [exercise, Verglas::Machines::Reader.read(data, exercise: exercise)] }
  end
  let(:wishes) { machines.transform_values { |machine| Worked.wishes(machine) } }

  def advice(estimate, **given)
    described_class.new(machines: machines, shared: ["back pad"], estimate: estimate, wishes: wishes, **given)
  end

  Worked
    .examples("advise")
    .select { |example| example["expect"]["curl"] }
    .each do |example|
      it "agrees with the worked example of a #{example["input"]["body"]} body" do
        advised = advice(Worked.exact(example["input"]["body"]))
        example["expect"].each do |exercise, wanted|
          one = advised.exercises[exercise]
          expect([one.marks, one.evaluation.grade]).to eq(wanted.values_at("marks", "grade"))
          expect([advised.alone[exercise].marks, advised.alone[exercise].evaluation.grade]).to eq(
            wanted.values_at("alone", "grade_alone")
          )
          wanted["findings"].each do |code, (value, band)|
            finding = one.evaluation.findings.find { |candidate| candidate.code.to_s == code }
            expect([finding.value, finding.band]).to match([be_within(0.1).of(value), band])
          end
        end
      end
    end

  # Every seat with every mark of either arm: the best of each exercise, then of both together, by the words of the keys
  # alone.
  def outcomes(machine, body)
    mechanics = Verglas::Mechanisms.for(machine, body, Worked.wishes(machine))
    ranges = machine.adjusters.map { |adjuster| (0...adjuster.size).to_a }
    ranges
      .first
      .product(*ranges.drop(1))
      .map do |indices|
        findings = mechanics.all_findings(mechanics.place(machine.parameters(indices)))
        worst = findings.map(&:severity).max
        [indices, worst, worst.zero? ? 0 : findings.count { |finding| finding.severity == worst }, findings.sum(&:cost)]
      end
  end

  def brute_force(body, machines = self.machines)
    best =
      machines.transform_values do |machine|
        outcomes(machine, body)
          .group_by { |indices, *| indices.first }
          .transform_values do |results|
            results.min_by { |indices, worst, number, cost| [worst, number, cost.round(9), *indices] }
          end
      end
    best
      .values
      .first
      .keys
      .map { |seat| best.values.map { |each| each[seat] } }
      .min_by do |extension, curl|
        [
          [extension[1], curl[1]].max,
          extension[2] + curl[2],
          (extension[3] + curl[3]).round(9),
          extension[0].first,
          *extension[0].drop(1),
          *curl[0].drop(1)
        ]
      end
  end

  it "finds what trying every mark of both exercises finds, for random bodies" do
    random = Random.new(31)
    60.times do
      body = random_body(random)
      advised = advice(Verglas::Body::Estimate.exact(body))
      found = advised.exercises.map { |_, one| one.evaluation.indices }
      expect(found).to eq(brute_force(body).map(&:first)), body.to_h.to_s
    end
  end

  it "finds the same on a seat between two arms whose pads turn" do
    data = Worked::MACHINES["pads_that_turn"]
    turned = %w[abduction adduction].to_h { |name| [name, Verglas::Machines::Reader.read(data, exercise: name)] }
    random = Random.new(12)
    40.times do
      body = random_body(random)
      advised =
        described_class.new(
          machines: turned,
          shared: ["back pad"],
          estimate: Verglas::Body::Estimate.exact(body),
          wishes: turned.transform_values { |machine| Worked.wishes(machine) }
        )
      found = advised.exercises.map { |_, one| one.evaluation.indices }
      expect(found).to eq(brute_force(body, turned).map(&:first)), body.to_h.to_s
    end
  end

  it "tells what each gave up, and a runner-up with the seat set otherwise for both" do
    random = Random.new(4)
    torn =
      Array
        .new(60) { advice(Verglas::Body::Estimate.exact(random_body(random))) }
        .find { |advised| advised.exercises.keys.any? { |exercise| advised.gave_up?(exercise) } }
    expect(torn).not_to be_nil
    loser = torn.exercises.keys.find { |exercise| torn.gave_up?(exercise) }
    expect(torn.alone[loser].evaluation.score).to be <= torn.exercises[loser].evaluation.score
    seats = torn.exercises.values.map { |one| one.runner_up.marks["back pad"] }
    expect(seats.uniq.size).to eq(1)
    expect(seats.first).not_to eq(torn.exercises["curl"].marks["back pad"])
  end

  it "takes one cushion for both, the thinnest that lowers the worst of the two" do
    short = Verglas::Body::Estimate.exact(Verglas::Body::Dimensions.from(Worked.body("small").to_h.merge(thigh: 335.0)))
    cushioned = advice(short, choices: Verglas::Fitting::Choices.new(sizes: { cushion_back_mm: [20, 40] }))
    expect(cushioned.chosen[:cushion_back_mm]).to be_positive
    worst = ->(given) { given.exercises.values.map { |one| one.evaluation.score.worst }.max }
    expect(worst.call(cushioned)).to be < worst.call(advice(short))
    expect(cushioned.exercises.values.map { |one| one.wishes[:cushion_back_mm] }.uniq).to eq(
      [cushioned.chosen[:cushion_back_mm]]
    )
  end
end
