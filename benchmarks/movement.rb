# frozen_string_literal: true

# What a phone on the arm reads of sets that were drawn, against what was done, and what it costs.
#   RUBYOPT=--yjit bundle exec ruby benchmarks/movement.rb [sets, 300]
require_relative "../spec/support/sets_lifted"
require_relative "support"

COUNT = Integer(ARGV.fetch(0, 300))
ASKED = { counted: 97, tops: 95, lows: 95, ways: 93, holds: 93, pauses: 93, slams: 90 }.freeze

{
  "as a phone senses" => {
  },
  "twice the noise, twice the error of the rate" => {
    noise: 2.0,
    bias: 3.0
  },
  "a spike a second, half of all seconds with a gap" => {
    spikes: 1.0,
    gaps: 0.5
  },
  "ways that begin and end slowly (their seconds are not asked)" => {
    even: false
  },
  "a hand that trembles by 0.1 degrees, seven times a second" => {
    shaking: 0.1
  },
  "a phone that slips once" => {
    slipping: true
  },
  "a phone that slips, twice the noise and error" => {
    slipping: true,
    noise: 2.0,
    bias: 3.0
  },
  "a phone that slips, a spike a second and gaps" => {
    slipping: true,
    spikes: 1.0,
    gaps: 0.5
  }
}.each do |what, sensed|
  sets = SetsLifted.new(COUNT, **sensed)
  puts what
  puts format("  slipped  %5.1f of 100 are told", sets.noticed)
  ASKED.each { |name, least| puts format("  %-8s %5.1f of 100  (wanted: %d)", name, sets.public_send(name), least) }
end

arm =
  Verglas::Ops::SimulatedArm.new(
    Array.new(12) do
      Verglas::Ops::SimulatedArm::Done.new(low: 0.0, top: 1.0, up: 1.5, hold: 0.5, down: 2.5, pause: 0.5, slam: false)
    end,
    start: 90,
    finish: 10,
    seed: 1,
    lies: true
  )
samples = arm.samples
whole =
  Measure.median(20) do
    Verglas::Motion::Reading
      .new(Verglas::Motion::Samples.read(samples), start_deg: 90, end_deg: 10)
      .then { |one| [one.repetitions, one.slam?] }
  end
Measure.report("a set of #{samples.last.first.round} s, #{samples.size} samples", whole)
Measure.report("of it a second of 50 samples", whole * 50 / samples.size, limit: "5 ms")
