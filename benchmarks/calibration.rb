# frozen_string_literal: true

# Whether what is told of a body and of strength is as sure as it says, and what checked fittings are worth: people are
# drawn, read by the tape with its own error, and fitted by eye on machines elsewhere, the last with another machine's
# marks. Of each length, how often what is true lies in the interval of nine in ten; of the knees on a machine on which
# they never sat, how many lie in line, beside how many could; of strength the same intervals, after so many sets.
#   bundle exec ruby benchmarks/calibration.rb [people, 400]
require_relative "../config/core"
require_relative "../spec/support/people_watched"
require "json"

include Verglas # rubocop:disable Style/MixinUsage -- a script

COUNT = Integer(ARGV.fetch(0, 400))
TAPES = {
  "none" => [],
  "height" => %i[stature],
  "three readings" => %i[stature seat_to_kneecap floor_to_knee_top]
}.freeze
FITTINGS = [0, 1, 2, 3, 5].freeze
LENGTHS = %i[thigh shank hip_depth].freeze
# How far off the eye calls a knee, and a roller (docs/model.md section 1).
EYE_MM = { knee: 10.0, roller: 12.0 }.freeze

# Machines whose seat, pivot and reach differ, every mark 25 mm from the next.
def elsewhere(number)
  machine = PeopleWatched.knee_machine("extension")
  data = { back_face: -391 - (7 * number), pivot_above_seat: 54 + (4 * number), roller_reach: 318 + (5 * number) }
  machine.with(constants: machine.constants.merge(data))
end

HERE = PeopleWatched.knee_machine("extension")
ELSEWHERE = Array.new(FITTINGS.max) { |number| elsewhere(number + 1) }
WISHES = Mechanisms::Wishes.for(HERE.family)

def readings(people, exact, names)
  names.map do |name|
    observation = Body::Observation.fetch(name)
    value = exact.expected(observation).first + (observation.sd_mm * people.normal)
    Body::Reading.new(observation: name, value_mm: value, confirmed: true)
  end
end

# Whoever fits by eye finds the marks at which the knee seems nearest to the pivot, the roller where it is wanted.
def seen(people, body, machine, estimate)
  off = EYE_MM.transform_values { |sd| sd * people.normal }
  mechanics = Mechanisms.for(machine, body, WISHES)
  pad = nearest(machine, 0) { |at| mechanics.place(machine.parameters([at, 2])).joint.s + off[:knee] }
  roller = nearest(machine, 1) { |at| above_wanted(mechanics, machine.parameters([pad, at])) + off[:roller] }
  evaluation = Fitting::Evaluation.new(machine: machine, estimate: estimate, wishes: WISHES, indices: [pad, roller])
  Fitting::Checked.of(evaluation, machine: machine.constants.to_s, knee_off_mm: 0.0, roller_seen: true)
end

# How far above its wanted place on the shin the roller lies.
def above_wanted(mechanics, parameters)
  mechanics.findings(:arm, mechanics.place(parameters)).find { |one| one.code == :contact }.graded
end

def nearest(machine, adjuster) = machine.adjusters[adjuster].size.times.min_by { |at| yield(at).abs }

def in_line?(body, indices)
  mechanics = Mechanisms.for(HERE, body, WISHES)
  found = mechanics.all_findings(mechanics.place(HERE.parameters(indices)))
  found.select { |one| HERE.family.findings[one.code].group == :joint }.all? { |one| one.severity.zero? }
end

def best(body) = Fitting::Solver.new(machine: HERE, body: body, wishes: WISHES).solutions.first.indices

# [{length => whether it lies in its interval}, whether the knee lies in line], by how many fittings.
def person(people, names)
  sex = people.sex
  body = people.body(Body::Prior.estimate(sex: sex, mass_index: nil).normal)
  read = readings(people, Body::Estimate.exact(body), names)
  known = Body::Estimation.new(sex: sex, readings: read).met
  checked = ELSEWHERE.map { |machine| seen(people, body, machine, known) }
  by_fittings =
    FITTINGS.to_h do |count|
      estimate = Body::Estimation.new(sex: sex, readings: read, checked: checked.first(count)).met
      inside =
        LENGTHS.to_h do |name|
          off = (body[name] - estimate.mean[name]).abs
          [name, off <= Statistics::Gaussian::INTERVAL * estimate.sd_of(name)]
        end
      [count, [inside, in_line?(body, best(estimate.dimensions))]]
    end
  [by_fittings, in_line?(body, best(body))]
end

def share(some) = 100.0 * some.count(true) / some.size

puts format("%-16s %8s   %s   in line  possible", "tape", "fittings", LENGTHS.join("  "))
TAPES.each do |title, names|
  people = PeopleDrawn.new(11)
  all = Array.new(COUNT) { person(people, names) }
  FITTINGS.each do |count|
    shares = LENGTHS.map { |name| share(all.map { |one, _| one[count].first[name] }) }
    line = share(all.map { |one, _| one[count].last })
    puts format("%-16s %8d   %5.1f  %5.1f  %9.1f   %7.1f  %8.1f", title, count, *shares, line, share(all.map(&:last)))
  end
end

# Strengths of adults as docs/model.md section 13 has them, lifted on machines of unknown factors: whether what is true
# lies in the interval, of the action that was lifted and of one that never was.
STRENGTH = Tables[:strength]
NOISE = Math.sqrt(Loading::Balance::NOISE)

def lifter(people, sets)
  person = Loading::Strength::Person.new(sex: people.sex.to_sym, mass_kg: 70.0, age_years: 30, stature_mm: 1720.0)
  plain = Loading::Strength.new(person, [], now: 0)
  unproved = STRENGTH[:unproved][:less]
  common = STRENGTH[:prior][:common] * people.normal
  true_ln =
    Loading::Strength::ACTIONS.to_h do |action|
      [action, plain.mean(action) + unproved + common + (STRENGTH[:prior][:action] * people.normal)]
    end
  lifted =
    Array.new(sets) do |number|
      factor = STRENGTH[:factor][:sd] * people.normal
      ln = true_ln[:knee_extension] - factor + (NOISE * people.normal)
      set = { week: 0, machine: "m#{number}", action: :knee_extension, repetitions: 9, last: :clean }
      Loading::Lifted.new(load_kg: Math.exp(ln), **set)
    end
  strength = Loading::Strength.new(person, lifted, now: 0)
  %i[knee_extension press].map do |action|
    (true_ln[action] - strength.mean(action)).abs <= Statistics::Gaussian::INTERVAL * strength.sd(action)
  end
end

people = PeopleDrawn.new(12)
puts "sets  lifted  another"
[1, 2, 4, 8].each do |sets|
  inside = Array.new(COUNT * 5) { lifter(people, sets) }.transpose
  puts format("%4d  %6.1f  %7.1f", sets, *inside.map { |some| share(some) })
end
