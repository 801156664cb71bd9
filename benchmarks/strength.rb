# frozen_string_literal: true

# What first loads are worth, on people whose strength is drawn with an ageing of its own (faster and slower than the
# prior's, with its own spread): of newcomers, how many are given more than they could lift ten times, by age, sex and
# mass; of a gym of 60 people on 10 machines over 12 weeks, how many first loads on machines not yet used lie within one
# step of 5 kg, and how many steps from the lightest they would have taken.   bundle exec ruby benchmarks/strength.rb
require_relative "../config/core"

include Verglas # rubocop:disable Style/MixinUsage -- a script

RANDOM = Random.new(7)
STEP_KG = 5
CHOICES = (1..60).map { |number| number * STEP_KG }
ACTIONS = Loading::Strength::ACTIONS

def normal = Math.sqrt(-2 * Math.log(1 - RANDOM.rand)) * Math.cos(2 * Math::PI * RANDOM.rand)

# Muscle is kept to about forty here and lost by 1 % a year, twice as fast past seventy; lean mass grows with the fourth
# root of what is above a mass index of 25.
def drawn(age, index)
  sex = RANDOM.rand < 0.5 ? :man : :woman
  stature = (sex == :man ? 1750 : 1630) + (65 * normal)
  mass = index * ((stature / 1000)**2)
  lean = [index, 25 + (2 * ([index - 25, 0].max**0.75))].min * ((stature / 1000)**2)
  loss = (0.010 * [age - 40, 0].max) + (0.010 * [age - 70, 0].max) + (0.03 * [20 - age, 0].max)
  common = 0.28 * normal
  shares = Tables[:strength][:shares][:by_action]
  {
    person: Loading::Strength::Person.new(sex: sex, mass_kg: mass, age_years: age, stature_mm: stature),
    ln_kg: ACTIONS.to_h { |one| [one, Math.log(shares[one][sex] * lean) - loss + common + (0.16 * normal)] }
  }
end

def first(one, action, sets: [], machine: "new", factors: {}, now: 12)
  strength = Loading::Strength.new(one[:person], sets, now: now, factors: factors)
  Loading::FirstLoad.new(strength, machine: machine, action: action, person: one[:person])
end

# A set near what they can: ten repetitions, hard and clean.
def lifted(one, action, machine, factor, week)
  able = Math.exp(one[:ln_kg][action] - factor + (0.05 * normal))
  kilograms = CHOICES.select { |kg| kg <= able }.max or return
  left = Math.log(able / kilograms) / 0.03
  Loading::Lifted.new(
    week: week,
    machine: machine,
    action: action,
    load_kg: kilograms,
    repetitions: 10,
    last: left > 2.5 ? :easy : :clean
  )
end

# Machines whose own factors are known as well as they ever are.
def known(factor) = [factor + (0.1 * normal), 0.1**2]

# Whether the first load is above what ten repetitions allow; nil where none is told.
def heavy(one, logged)
  action, other = ACTIONS.sample(2, random: RANDOM)
  here, there = Array.new(2) { 0.3 * normal }
  sets = logged ? [lifted(one, other, "first", there, 12)].compact : []
  found = first(one, action, sets: sets, factors: { "new" => known(here), "first" => known(there) })
  found.load_kg(CHOICES) > [Math.exp(one[:ln_kg][action] - here), STEP_KG].max unless found.silent?
end

GROUPS = {
  "16 to 17" => 16..17,
  "18 to 40" => 18..40,
  "41 to 64" => 41..64,
  "65 to 75" => 65..75,
  "76 to 85" => 76..85
}.freeze
EACH = 1500

{ "who never lifted here" => false, "after one set elsewhere" => true }.each do |who, logged|
  puts "people #{who}: first load above what ten repetitions allow, of 100 (told at all, of 100)"
  GROUPS.each do |name, ages|
    [18..25, 26..34, 35..45].each do |masses|
      found =
        Array.new(EACH) do
          heavy(drawn(ages.to_a.sample(random: RANDOM), masses.min + (RANDOM.rand * masses.size)), logged)
        end
      told = found.compact
      share = told.empty? ? "   –" : format("%4.1f", 100.0 * told.count(true) / told.size)
      puts "  #{name}, #{masses.min} to #{masses.max} kg/m²: #{share}  (#{100 * told.size / EACH})"
    end
  end
end

# Ten machines, each with its own factor; each of 60 members uses some, and comes to those that are new to them:
# [likely less able in kg, whether the first load is too heavy, steps from the lightest to what they are able to].
def gym
  machines = Array.new(10) { |number| ["m#{number}", ACTIONS[number % ACTIONS.size], 0.3 * normal] }
  people = Array.new(60) { drawn(18 + RANDOM.rand(47), 20 + (RANDOM.rand * 12)) }
  logs = people.map { |one| log(one, machines.sample(6, random: RANDOM)) }
  factors = learned(machines, people.map { |one| one[:person] }.zip(logs))
  people
    .zip(logs)
    .flat_map do |one, sets|
      fresh = machines.reject { |id, *| sets.any? { |set| set.machine == id } }
      fresh.filter_map do |id, action, factor|
        gap(one, first(one, action, sets: sets, machine: id, factors: factors), action, factor)
      end
    end
end

def log(one, machines)
  machines.filter_map { |id, action, factor| lifted(one, action, id, factor, RANDOM.rand(12)) }.sort_by(&:week)
end

def learned(machines, people)
  2
    .times
    .inject({}) do |known, _|
      machines.to_h do |id, action, _|
        found = Loading::MachineFactor.learned(id, action, people, factors: known)
        [id, [found.mean, found.sd**2]]
      end
    end
end

def gap(one, found, action, factor)
  return if found.silent?

  able = Math.exp(one[:ln_kg][action] - factor)
  [Math.exp(found.mean) - able, found.load_kg(CHOICES) > [able, STEP_KG].max, able / STEP_KG]
end

gyms = Array.new(20) { gym }
shares = gyms.map { |gaps| 100.0 * gaps.count { |gap, *| gap.abs <= STEP_KG } / gaps.size }
gaps = gyms.flatten(1)
puts "20 gyms of 60 people and 10 machines, #{gaps.size} machines not yet used"
puts format(
       "  likely load within %d kg: %.0f of 100 (%.0f to %.0f); first load too heavy: %.1f; steps to it: %.1f",
       STEP_KG,
       shares.sum / shares.size,
       *shares.minmax,
       100.0 * gaps.count { |_, heavy, _| heavy } / gaps.size,
       gaps.sum(&:last) / gaps.size
     )
