# frozen_string_literal: true

# Practising (docs/model.md section 19): on so many seeds a family, how the core's own play is marked, one that asks,
# watches once and accepts the marks as they were left, and one that asks nobody anything and accepts.
#   bundle exec ruby benchmarks/practice.rb [seeds [family…]]

require_relative "../config/core"
require_relative "../spec/support/worked"

include Verglas # rubocop:disable Style/MixinUsage -- a script

SEEDS = (ARGV.first || 200).to_i
FAMILIES = ARGV.drop(1)
LAZY = [{ "do" => "ask" }, { "do" => "watch", "named" => [] }, { "do" => "accept" }].freeze
CARELESS = [{ "do" => "accept" }].freeze

def verdict(made_up, actions) = Practice::Verdict.new(Practice::Play.new(made_up, actions))

puts "family               full   still: passed  worse than the core's  of these passed   barred: told"
Worked::BY_FAMILY.each do |family, (described)|
  next unless FAMILIES.empty? || FAMILIES.include?(family)

  exercise = described["exercises"]&.keys&.first
  machine = Machines::Reader.read(described, **(exercise ? { exercise: exercise } : {}))
  counts = Hash.new(0)
  SEEDS.times do |seed|
    made_up = Practice::MadeUp.draw(machine, seed: seed, level: Practice::MadeUp::LEVELS.keys[seed % 3])
    counts[:full] += 1 if Practice::Verdict.new(Practice::CorePlay.of(made_up)).total == 100
    if made_up.barring
      counts[:barred] += 1
      careless = verdict(made_up, CARELESS)
      counts[:told] += 1 if careless.caution == :barred_accepted && careless.total.zero?
      next
    end
    still = verdict(made_up, LAZY)
    worse = still.severities.then { |theirs, ours| theirs - ours >= Practice::Verdict::FIGURES[:severity] }
    counts[:passed] += 1 if still.passed?
    counts[:worse] += 1 if worse
    counts[:worse_passed] += 1 if worse && still.passed?
  end
  puts format(
         "%-20s %5d %13d %21d %17d %8d of %d",
         family,
         *counts.values_at(:full, :passed, :worse, :worse_passed, :told, :barred)
       )
  $stdout.flush
end
