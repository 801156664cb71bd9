# frozen_string_literal: true

# An afternoon on the demo gym's floor: thirty people come within two hours, each with thirty to forty-five minutes, and
# a machine is out of order. Everybody plans by themselves and waits where a machine is taken; or plans with the floor
# as it stands and is planned anew whenever they change machines. The same people, machines and seconds both times;
# minutes waited and sets done, as ratios.   bundle exec ruby benchmarks/afternoon.rb [afternoons, 20] [seed]
require_relative "../config/core"
require "yaml"

# A floor of machines on which people stand and wait.
class Afternoon
  P = Verglas::Planning
  # Of the demo gym: [name, muscles meant, rank, place], a line an exercise.
  MACHINES =
    YAML
      .safe_load_file(File.expand_path("../demo/net_loft.yml", __dir__))
      .fetch("machines")
      .flat_map do |machine|
        Verglas::Machines::Families
          .fetch(machine["family"])
          .exercises
          .map do |exercise, family|
            rank = Verglas::Tables[:session][:ranks][:by_action].fetch(family.action)
            works = Verglas::Guidance::Regions.meant(family)
            [[machine["name"], *exercise].join(": "), works, rank, machine["place"].to_s]
          end
      end
      .freeze
  PEOPLE = 30
  COME_WITHIN_S = 7200

  # Somebody on the floor. wants: [Exercise]; left: those that are still to be done.
  Person = Struct.new(:comes_s, :budget_s, :wants, :left, :at_s, :waited_s, :sets, :place)

  def initialize(random)
    @broken = random.rand(MACHINES.size)
    @people = Array.new(PEOPLE) { person(random) }
  end

  # together: whether everybody is planned with the floor as it stands. {waited:, sets:}: seconds and sets of all.
  def run(together:)
    free_at = Hash.new(0)
    people = @people.map { |one| one.dup.tap { |copy| copy.left = one.wants.dup } }
    moving = people.dup
    until moving.empty?
      one = moving.min_by(&:at_s)
      moving.delete(one) unless step(one, free_at, together)
    end
    { waited: people.sum(&:waited_s), sets: people.sum(&:sets) }
  end

  private

  def person(random)
    comes = random.rand(COME_WITHIN_S)
    wants = MACHINES.each_index.to_a.sample(random.rand(4..6), random: random) - [@broken]
    Person.new(comes, random.rand(30..45) * 60, wants.map { |index| exercise(index, random) }, [], comes, 0, 0, nil)
  end

  def exercise(index, random)
    name, works, rank, place = MACHINES[index]
    P::Exercise.new(
      id: name,
      works: works,
      rank: rank,
      place: place,
      worth: Rational(rank == 1 ? 5 : 4, 5),
      kept: false,
      most: random.rand(2..3),
      set_s: random.rand(40..60),
      rest_s: random.rand(60..120),
      light_s: rank == 3 ? 60 : 0,
      change_s: random.rand(10..40),
      in_s: 10,
      out_s: 10
    )
  end

  # The next machine, whole; nil where nothing is left, or no time.
  def step(one, free_at, together)
    left_s = one.comes_s + one.budget_s - one.at_s
    next_one, sets = planned(one, left_s, free_at, together)
    return unless next_one

    begins = [one.at_s + walk_s(one, next_one), free_at[machine_of(next_one)]].max
    one.waited_s += begins - one.at_s - walk_s(one, next_one)
    # Whoever waited has less time than was planned, and does what still fits.
    sets -= 1 while sets.positive? && begins + next_one.alone_s(sets) > one.comes_s + one.budget_s
    one.left.delete(next_one)
    return one.at_s = begins if sets.zero?

    one.at_s = free_at[machine_of(next_one)] = begins + next_one.alone_s(sets)
    one.sets += sets
    one.place = next_one.place
  end

  def planned(one, left_s, free_at, together)
    return if one.left.empty? || left_s <= 0

    first = one.left.to_h { |each| [each.id, walk_s(one, each) + (together ? wait_s(one, each, free_at) : 0)] }
    ranked = together ? one.left.map { |each| later(each, one, free_at) } : one.left
    plan = P::Session.new(ranked, seconds: left_s, first: first).plan
    [one.left.find { |each| each.id == plan.order.first }, plan.sets[plan.order.first]] if plan
  end

  # A station is one machine, whatever is done on it.
  def machine_of(exercise) = exercise.id.split(": ").first

  # A machine that is taken may be done after what comes later otherwise.
  def later(exercise, one, free_at) = wait_s(one, exercise, free_at).positive? ? exercise.with(rank: 3) : exercise
  def wait_s(one, exercise, free_at) = [free_at[machine_of(exercise)] - one.at_s - walk_s(one, exercise), 0].max
  def walk_s(one, exercise)
    return 0 unless one.place

    P::Exercise::HOP[one.place == exercise.place ? :within_s : :between_s]
  end
end

count = Integer(ARGV[0] || 20)
random = Random.new(Integer(ARGV[1] || 1))
runs = Array.new(count) { Afternoon.new(random) }.map { |one| [true, false].map { |made| one.run(together: made) } }
{ "minutes waited" => [:waited, 60.0], "sets done" => [:sets, 1.0] }.each do |title, (name, unit)|
  together, alone = runs.transpose.map { |side| side.sum { |run| run[name] } / unit / count }
  puts format("%s: %.0f planned together, %.0f each alone: %.2f x", title, together, alone, together / alone)
end
