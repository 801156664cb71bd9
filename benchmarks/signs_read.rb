# frozen_string_literal: true

# What signs are worth as readings: people are drawn and read with the tape's own error, given the advised marks,
# watched there (signs are drawn from how they truly sit, slips of the eye included: docs/model.md section 18) and moved
# as Guidance::SignReading says, twice at most. How many have the joint in line before and after, beside what the marks
# allow to somebody who knows the body; of those that began in line, how many were made worse; the difference with its
# 95 % interval, for it is the same people with and without.
#   bundle exec ruby benchmarks/signs_read.rb [PEOPLE [OTHERS]]
require_relative "../config/core"
require_relative "../spec/support/people_watched"
require "json"

include Verglas # rubocop:disable Style/MixinUsage -- a script

TAPES = { "three readings" => %i[stature seat_to_kneecap floor_to_knee_top], "height alone" => %i[stature] }.freeze
KNEES = %w[extension curl].freeze
OTHERS = %w[press_sled press_stack hack_squat level_bench].freeze

def machine(name)
  return PeopleWatched.knee_machine(name) if KNEES.include?(name)

  Machines::Reader.read(JSON.parse(File.read("#{__dir__}/../spec/fixtures/machines/#{name}.json")).first)
end

def share(found, key) = found.count { |one| one[key] } * 100.0 / found.size

# [mean, half of its 95 % interval], of 100.
def gained(found)
  gains = found.map { |one| (one[:after] ? 100 : 0) - (one[:before] ? 100 : 0) }
  mean = gains.sum.fdiv(gains.size)
  [mean, 1.96 * Math.sqrt(gains.sum { |gain| (gain - mean)**2 }) / gains.size]
end

def told(name, tape, count)
  watched = PeopleWatched.new(machine(name), TAPES.fetch(tape), seed: 11)
  found = Array.new(count) { watched.one }
  began = found.select { |one| one[:before] }
  puts format(
         "%-12s %-15s %5d  %5.1f -> %5.1f of %5.1f  %+5.1f ± %3.1f  worse %4.1f  moves %.2f  signs %.2f -> %.2f",
         name,
         tape,
         count,
         *%i[before after possible].map { |key| share(found, key) },
         *gained(found),
         began.empty? ? 0 : 100 - share(began, :after),
         *%i[moves showed shows].map { |key| found.sum { |one| one[key] }.fdiv(count) }
       )
end

$stdout.sync = true
puts "machine      tape            people  in line before -> after of what is possible, of 100"
KNEES.product(TAPES.keys).each { |name, tape| told(name, tape, (ARGV[0] || 2000).to_i) } unless ARGV[0] == "0"
OTHERS.each { |name| told(name, "three readings", (ARGV[1] || 500).to_i) }
