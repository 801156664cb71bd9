# frozen_string_literal: true

RSpec.describe Verglas::Guidance::Flow do
  def ids(machine, **given) = described_class.steps(machine, **given).map(&:id)

  it "goes from before anyone sits to watching, each adjuster in the stage of what decides it" do
    expect(ids(Worked.machine("curl_plain"))).to eq(
      ["@before", "back pad", "@support", "roller", "thigh pad", "@again", "@secure", "@light", "@watch", "@working"]
    )
    expect(described_class.steps(Worked.machine("slide_back")).map(&:stage)).to eq(
      %i[before joint support range far again secure light watch working]
    )
  end

  it "sets before anyone sits what cannot be reached from the seat, whatever it decides" do
    facts = { "start" => { reachable_seated: false, weight_off_first: true }, "roller" => { reachable_seated: true } }
    steps = described_class.steps(Worked.machine("slide_back"), walk_round: facts)
    expect(steps.map(&:id).first(4)).to eq(["@before", "start", "back pad", "@support"])
    expect([steps[1].standing, steps[1].weight_off, steps[1].stage]).to eq([true, true, :range])
  end

  it "fits the leg first where the house rule says so" do
    expect(ids(Worked.machine("curl_plain"), roller_first: true).first(3)).to eq(["@before", "roller", "back pad"])
  end

  it "lays a client down before any adjuster where the client slides" do
    lying = Worked::MACHINES.values.find { |data| data["family"] == "lying_curl" }
    expect(ids(Worked.machine(lying["id"])).first(2)).to eq(%w[@before @lie])
  end

  it "has for every family each adjuster once, and each fixed step once" do
    Worked::MACHINES.each_value do |data|
      Verglas::Machines::Families
        .fetch(data["family"])
        .plain_exercises
        .each_key do |exercise|
          machine = Verglas::Machines::Reader.read(data, exercise: exercise)
          found = ids(machine)
          expect(found).to eq(found.uniq)
          expect(found - machine.adjusters.map(&:label)).to include(*described_class::FIXED.map { |stage| "@#{stage}" })
          expect(machine.adjusters.map(&:label) - found).to be_empty
        end
    end
  end

  it "still names every adjuster of a machine that is not taped, to be set by eye" do
    untaped = Worked::MACHINES.fetch("curl_plain").merge("constants" => {})
    steps = described_class.steps(Verglas::Machines::Reader.read_known(untaped))
    expect(steps.select(&:adjuster).map { |step| [step.stage, step.rule] }).to eq([[:recorded, nil]] * 3)
  end
end
