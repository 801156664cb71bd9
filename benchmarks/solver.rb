# frozen_string_literal: true

# The full advice (marks, intervals, probabilities, runner-up, steps either way, next reading) for the demo's machines
# and for taped bodies; and the solver against the full product of all marks.   RUBYOPT=--yjit bundle exec ruby
# benchmarks/solver.rb
require_relative "../config/core"
require_relative "support"
require "yaml"

include Verglas # rubocop:disable Style/MixinUsage -- a script

demo = YAML.safe_load_file(File.join(ROOT, "demo", "net_loft.yml"))
bodies =
  demo["clients"].map do |client|
    readings =
      client["readings"].map do |name, value|
        Body::Reading.new(observation: name.to_sym, value_mm: value, confirmed: false)
      end
    Body::Estimation.new(sex: client["sex"], body_mass_kg: client["body_mass_kg"], readings: readings).estimate
  end

def full_product(machine, body, wishes)
  mechanics = Mechanisms.for(machine, body, wishes)
  ranges = machine.adjusters.map { |adjuster| (0...adjuster.size).to_a }
  ranges
    .first
    .product(*ranges.drop(1))
    .min_by { |indices| Fitting::Score.of(mechanics.all_findings(mechanics.place(machine.parameters(indices)))).key }
end

# Everything that a bench shows of an advice.
def read(advice)
  [
    advice.evaluation.intervals,
    advice.evaluation.graded,
    advice.adjusters,
    advice.runner_up&.findings,
    advice.next_readings,
    Fitting::Neighbours.steps(advice.evaluation).values.flatten.compact.map(&:findings)
  ]
end

demo["machines"].each do |data|
  family = Machines::Families.fetch(data["family"])
  machines = family.exercises.keys.to_h { |exercise| [exercise, Machines::Reader.read_known(data, exercise: exercise)] }
  next if machines.each_value.all? { |machine| machine.family.findings.empty? }

  number = 0
  machines.each do |exercise, machine|
    wishes = Mechanisms::Wishes.for(machine.family)
    whole =
      Measure.median(200) do
        read(
          Fitting::Advice.new(
            machine: machine,
            estimate: bodies[(number += 1) % bodies.size],
            wishes: wishes,
            taken: [:stature]
          )
        )
      end
    Measure.report("full advice, #{[data["name"], exercise].compact.join(", ")}", whole, limit: "50 ms")
    solver =
      Measure.median(200) do
        Fitting::Solver.new(
          machine: machine,
          body: bodies[(number += 1) % bodies.size].dimensions,
          wishes: wishes
        ).solutions
      end
    Measure.report("  the solver alone", solver)
    Measure.report(
      "  the full product of its marks",
      Measure.median(40) { full_product(machine, bodies[(number += 1) % bodies.size].dimensions, wishes) },
      compared_with: solver
    )
  end
  next if machines.size == 1

  wishes = machines.transform_values { |machine| Mechanisms::Wishes.for(machine.family) }
  whole =
    Measure.median(100) do
      advice =
        Fitting::StationAdvice.new(
          machines: machines,
          shared: family.shared(data),
          estimate: bodies[(number += 1) % bodies.size],
          wishes: wishes
        )
      advice.exercises.each_value { |one| read(one) }
    end
  Measure.report("full advice, #{data["name"]}, both exercises together", whole, limit: "50 ms")
end
