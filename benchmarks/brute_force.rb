# frozen_string_literal: true

# Does the solver find what the full product of all marks finds? For random people on every taped machine of the demo,
# each exercise of the station alone and the station as a whole.   RUBYOPT=--yjit bundle exec ruby
# benchmarks/brute_force.rb [PEOPLE [MACHINE]]
require_relative "../config/core"
require_relative "support"
require "yaml"

include Verglas # rubocop:disable Style/MixinUsage -- a script

PEOPLE = Integer(ARGV.fetch(0, 2000))
MIDDLE =
  Body::Estimation
    .new(sex: nil, readings: [Body::Reading.new(observation: :stature, value_mm: 1700, confirmed: true)])
    .estimate
    .dimensions

# Statures of 1480 to 1990, each length with some 7 percent of scatter either way.
def person(random)
  scale = (1480 + (random.rand * 510)) / 1700
  Body::Dimensions.new(
    *MIDDLE.each_pair.map { |name, value| value * scale * (name == :stature ? 1 : 1 + ((random.rand - 0.5) * 0.14)) }
  )
end

# Its adjusters in the order in which marks are compared.
def compared(machine)
  groups = [:joint, *machine.family.side_groups, :recorded]
  machine.adjusters.each_index.sort_by do |place|
    [groups.index(machine.family.group_of(machine.adjusters[place])), place]
  end
end

# [indices, worst, number, cost, order, what the mechanism prefers] of every combination of marks.
def product(machine, body)
  mechanics = Mechanisms.for(machine, body, Mechanisms::Wishes.for(machine.family))
  weightless = machine.family.findings.each_value.reject(&:weighs).map(&:code)
  places = compared(machine)
  first, *others = machine.adjusters.map { |adjuster| (0...adjuster.size).to_a }
  first
    .product(*others)
    .map do |indices|
      place = mechanics.place(machine.parameters(indices))
      findings = mechanics.all_findings(place).reject { |finding| weightless.include?(finding.code) }
      worst = findings.map(&:severity).max
      [
        indices,
        worst,
        (worst.zero? ? 0 : findings.count { |finding| finding.severity == worst }),
        findings.sum(&:cost),
        indices.values_at(*places),
        [mechanics.precedence(place), mechanics.preference(place)]
      ]
    end
end

def best(results)
  results.min_by do |_, worst, number, cost, order, preference|
    [*preference.first, worst, *preference.last, number, cost.round(9), *order]
  end
end

# For every seat the best of each exercise, then the best of these by the key of both together. docs/model.md section 9.
def whole_station(machines, body)
  first, second =
    machines.values.map do |machine|
      product(machine, body).group_by { |indices, *| indices.first }.transform_values { |results| best(results) }
    end
  first
    .keys
    .map { |seat| [first[seat], second[seat]] }
    .min_by do |one, other|
      [[one[1], other[1]].max, one[2] + other[2], (one[3] + other[3]).round(9), one[0].first, *one[4], *other[4]]
    end
end

def compare(what, &)
  random = Random.new(2026)
  agreed = Array.new(PEOPLE) { person(random) }.count(&)
  puts format("%-40s %5d of %d agree", what, agreed, PEOPLE)
  abort "The solver disagrees with the full product." unless agreed == PEOPLE
end

demo = YAML.safe_load_file(File.join(ROOT, "demo", "net_loft.yml"))["machines"]
(ARGV[1] ? demo.select { |data| data["name"] == ARGV[1] } : demo).each do |data|
  family = Machines::Families.fetch(data["family"])
  machines = family.exercises.keys.to_h { |exercise| [exercise, Machines::Reader.read_known(data, exercise: exercise)] }
  next if machines.each_value.all? { |machine| machine.family.findings.empty? }

  machines.each do |exercise, machine|
    compare([data["name"], exercise].compact.join(", ")) do |body|
      found =
        Fitting::Solver
          .new(machine: machine, body: body, wishes: Mechanisms::Wishes.for(machine.family))
          .solutions
          .first
      found.indices == best(product(machine, body)).first
    end
  end
  next if machines.size == 1 || family.set_anew

  wishes = machines.transform_values { |machine| Mechanisms::Wishes.for(machine.family) }
  compare("#{data["name"]}, as a whole") do |body|
    advice =
      Fitting::StationAdvice.new(
        machines: machines,
        shared: family.shared(data),
        estimate: Body::Estimate.exact(body),
        wishes: wishes
      )
    advice.exercises.values.map { |one| one.evaluation.indices } == whole_station(machines, body).map(&:first)
  end
end
