# frozen_string_literal: true

# What every registered family must keep. Wants: family, machine (a machine of it), body (an exact body that suits it).
RSpec.shared_examples "a family" do
  let(:wishes) { Worked.wishes(machine) }
  let(:indices) { machine.adjusters.map { |adjuster| adjuster.size / 2 } }
  let(:mechanics) { Verglas::Fitting::Mechanisms.for(machine, body, wishes) }
  let(:parameters) { machine.parameters(indices) }

  it "is frozen, and so is the register" do
    expect(family).to be_frozen
    expect { Verglas::Machines::Families.register(family) }.to raise_error(StandardError)
  end

  it "tells its findings in its own order, each with a band and a number" do
    findings = mechanics.all_findings(parameters)
    expect(findings.map(&:code)).to eq(family.findings)
    expect(findings.map { |finding| mechanics.class::BANDS[finding.code] }).to all(be_a(Verglas::Fitting::Band))
    expect(findings.map(&:value)).to all(satisfy(&:finite?))
  end

  it "has words for itself and for everything it finds" do
    words = Verglas::Formats::Words
    expect(words.say("families.#{family.id}")).not_to be_empty
    expect(family.findings.map { |code| words.say("findings.#{code}.title") }).to all(satisfy { |title| !title.empty? })
  end

  it "computes finite numbers at every mark" do
    machine.adjusters.each_with_index do |adjuster, place|
      adjuster.marks.each_index do |index|
        changed = machine.parameters(indices.dup.tap { |copy| copy[place] = index })
        expect(mechanics.class::Quantities.of(mechanics, changed).values).to all(satisfy(&:finite?))
      end
    end
  end

  it "has no constant that does not matter" do
    numbers = ->(given) { mechanics.class::Quantities.of(mechanics, given).values }
    family.constants.each_key do |name|
      expect(numbers.call(parameters.merge(name => parameters[name] + 3))).not_to eq(numbers.call(parameters)), "#{name} changes nothing"
    end
  end

  it "depends on no part of the body but those it names" do
    all = Verglas::Body::Estimate.exact(body).gradients { |given| mechanics.class::Quantities.of(Verglas::Fitting::Mechanisms.for(machine, given, wishes), parameters).values }
    named = all.transpose.each_with_index.reject { |slopes, _| slopes.all?(&:zero?) }.map { |_, index| Verglas::Body::PARAMETERS[index] }
    expect(named - mechanics.class::BODY_PARAMETERS).to be_empty
  end

  it "decides every adjuster of its machine, and reaches the target where the requirement says" do
    machine.adjusters.each do |adjuster|
      requirement = requirement_of(adjuster)
      expect(requirement.positions.size).to eq(adjuster.size)
      expect(requirement.sd).to be_positive
    end
  end

  def requirement_of(adjuster)
    mechanics.class::Requirement.of(machine: machine, estimate: Verglas::Body::Estimate.exact(body), wishes: wishes, indices: indices, adjuster: adjuster)
  end
end
