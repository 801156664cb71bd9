# frozen_string_literal: true

require "spec_helper"

RSpec.describe Verglas::Machines::Family do
  let(:family) { Verglas::Machines::Families.fetch(:extension) }
  let(:machine) { Verglas::Machines::Reader.read(Worked::MACHINES.fetch("slide_back")) }

  it "counts the ways to stand that the solver compares, and no others" do
    expect(family.tries([[{ back_face: 1 }, 12], [{ seat_edge: 1 }, 5], [{ roller_reach: 1 }, 8], [{ start_angle: 1 }, 4], [{}, 60]])).to eq(12 * 5 * 8 * 4)
    expect(family.tries([])).to eq(1)
  end

  it "counts what the solver indeed asks of the mechanics" do
    asked = 0
    body = Verglas::Body::Dimensions.from(Worked::BODIES.fetch("middle").transform_keys(&:to_sym))
    allow(Verglas::Fitting::Mechanisms.of(machine)).to receive(:new).and_wrap_original do |original, *given, **named|
      original.call(*given, **named).tap do |mechanics|
        allow(mechanics).to(receive(:findings).and_wrap_original do |findings, group, *rest|
          findings.call(group, *rest).tap do
            asked += 1 unless group == :joint
          end
        end)
      end
    end
    Verglas::Fitting::Solver.new(machine: machine, body: body, wishes: Verglas::Fitting::Wishes.for(machine.family)).solutions
    expect(asked).to eq(machine.tries)
  end

  it "is at ease with every machine of the demo" do
    demo = YAML.safe_load_file(File.join(Verglas::ROOT, "demo", "net_loft.yml"))["machines"]
    expect(demo.size).to be > 5
    demo.each do |data|
      Verglas::Machines::Families.fetch(data["family"]).exercises.each_key do |exercise|
        expect(Verglas::Machines::Reader.read_known(data, exercise: exercise).tries).to be < 2000
      end
    end
  end

  it "leaves out the thickest cushions where all together would take too long, never the thin ones" do
    cushions = Verglas::Fitting::Cushions.new(back_mm: (1..12).map { |step| step * 5 }, seat_mm: [])
    plain = Struct.new(:worst, :cost) do
      include Comparable

      def <=>(other) = [worst, cost] <=> [other.worst, other.cost]
    end
    asked = ->(tries) { [].tap { |pairs| cushions.search(plain.new(1, 0), tries: tries) { |*pair| (pairs << pair) && plain.new(1, 0) } } }
    expect(asked[100].size).to eq(12)
    expect(asked[20_000]).to eq([[5, 0], [10, 0], [15, 0], [20, 0], [25, 0]])
  end
end
