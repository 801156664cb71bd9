# frozen_string_literal: true

# Two scales of one machine that have to agree: one is set, and the other takes its mark, counted from the first.
RSpec.describe "Adjusters that stand as one" do
  def data(name) = Marshal.load(Marshal.dump(Worked::MACHINES.fetch(name)))
  def read(data, **given) = Verglas::Machines::Reader.read(data, **given)

  # A further adjuster that takes a label's mark; the one whose mark it takes has as many as it.
  def tied(data, to:, label: "twin", drives: {}, travel: nil, marks: nil)
    leader = data["adjusters"].find { |one| one["label"] == to }
    marks ||= leader["marks"].each_index.map { |index| (index + 65).chr }
    twin = { "label" => label, "marks" => marks, "travel" => travel || [], "drives" => drives, "same_as" => to }
    data.merge("adjusters" => [*data["adjusters"], twin])
  end

  # Ties what is there already: the first as many marks of both.
  def tie(data, follower, to:)
    both = data["adjusters"].select { |one| [follower, to].include?(one["label"]) }
    size = both.map { |one| one["marks"].size }.min
    both.each { |one| %w[marks travel].each { |part| one[part] = one[part].take(size) } }
    both.find { |one| one["label"] == follower }["same_as"] = to
    data
  end

  # Every way to stand, both of what stands as one at each mark.
  def ways(machine)
    leading = machine.leading
    first, *rest = leading.map { |place| (0...machine.adjusters[place].size).to_a }
    first
      .product(*rest)
      .map do |chosen|
        leading.zip(chosen).inject(Array.new(machine.adjusters.size, 0)) { |all, (at, to)| machine.set(all, at, to) }
      end
  end

  def brute_force(machine, body, wishes)
    mechanics = Verglas::Mechanisms.for(machine, body, wishes)
    places = machine.leading.sort_by { |place| [machine.group_of(place) == :joint ? 0 : 1, place] }
    ways(machine).min_by do |indices|
      place = mechanics.place(machine.parameters(indices))
      score = Verglas::Fitting::Score.of(mechanics.all_findings(place).select { |one| weighs?(machine, one) })
      [*mechanics.precedence(place), score.worst, *mechanics.preference(place), *score.key, *indices.values_at(*places)]
    end
  end
  def weighs?(machine, finding) = machine.family.findings[finding.code].weighs

  def solved(machine, body, wishes)
    Verglas::Fitting::Solver.new(machine: machine, body: body, wishes: wishes).solutions.first
  end

  {
    "the same group" => %w[roller start],
    "the joint and the arm" => ["roller", "back pad"],
    "the arm and the joint" => ["back pad", "roller"]
  }.each do |what, (follower, leader)|
    it "finds what trying every mark of both as one finds, for #{what}" do
      machine = read(tie(data("slide_back"), follower, to: leader))
      random = Random.new(31)
      80.times do
        body = random_body(random)
        wishes = Worked.wishes(machine)
        found = solved(machine, body, wishes)
        expect(found.indices).to eq(brute_force(machine, body, wishes)), body.to_h.to_s
        at = [follower, leader].map { |label| machine.adjusters.index { |one| one.label == label } }
        expect(found.indices.values_at(*at).uniq.size).to eq(1)
      end
    end
  end

  it "advises what it advises without a twin that moves nothing, and names the twin's own mark beside it" do
    plain = data("slide_back")
    alone, both =
      [plain, tied(plain, to: "back pad")].map do |one|
        machine = read(one)
        Verglas::Fitting::Advice.new(machine: machine, estimate: Worked.exact("middle"), wishes: Worked.wishes(machine))
      end
    expect(both.marks.except("twin")).to eq(alone.marks)
    machine = both.machine
    index = machine.adjuster("back pad").index(both.marks["back pad"])
    expect(both.marks["twin"]).to eq(machine.adjuster("twin").marks[index])
    twin = both.adjusters.find { |one| one.label == "twin" }
    expect([twin.mark, twin.requirement, twin.probability]).to eq([both.marks["twin"], nil, nil])
    expect(machine.tries).to eq(alone.machine.tries)
  end

  it "sets what moves through one that only records, and one step says both" do
    plain = data("slide_back")
    plain["adjusters"].unshift(
      {
        "label" => "scale",
        "marks" => plain["adjusters"].find { |one| one["label"] == "back pad" }["marks"],
        "travel" => [],
        "drives" => {
        }
      }
    )
    plain["adjusters"].find { |one| one["label"] == "back pad" }["same_as"] = "scale"
    machine = read(plain)
    body = Worked.body("middle")
    alone = read(data("slide_back"))
    found = solved(machine, body, Worked.wishes(machine))
    expect(machine.marks(found.indices).except("scale")).to eq(
      alone.marks(solved(alone, body, Worked.wishes(alone)).indices)
    )
    steps = Verglas::Guidance::Flow.steps(machine, walk_round: { "back pad" => { weight_off_first: true } })
    step = steps.select(&:adjuster).find { |one| one.adjuster == "scale" }
    expect([step.rule, step.weight_off, steps.any? { |one| one.adjuster == "back pad" }]).to eq([:pivot, true, false])
  end

  it "steps both, and reads a mark of the one that leads alone" do
    machine = read(tied(data("slide_back"), to: "back pad"))
    estimate = Worked.exact("middle")
    evaluation =
      Verglas::Fitting::Advice.new(machine: machine, estimate: estimate, wishes: Worked.wishes(machine)).evaluation
    down, up = Verglas::Fitting::Neighbours.steps(evaluation).fetch("back pad")
    places = %w[back\ pad twin].map { |label| machine.adjusters.index { |one| one.label == label } }
    [down, up].compact.each { |one| expect(one.indices.values_at(*places).uniq.size).to eq(1) }
    marks = machine.marks(evaluation.indices)
    expect(machine.indices(marks.except("twin"))).to eq(evaluation.indices)
    expect { machine.check_agreeing(marks) }.not_to raise_error
    strange = marks.merge("twin" => (machine.adjuster("twin").marks - [marks["twin"]]).first)
    expect { machine.check_agreeing(strange) }.to raise_error(Verglas::Invalid, /marks disagree/)
    expect(machine.indices(strange)).to eq(evaluation.indices)
  end

  it "keeps a station's shared seats as one, and finds what every mark of them finds" do
    shared = data("shared_seat")
    twin = shared["adjusters"].first["label"]
    tied_data = tied(shared, to: twin)
    advice =
      [shared, tied_data].map do |one|
        machines = %w[extension curl].to_h { |name| [name, read(one, exercise: name)] }
        Verglas::Fitting::StationAdvice.new(
          machines: machines,
          shared: one["adjusters"].map { |adjuster| adjuster["label"] },
          estimate: Worked.exact("middle"),
          wishes: machines.transform_values { |machine| Worked.wishes(machine) }
        )
      end
    plain, both = advice.map { |one| one.exercises.transform_values(&:marks) }
    expect(both.transform_values { |marks| marks.except("twin") }).to eq(plain)
    expect(advice.last.tries).to eq(advice.first.tries)
  end

  it "refuses one that takes the mark of nothing, of another that follows, or of one with other marks" do
    [{ to: "back pad", marks: %w[A B] }, { to: "roller", label: "roller 2", marks: %w[A] }].each do |given|
      expect { read(tied(data("slide_back"), **given)) }.to raise_error(Verglas::Invalid, /same as unlike/)
    end
    lost = data("slide_back")
    lost["adjusters"].last["same_as"] = "nowhere"
    expect { read(lost) }.to raise_error(Verglas::Invalid) { |error|
      expect(error.path).to match(%r{/adjusters/\d+/same_as})
    }
    chain = tied(data("slide_back"), to: "back pad")
    chain["adjusters"] << chain["adjusters"].last.merge("label" => "third", "same_as" => "twin")
    expect { read(chain) }.to raise_error(Verglas::Invalid, /same as unlike/)
  end
end
