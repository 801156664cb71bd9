# frozen_string_literal: true

RSpec.describe Verglas::Fitting::Solver do
  Worked
    .examples("advise")
    .select { |example| example["expect"]["marks"] }
    .each do |example|
      it "agrees with the worked example: #{example["input"].slice("machine", "body", "options").values}" do
        machine = Worked.machine(example["input"]["machine"])
        advice =
          Verglas::Fitting::Advice.new(
            machine: machine,
            estimate: Worked.subjects.estimate(example["input"]),
            wishes: Worked.subjects.wishes(example["input"], machine),
            choices: Worked.subjects.choices(example["input"])
          )
        wanted = example["expect"]
        expect(advice.marks).to eq(wanted["marks"])
        expect(advice.evaluation.grade).to eq(wanted["grade"])
        wanted
          .fetch("findings", {})
          .each { |code, (value, band)| expect(told(advice, code)).to match([be_within(0.1).of(value), band]) }
        next unless wanted.key?("without")

        expect([advice.wishes[:cushion_back_mm], advice.wishes[:cushion_seat_mm], advice.grade_without_cushions]).to eq(
          wanted.values_at("cushion_back", "cushion_seat", "without")
        )
      end
    end

  def told(advice, code)
    finding = advice.evaluation.findings.find { |candidate| candidate.code.to_s == code }
    [finding.value, finding.band]
  end

  # The full product of all marks, by the definition of the key alone. benchmarks/brute_force.rb tries 2,000 people on
  # every demo machine.
  def brute_force(machine, body, wishes)
    mechanics = Verglas::Mechanisms.for(machine, body, wishes)
    joint, others =
      machine.adjusters.each_index.partition { |place| machine.family.group_of(machine.adjusters[place]) == :joint }
    ranges = machine.adjusters.map { |adjuster| (0...adjuster.size).to_a }
    ranges
      .first
      .product(*ranges.drop(1))
      .min_by do |indices|
        place = mechanics.place(machine.parameters(indices))
        findings = mechanics.all_findings(place).select { |finding| machine.family.findings[finding.code].weighs }
        worst = findings.map(&:severity).max
        number = worst.zero? ? 0 : findings.count { |finding| finding.severity == worst }
        [
          *mechanics.precedence(place),
          worst,
          *mechanics.preference(place),
          number,
          findings.sum(&:cost).round(9),
          *indices.values_at(*joint, *others)
        ]
      end
  end

  {
    "slide_back" => 200,
    "slide_seat" => 200,
    "curl_plain" => 60,
    "curl_slide" => 20,
    "lie_flat" => 200,
    "pad_on_lever" => 200,
    "incline_sled" => 100,
    "seat_on_rail" => 60,
    "shoulder_sled" => 100,
    "pad_and_angle" => 100,
    "level_pad" => 100,
    "arms_turned_out" => 60,
    "arms_turned_in" => 60
  }.each do |name, count|
    it "finds what the full product finds, for #{count} random bodies on #{name}" do
      random = Random.new(2026)
      machine = Worked.machine(name)
      count.times do
        body = random_body(random)
        wishes = Worked.wishes(machine, **(random.rand < 0.2 ? { knee_to_deg: 70.0 + (random.rand * 30) } : {}))
        found = described_class.new(machine: machine, body: body, wishes: wishes).solutions.first.indices
        expect(found).to eq(brute_force(machine, body, wishes)), "#{name}: #{body.to_h}"
      end
    end
  end

  { "incline_sled" => 60, "seat_on_rail" => 40 }.each do |name, count|
    it "finds what the full product finds for calf work on #{name}, for #{count} random bodies" do
      random = Random.new(2027)
      %w[calf calf_knees_bent].each do |exercise|
        machine = Verglas::Machines::Reader.read(Worked::MACHINES.fetch(name), exercise: exercise)
        count.times do
          body = random_body(random)
          wishes = Worked.wishes(machine, **(random.rand < 0.2 ? { knee_from_deg: 10.0 } : {}))
          found = described_class.new(machine: machine, body: body, wishes: wishes).solutions.first.indices
          expect(found).to eq(brute_force(machine, body, wishes)), "#{exercise}: #{body.to_h}"
        end
      end
    end
  end

  it "ranks its solutions, one a combination of the joint adjusters" do
    machine = Worked.machine("slide_seat")
    solver = described_class.new(machine: machine, body: Worked.body("middle"), wishes: Worked.wishes(machine))
    solutions = solver.solutions(100)
    expect(solutions.size).to eq(6 * 7)
    expect(solutions.map { |solution| solution.score.key }).to eq(solutions.map { |solution| solution.score.key }.sort)
    (1..9).each { |most| expect(solver.solutions(most)).to eq(solutions.first(most)) }
  end

  it "keeps what is held where it stands, and does the best with the rest" do
    machine = Worked.machine("slide_back")
    body = Worked.body("middle")
    held =
      described_class.new(
        machine: machine,
        body: body,
        wishes: Worked.wishes(machine),
        held: {
          "back pad" => 4,
          "start" => 0
        }
      ).solutions
    expect(held.map { |solution| solution.indices.values_at(0, 2) }).to eq([[4, 0]])
    mechanics = Verglas::Mechanisms.for(machine, body, Worked.wishes(machine))
    best =
      (0..4).min_by do |roller|
        Verglas::Fitting::Score.of(mechanics.all_findings(mechanics.place(machine.parameters([4, roller, 0]))))
      end
    expect(held.first.indices[1]).to eq(best)
  end

  it "stands a hinge, of which nothing is graded, nearest to what hips want" do
    machine = Worked.machine("lie_hinged")
    marks =
      machine.marks(
        described_class
          .new(machine: machine, body: Worked.body("middle"), wishes: Worked.wishes(machine))
          .solutions
          .first
          .indices
      )
    expect(marks).to eq({ "roller" => "C", "hinge" => "middle" })
  end

  it "solves a machine without adjusters: there is nothing to choose" do
    machine = Worked.machine("slide_back").with(adjusters: [])
    expect(
      described_class
        .new(machine: machine, body: Worked.body("middle"), wishes: Worked.wishes(machine))
        .solutions
        .map(&:indices)
    ).to eq([[]])
  end
end
