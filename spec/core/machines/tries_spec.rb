# frozen_string_literal: true

require "spec_helper"

RSpec.describe Verglas::Machines::Family do
  let(:family) { Verglas::Machines::Families.fetch(:extension) }
  let(:machine) { Verglas::Machines::Reader.read(Worked::MACHINES.fetch("slide_back")) }

  it "counts the ways to stand that the solver compares, and no others" do
    expect(
      family.tries(
        [[{ back_face: 1 }, 12], [{ seat_edge: 1 }, 5], [{ roller_reach: 1 }, 8], [{ start_angle: 1 }, 4], [{}, 60]]
      )
    ).to eq(12 * 5 * 8 * 4)
    expect(family.tries([])).to eq(1)
  end

  it "counts what the solver indeed asks of the mechanics" do
    asked = 0
    body = Verglas::Body::Dimensions.from(Worked::BODIES.fetch("middle").transform_keys(&:to_sym))
    allow(Verglas::Mechanisms.of(machine)).to receive(:new).and_wrap_original do |original, *given, **named|
      original
        .call(*given, **named)
        .tap do |mechanics|
          allow(mechanics).to(
            receive(:findings).and_wrap_original do |findings, group, *rest|
              findings.call(group, *rest).tap { asked += 1 unless group == :joint }
            end
          )
        end
    end
    Verglas::Fitting::Solver.new(
      machine: machine,
      body: body,
      wishes: Verglas::Mechanisms::Wishes.for(machine.family)
    ).solutions(1000)
    expect(asked).to eq(machine.tries)
  end

  it "of a station counts the shared marks that move something, together with each exercise's own" do
    own = [[{ roller_reach: 1 }, 8]]
    expect(Verglas::Machines::Station.tries([12, 5], [[family, own], [family, own]])).to eq(60 * 16)
  end

  it "lets a shared adjuster that moves nothing known stand where it is, however many marks it has" do
    data = Worked::MACHINES.fetch("shared_seat")
    idle =
      Array.new(8) do |number|
        { "label" => "idle #{number}", "marks" => Array.new(60, &:to_s), "travel" => nil, "drives" => {} }
      end
    advice = ->(adjusters) { station_advice(data.merge("adjusters" => data["adjusters"] + adjusters)) }
    plain, idled = [[], idle].map { |adjusters| advice.call(adjusters).exercises.transform_values(&:marks) }
    expect(idled.transform_values { |marks| marks.reject { |label, _| label.start_with?("idle") } }).to eq(plain)
  end

  it "refuses a station whose shared marks are more than can be compared, before anything is tried" do
    data = Worked::MACHINES.fetch("shared_seat")
    wide =
      %w[wide wider].map do |label|
        data["adjusters"].first.merge(
          "label" => label,
          "marks" => Array.new(60, &:to_s),
          "travel" => Array.new(60) { |mark| mark / 100.0 }
        )
      end
    expect { station_advice(data.merge("adjusters" => [*data["adjusters"], *wide])) }.to raise_error(
      Verglas::Invalid
    ) { |error| expect(error.code).to eq(:too_many_marks) }
  end

  def station_advice(data)
    machines =
      Verglas::Machines::Families
        .fetch("combined")
        .exercises
        .keys
        .to_h { |name| [name, Verglas::Machines::Reader.read_known(data, exercise: name)] }
    estimate =
      Verglas::Body::Estimate.exact(
        Verglas::Body::Dimensions.from(Worked::BODIES.fetch("middle").transform_keys(&:to_sym))
      )
    Verglas::Fitting::StationAdvice.new(
      machines: machines,
      shared: data["adjusters"].map { |adjuster| adjuster["label"] },
      estimate: estimate,
      wishes: machines.transform_values { |machine| Verglas::Mechanisms::Wishes.for(machine.family) }
    )
  end

  it "is at ease with every machine of the demo" do
    demo = YAML.safe_load_file(File.join(Verglas::ROOT, "demo", "net_loft.yml"))["machines"]
    expect(demo.size).to be > 5
    demo.each do |data|
      Verglas::Machines::Families
        .fetch(data["family"])
        .plain_exercises
        .each_key do |exercise|
          expect(Verglas::Machines::Reader.read_known(data, exercise: exercise).tries).to be < 2000
        end
    end
  end

  it "leaves out the thickest cushions where all together would take too long, never the thin ones" do
    choices = Verglas::Fitting::Choices.new(sizes: { cushion_back_mm: (1..12).map { |step| step * 5 } })
    plain =
      Struct.new(:worst, :cost) do
        include Comparable

        def <=>(other) = [worst, cost] <=> [other.worst, other.cost]
      end
    asked = ->(tries) do
      [].tap do |ways|
        choices.search(family, plain.new(1, 0), tries: tries) { |way| (ways << way.values.first) && plain.new(1, 0) }
      end
    end
    expect(asked[100].size).to eq(12)
    expect(asked[20_000]).to eq([5, 10, 15, 20, 25])
  end
end
