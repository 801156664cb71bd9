# frozen_string_literal: true

# Plans of sessions against trying everything, and what the largest cost.
#   bundle exec ruby benchmarks/sessions.rb [how many, 10000] [seed]
require_relative "../config/core"

# Random questions, each with the answer that trying everything gives.
module Drawn
  # One random session, and the same answered by trying every number of sets in every order.
  class Session
    P = Verglas::Planning
    MUSCLES = %w[front_thigh back_thigh buttock outer_hip inner_thigh calf].freeze
    PLACES = %w[door windows beams].freeze
    WORTHS = [Rational(1), Rational(4, 5), Rational(3, 5)].freeze
    # As the model has them, said again.
    SHARES = [0, 1, Rational(145, 100), Rational(170, 100), Rational(185, 100)].freeze
    SECONDS = {
      set_s: [40, 48, 60, 75],
      rest_s: [45, 60, 90, 120],
      light_s: [0, 60, 75],
      change_s: [10, 20, 35],
      in_s: [5, 10, 15],
      out_s: [5, 10]
    }.freeze

    attr_reader :exercises, :seconds

    def initialize(random, size: random.rand(1..5), most: nil)
      @exercises = Array.new(size) { |index| exercise(random, index, most) }.shuffle(random: random)
      @seconds = random.rand(100..(600 * size))
    end

    def planned = P::Session.new(exercises, seconds: seconds).plan

    # [worth, -seconds, [sets by id]] and the order; nil where what is kept does not fit.
    def tried
      numbers = by_id.map { |one| [*(one.kept ? 1 : 0)..one.most] }
      numbers.first.product(*numbers.drop(1)).filter_map { |sets| way(sets) }.max
    end

    def agrees?
      plan = planned
      return tried.nil? unless plan

      [[plan.worth, -plan.seconds, by_id.map { |one| plan.sets.fetch(one.id, 0) }], plan.order] == tried
    end

    private

    def by_id = @by_id ||= exercises.sort_by(&:id)

    def exercise(random, index, most)
      P::Exercise.new(
        id: "e#{index}",
        works: MUSCLES.sample(random.rand(1..2), random: random),
        rank: random.rand(1..3),
        place: PLACES.sample(random: random),
        worth: WORTHS.sample(random: random),
        kept: random.rand < 0.25,
        most: most || random.rand(1..4),
        **SECONDS.transform_values { |choices| choices.sample(random: random) }
      )
    end

    def way(sets)
      in_it = by_id.zip(sets).select { |_, number| number.positive? }
      hops, order = orders[in_it.map(&:first)]
      seconds = hops + in_it.sum { |one, number| alone(one, number) }
      [[in_it.sum { |one, number| one.worth * SHARES[number] }, -seconds, sets], order] if seconds <= @seconds
    end

    def alone(one, number)
      one.change_s + one.in_s + one.light_s + (number * one.set_s) + ((number - 1) * one.rest_s) + one.out_s + 10
    end

    def orders
      @orders ||=
        Hash.new do |known, some|
          ranked = some.permutation.select { |order| order.each_cons(2).all? { |one, other| one.rank <= other.rank } }
          known[some] = ranked.map { |order| [order.each_cons(2).sum { |pair| hop(*pair) }, order.map(&:id)] }.min
        end
    end

    def hop(one, other) = (one.place == other.place ? 10 : 30) + (one.works.intersect?(other.works) ? 60 : 0)
  end

  # A circuit of as many people and stations as there may be.
  class Circuit
    P = Verglas::Planning

    def initialize(random, size:, stations:)
      labels = %w[back roller thigh].to_h { |label| [label, [6, 2]] }
      @stations =
        Array.new(stations) { |index| "s#{index}" }.to_h { |s| [s, P::Changeover.new(pin_s: 4, adjusters: labels)] }
      @people = Array.new(size) { @stations.transform_values { labels.transform_values { random.rand(9) } } }
    end

    def order(closed) = P::Circuit.new(@people, @stations, closed: closed).order

    # By trying every order.
    def tried(closed)
      first = closed ? [0] : []
      orders = ([*0...@people.size] - first).permutation.map { |rest| [*first, *rest] }
      orders.map { |order| [cost(order, closed), order] }.min.last
    end

    def agrees? = [true, false].all? { |closed| order(closed) == tried(closed) }

    private

    def cost(order, closed)
      pairs = closed ? order.zip(order.rotate) : order.each_cons(2)
      pairs.sum { |one, other| @stations.each_key.sum { |s| 4 + moved(@people[one][s], @people[other][s]) } }
    end

    def moved(from, upto) = from.sum { |label, mark| mark == upto[label] ? 0 : 6 + (2 * (mark - upto[label]).abs) }
  end
end

def milliseconds
  began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  yield
  (Process.clock_gettime(Process::CLOCK_MONOTONIC) - began) * 1000
end

count = Integer(ARGV[0] || 10_000)
random = Random.new(Integer(ARGV[1] || 1))
wrong = Array.new(count) { Drawn::Session.new(random) }.reject(&:agrees?)
puts "sessions: #{wrong.size} of #{count} differ from trying everything"
circuits =
  Array.new([count / 50, 1].max) { Drawn::Circuit.new(random, size: random.rand(2..6), stations: random.rand(1..4)) }
puts "circuits: #{circuits.count { |element| !element.agrees? }} of #{circuits.size} differ from trying every order"
large = Array.new(30) { Drawn::Session.new(random, size: 8, most: 4) }.map { |one| milliseconds { one.planned } }.sort
puts format("8 exercises of up to 4 sets: median %.1f ms, most %.1f ms", large[15], large.last)
twelve = Drawn::Circuit.new(random, size: 12, stations: 12)
[true, false].each do |closed|
  puts format("12 people, 12 stations, %s: %.0f ms", closed ? "closed" : "open", milliseconds { twelve.order(closed) })
end
