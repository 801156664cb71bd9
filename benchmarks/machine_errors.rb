# frozen_string_literal: true

# What a machine's own error is learned from: people are drawn and read in three lengths with the tape's own error; the
# back pad stands somewhere else than it was taped; whoever fits by eye finds the mark at which the knee seems nearest
# to the pivot, and calls it there. How often what is true lies in the interval of nine in ten, how far off what was
# learned is, and after how many fittings 12 mm are told.
#   bundle exec ruby benchmarks/machine_errors.rb [machines, 200]
require_relative "../config/core"
require_relative "../spec/support/people_watched"
require "json"

include Verglas # rubocop:disable Style/MixinUsage -- a script

COUNT = Integer(ARGV.fetch(0, 200))
LENGTHS = %i[stature seat_to_kneecap floor_to_knee_top].freeze
EYE_MM = Fitting::TapedBias::EYE_MM
MACHINE = PeopleWatched.knee_machine("extension")

# Somebody drawn, read and fitted by eye where the back pad stands off_mm further forward, as TapedBias has it.
def miss(people, off_mm)
  sex = people.sex
  prior = Body::Prior.estimate(sex: sex)
  body = people.body(prior.normal)
  exact = Body::Estimate.exact(body)
  readings =
    LENGTHS.map do |name|
      observation = Body::Observation.fetch(name)
      value = exact.expected(observation).first + (observation.sd_mm * people.normal)
      Body::Reading.new(observation: name, value_mm: value, confirmed: true)
    end
  estimate = Body::Estimation.new(sex: sex, readings: readings).estimate
  best =
    MACHINE.adjusters.first.marks.each_index.min_by do |index|
      parameters = MACHINE.parameters([index, 2])
      truly = parameters.merge(back_face: parameters[:back_face] + off_mm)
      knee = Mechanisms.for(MACHINE, body, Mechanisms::Wishes.for(MACHINE.family))
      (knee.place(truly).joint.s + (EYE_MM * people.normal)).abs
    end
  evaluation =
    Fitting::Evaluation.new(
      machine: MACHINE,
      estimate: estimate,
      wishes: Mechanisms::Wishes.for(MACHINE.family),
      indices: [best, 2]
    )
  off, variance, pitch = Fitting::Checked.of(evaluation, machine: "here", knee_off_mm: 0.0).misses(estimate)[:back_face]
  [off, 0.0, pitch, variance]
end

learned = ->(fits) { Fitting::TapedBias.learned(fits) }
people = PeopleDrawn.new(1)
[3, 6, 12, 25].each do |fittings|
  drawn =
    Array.new(COUNT) do
      off_mm = Fitting::TapedBias::PRIOR_MM * people.normal
      [off_mm, learned.call(Array.new(fittings) { miss(people, off_mm) })]
    end
  inside = drawn.count { |off, bias| (off - bias.mean_mm).abs <= Statistics::Gaussian::INTERVAL * bias.sd_mm }
  off = Math.sqrt(drawn.sum { |truth, bias| (truth - bias.mean_mm)**2 } / COUNT)
  puts format("%2d fittings: %5.1f of 100 in the interval, off by %.1f mm", fittings, 100.0 * inside / COUNT, off)
end

told =
  Array.new(COUNT) do
    fits = []
    (1..60).find { (fits << miss(people, 12)).size >= 3 && learned.call(fits).told? } || 60
  end
puts format("12 mm are told after %d fittings (nine in ten: %d)", told.sort[COUNT / 2], told.sort[COUNT * 9 / 10])
right =
  Array.new(COUNT) do
    fits = []
    (1..25).any? { (fits << miss(people, 0)).size >= 3 && learned.call(fits).told? }
  end
called = 100.0 * right.count(true) / COUNT
puts format("where the tape is right, %.1f of 100 machines are called off at some time within 25", called)
