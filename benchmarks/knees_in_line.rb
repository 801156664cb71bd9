# frozen_string_literal: true

# How many knees come to lie in line on marks 25 mm apart, from a height alone and from three readings, by age and mass.
# People are drawn from the population of docs/model.md section 1 and read with the tape's own error; each is given the
# marks that are advised to what was read, and sits there as they are.   bundle exec ruby benchmarks/knees_in_line.rb
# [FORMER]   FORMER: another checkout, whose core is asked about the same people.
CORE = ENV.fetch("CORE", File.expand_path("..", __dir__))
require "json"
require "open3"
require File.join(CORE, "config/core")

require_relative "../spec/support/people_watched"

include Verglas # rubocop:disable Style/MixinUsage -- a script

TAPES = { "height alone" => %i[stature], "three readings" => %i[stature seat_to_kneecap floor_to_knee_top] }.freeze
GROUPS = {
  "25 years, 23 kg/m²" => [25, 23.0],
  "25 years, 34 kg/m²" => [25, 34.0],
  "72 years, 23 kg/m²" => [72, 23.0],
  "72 years, 34 kg/m²" => [72, 34.0]
}.freeze
EACH = 1000

def machine = @machine ||= PeopleWatched.knee_machine("extension")
def wishes = @wishes ||= Mechanisms::Wishes.for(machine.family)

# The marks for each person, by this checkout's core.
def answers(people)
  known = Body::Estimation.instance_method(:initialize).parameters.map(&:last)
  people.map do |person|
    readings =
      person["readings"].map { |name, mm| Body::Reading.new(observation: name.to_sym, value_mm: mm, confirmed: true) }
    given = { sex: person["sex"], body_mass_kg: person["body_mass_kg"], age_years: person["age_years"] }.slice(*known)
    estimation = Body::Estimation.new(**given, readings: readings)
    body = (estimation.respond_to?(:met) ? estimation.met : estimation.estimate).dimensions
    Fitting::Solver.new(machine: machine, body: body, wishes: wishes).solutions.first.indices
  end
end

if ENV.key?("CORE")
  puts JSON.generate(answers(JSON.parse($stdin.read)))
  exit
end

def asked(core, people)
  JSON.parse(
    Open3.capture2(
      { "CORE" => core, "BUNDLE_GEMFILE" => ENV.fetch("BUNDLE_GEMFILE") },
      RbConfig.ruby,
      __FILE__,
      stdin_data: JSON.generate(people)
    ).first
  )
end

PEOPLE = PeopleDrawn.new(4)

# A body and its owner's sex and mass.
def drawn(age, index)
  sex = PEOPLE.sex
  dimensions = PEOPLE.body(Body::Prior.estimate(sex: sex, mass_index: index).normal)
  {
    sex: sex,
    age_years: age,
    body_mass_kg: (index * ((dimensions.stature / 1000)**2)).round(1),
    body: Body::Estimate.exact(dimensions)
  }
end

def taped(person, names)
  build = Body::Build.of(**person.slice(:sex, :age_years, :body_mass_kg))
  names.to_h do |name|
    Body::Observation
      .fetch(name)
      .then { |one| [name, person[:body].expected(one, build).first + (one.sd_mm * PEOPLE.normal)] }
  end
end

# Whether the knee is in line where somebody sits.
def in_line?(person, indices)
  met = person[:body].aged(Body::Build.of(**person.slice(:sex, :age_years, :body_mass_kg))).dimensions
  mechanics = Mechanisms.for(machine, met, wishes)
  mechanics
    .all_findings(mechanics.place(machine.parameters(indices)))
    .find { |finding| finding.code == :offset }
    .severity
    .zero?
end

former = ARGV.first
puts format("%-22s %-16s %s", "", "", former ? "former   now" : "now")
GROUPS.each do |group, (age, index)|
  people = Array.new(EACH) { drawn(age, index) }
  TAPES.each do |tape, names|
    told = people.map { |person| { **person.slice(:sex, :age_years, :body_mass_kg), readings: taped(person, names) } }
    shares =
      [former, CORE].compact.map do |core|
        people.zip(asked(core, told)).count { |person, indices| in_line?(person, indices) }.fdiv(EACH)
      end
    puts format("%-22s %-16s %s", group, tape, shares.map { |share| format("%4d %%", share * 100) }.join("  "))
  end
end
