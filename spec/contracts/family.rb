# frozen_string_literal: true

# What every registered family must keep. Wants: family, machine (a machine of it), body (an exact body that suits it).
RSpec.shared_examples "a family" do
  let(:wishes) { Worked.wishes(machine) }
  let(:indices) { machine.adjusters.map { |adjuster| adjuster.size / 2 } }
  let(:mechanics) { Verglas::Mechanisms.for(machine, body, wishes) }
  let(:parameters) { machine.parameters(indices) }
  let(:place) { mechanics.place(parameters) }

  it "is frozen, and so is the register" do
    expect(family).to be_frozen
    expect(
      [
        family.constants,
        family.kinds,
        family.findings,
        family.tags,
        family.groups,
        *family.findings.values,
        *family.constants.values
      ]
    ).to all(be_frozen)
    expect { Verglas::Machines::Families.register(family) }.to raise_error(StandardError)
  end

  it "tells its findings in its own order, each with a band and a number" do
    findings = mechanics.all_findings(place)
    expect(findings.map(&:code)).to eq(machine.graded)
    expect(findings.map { |finding| family.findings[finding.code].band }).to all(be_a(Verglas::Machines::Band))
    expect(findings.map(&:value)).to all(satisfy(&:finite?))
  end

  it "has words for itself and for everything it finds" do
    words = Verglas::Formats::Words
    expect(words.say("families.#{family.id}")).not_to be_empty
    expect(family.findings.keys.map { |code| words.say("findings.#{code}.title") }).to all(
      satisfy { |title| !title.empty? }
    )
  end

  it "has a usual range within the possible for every constant, words for taping it, and a place in what it finds" do
    family.constants.each do |name, constant|
      expect(constant.range).to cover(constant.usual), name.to_s
      expect(Verglas::Formats::Words.say("constants.#{name}.how")).not_to be_empty
    end
    expect(family.findings.each_value.map(&:rests_on)).to all(satisfy(&:any?))
  end

  it "says nothing of what is not taped, whatever is missing" do
    family.constants.each_key do |missing|
      told = family.told_by(family.constants.keys - [missing])
      expect(told.constants.keys).not_to include(missing)
      expect(told.findings.each_value.map(&:group).uniq - told.told).to be_empty
    end
  end

  it "answers everything that is asked of it, whichever length is missing" do
    family.constants.each_key do |missing|
      told = family.told_by(family.constants.keys - [missing])
      adjusters =
        machine.adjusters.map { |adjuster| adjuster.with(drives: adjuster.drives.slice(*told.constants.keys)) }
      cut = machine.with(family: told, constants: machine.constants.slice(*told.constants.keys), adjusters: adjusters)
      evaluation =
        Verglas::Fitting::Evaluation.new(
          machine: cut,
          estimate: Verglas::Body::Estimate.exact(body),
          wishes: Worked.wishes(cut),
          indices: indices
        )
      asked = evaluation.mechanics
      numbers = evaluation.quantities.values
      expect(numbers).to all(satisfy(&:finite?)), missing.to_s
      unless told.told.include?(:joint)
        expect(
          [Verglas::Telling.of(asked, evaluation.place).motion, Verglas::Scenes.of(asked, evaluation.place).whole]
        ).to eq([nil, nil]),
        missing.to_s
      end
      expect do
        [
          Verglas::Telling.of(asked).warnings,
          Verglas::Telling.of(asked, evaluation.place).step_numbers,
          Verglas::Telling.of(asked, evaluation.place).starts,
          Verglas::Telling.of(asked, evaluation.place).ends
        ]
      end.not_to raise_error
      next if evaluation.findings.empty?

      expect do
        Verglas::Fitting::Solver.new(machine: cut, body: body, wishes: Worked.wishes(cut)).solutions
      end.not_to raise_error
      expect do
        [
          asked.limits_at(evaluation.place, 0.0),
          Verglas::Formats::Answers.headline_of(evaluation).report,
          asked.rungs,
          asked.settled(evaluation.place),
          Verglas::Telling.of(asked, evaluation.place).asides
        ]
      end.not_to raise_error
      expect do
        [Verglas::Scenes.of(asked, evaluation.place).whole, Verglas::Telling.of(asked, evaluation.place).motion]
      end.not_to raise_error
    end
  end

  it "computes finite numbers at every mark" do
    machine.adjusters.each_with_index do |adjuster, place|
      adjuster.marks.each_index do |index|
        changed = machine.parameters(indices.dup.tap { |copy| copy[place] = index })
        expect(mechanics.quantities(mechanics.place(changed)).values).to all(satisfy(&:finite?))
      end
    end
  end

  it "has no constant that does not matter" do
    numbers = ->(given) { mechanics.quantities(mechanics.place(given)).values }
    machine.constants.each_key do |name|
      next if family.constants.fetch(name).group.nil? # what a caution alone asks
      next if name == :hinge_angle && machine.constants[name].zero? # a flat bench: a hinge would make it another

      expect(numbers.call(parameters.merge(name => parameters[name] + 3))).not_to eq(numbers.call(parameters)),
      "#{name} changes nothing"
    end
  end

  it "depends on no part of the body but those it names" do
    all =
      Verglas::Body::Estimate
        .exact(body)
        .gradients do |given|
          other = Verglas::Mechanisms.for(machine, given, wishes)
          other.quantities(other.place(parameters)).values
        end
    named =
      all
        .transpose
        .each_with_index
        .reject { |slopes, _| slopes.all?(&:zero?) }
        .map { |_, index| Verglas::Body::PARAMETERS[index] }
    expect(named - mechanics.class::BODY_PARAMETERS).to be_empty
  end

  it "decides every adjuster of its machine, and reaches the target where the requirement says" do
    machine
      .adjusters
      .reject(&:recorded_only?)
      .each do |adjuster|
        requirement = requirement_of(adjuster) or next expect(keys_of(adjuster).uniq.size).to eq(adjuster.size)
        expect(requirement.positions.size).to eq(adjuster.size)
        expect(requirement.sd).to be_positive
      end
  end

  it "is fitted in steps that take every adjuster once, from before anyone sits to watching, in words" do
    steps = Verglas::Guidance::Flow.steps(machine)
    expect(steps.filter_map(&:adjuster)).to match_array(machine.adjusters.map(&:label))
    expect(steps.map(&:id).values_at(0, -1)).to eq(%w[@before @working])
    steps.each do |step|
      words = Verglas::Formats::Words.maybe("steps.#{step.rule || step.stage}.title", adjuster: "x")
      expect(words || (step.adjuster && "by its own name")).to be_truthy, step.id
    end
  end

  it "is disturbed by no move that was not made, and by each that was at least by what the solver would see" do
    at = ->(chosen) do
      Verglas::Fitting::Evaluation.new(
        machine: machine,
        estimate: Verglas::Body::Estimate.exact(body),
        wishes: wishes,
        indices: chosen
      )
    end
    steps = Verglas::Guidance::Flow.steps(machine)
    seen = steps.to_h { |step| [step.id, at.call(indices)] }
    expect(Verglas::Guidance::Disturbance.new(at.call(indices), steps: steps, seen: seen).moved).to be_empty
    machine
      .adjusters
      .each_with_index
      .reject { |adjuster, _| adjuster.recorded_only? || adjuster.size == 1 }
      .each do |adjuster, place|
        changed = at.call(indices.dup.tap { |copy| copy[place] += copy[place].zero? ? 1 : -1 })
        moved = Verglas::Guidance::Disturbance.new(changed, steps: steps, seen: seen).moved
        numbers =
          [at.call(indices), changed].map do |evaluation|
            evaluation.findings.to_h { |finding| [finding.code, finding.value] }
          end
        differing = numbers.first.keys.select { |code| (numbers.first[code] - numbers.last[code]).abs >= 1 }
        expect(moved).not_to be_empty, "#{adjuster.label} disturbs nothing" if differing.any?
      end
  end

  it "is barred by a caution, or answered within what it leaves, whatever the school of each house rule" do
    answers = Hash.new { |known, aims| known[aims] = answer(aims) }
    cautions
      .product(schools)
      .each do |caution, school|
        aims =
          Verglas::Guidance::HouseRules.wishes(
            family,
            Verglas::Guidance::HouseRules.chosen(gym: school, known: [:slack_from_deg])
          )
        effect = Verglas::Guidance::Cautions.effect(family, [caution], aims)
        next expect(effect.bars.map(&:caution).uniq).to eq([caution.name]) if effect.barred?

        effect.wishes.each do |wish, value|
          expect(family.wishes[wish].stricter_of([value, aims[wish] || value])).to eq(value),
          "#{school} loosens #{caution.name}"
        end
        expect(
          answers[Verglas::Mechanisms::Wishes.for(family, envelope: effect.envelope, **aims, **effect.wishes)]
        ).to be_nil,
        "#{caution.name}, #{school}"
      end
  end

  def cautions
    Verglas::Guidance::Cautions::RULES
      .keys
      .product([true, false])
      .map { |name, cleared| Verglas::Guidance::Cautions::Caution.of(name, cleared: cleared) }
  end

  def schools
    Verglas::Guidance::HouseRules::QUESTIONS.each_value.flat_map do |question|
      question.schools.keys.map { |school| { question.name => school } }
    end
  end

  # nil where the best marks tell finite numbers and aim at nothing past the envelope, and a forced end past it is a
  # fault; else what is wrong.
  def answer(aims)
    mechanics = Verglas::Mechanisms.for(machine, body, aims)
    best =
      mechanics.place(
        machine.parameters(
          Verglas::Fitting::Solver.new(machine: machine, body: body, wishes: aims).solutions.first.indices
        )
      )
    findings = mechanics.all_findings(best)
    return "no finite number" unless findings.any? && findings.all? { |finding| finding.graded.finite? }

    mechanics.ranges(best).filter_map { |motion, ends| past(aims.envelope, motion, ends, findings) }.first
  end

  def past(envelope, motion, ends, findings)
    within = ends.select(&:forced).all? { |reached| envelope.cover?(motion, reached.deg) }
    return "aims past #{motion}" unless ends.all? { |reached| envelope.cover?(motion, reached.target_deg) }

    "no fault past #{motion}" unless within || findings.map(&:severity).max == 3
  end

  # What tells the marks of an adjuster apart of which no place is required: what the mechanism prefers, and finds.
  def keys_of(adjuster)
    index = machine.adjusters.index(adjuster)
    adjuster.marks.each_index.map do |mark|
      at = mechanics.place(machine.parameters(indices.dup.tap { |copy| copy[index] = mark }))
      [mechanics.preference(at), mechanics.all_findings(at).map(&:value)]
    end
  end

  def requirement_of(adjuster)
    Verglas::Fitting::Requirement.of(
      machine: machine,
      estimate: Verglas::Body::Estimate.exact(body),
      wishes: wishes,
      indices: indices,
      adjuster: adjuster
    )
  end
end
