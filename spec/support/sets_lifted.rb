# frozen_string_literal: true

require_relative "../../ops/simulated_arm"

# Sets that were lifted with a phone on the arm, drawn, and how near what is read of them comes to what was done: within
# the tolerances of docs/model.md section 17.
class SetsLifted
  Arm = Verglas::Ops::SimulatedArm
  # Start and end of arms, either way round.
  ARCS = [[90, 10], [0, 100], [20, -60], [110, 15], [-30, 60]].freeze
  TOP = 0.04
  LOW = 0.06

  # Of the arc, by how much a phone slips (slipping), once and after the first repetition.
  SLIPS = (0.15..0.4)

  # sensed: of SimulatedArm; slipping: whether the phone slips.
  def initialize(count, slipping: false, **sensed)
    @slipping = slipping
    @sets = Array.new(count) { |seed| lifted(seed, **sensed) }
  end

  # Shares of 100.
  def counted = percent(@sets) { |done, read| done.size == read.repetitions.size }
  def noticed = percent(@sets) { |_, read| read.slipped? }
  def slams = percent(@sets) { |done, read| done.any?(&:slam) == read.slam? }
  def tops = percent(pairs) { |done, read| (done.top - read.top).abs <= TOP }
  def lows = percent(pairs) { |done, read| (done.low - read.low).abs <= LOW }
  def ways = percent(pairs) { |done, read| %i[up down].all? { |name| near?(done[name], read[name]) } }
  def pauses = percent(pairs.select { |_, read| read.pause }) { |done, read| near?(done.pause, read.pause) }
  def holds
    percent(pairs) { |done, read| (done.hold - read.hold).abs <= 0.35 + (0.06 * (done.up + done.down)) }
  end

  private

  def near?(done, read) = (done - read).abs <= 0.25 + (0.12 * done)
  def percent(all, &) = 100.0 * all.count(&) / all.size

  def pairs
    @pairs ||=
      @sets
        .select { |done, read| done.size == read.repetitions.size }
        .flat_map { |done, read| done.zip(read.repetitions) }
  end

  def lifted(seed, **sensed)
    random = Random.new(seed)
    done = Array.new(random.rand(4..12)) { |index| repetition(random, index) }
    done.each_with_index do |one, index|
      # Whoever lets it fall is quick, and all the way down.
      one.slam = random.rand < 0.2 && one.down < 1.5 && (done[index + 1] || one).low < 0.05
    end
    start, finish = ARCS[seed % ARCS.size]
    sensed[:slips] = [[slips_at(done, random), random.rand(SLIPS) * (finish - start)]] if @slipping
    arm = Arm.new(done, start: start, finish: finish, seed: seed, lies: seed.odd?, radius_m: 0.4, **sensed)
    [done, Verglas::Motion::Reading.new(Verglas::Motion::Samples.read(arm.samples), start_deg: start, end_deg: finish)]
  end

  # Some time between the first repetition's end and the last one's beginning.
  def slips_at(done, random)
    seconds = done.map { |one| one.up + one.hold + one.down + one.pause }
    2.0 + random.rand(seconds.first..seconds[..-2].sum)
  end

  def repetition(random, index)
    Arm::Done.new(
      low: index.zero? || random.rand < 0.7 ? 0.0 : random.rand(0.0..0.25),
      top: random.rand(0.6..1.02),
      up: random.rand(0.6..3.0),
      hold: random.rand < 0.5 ? 0.0 : random.rand(0.0..2.0),
      down: random.rand(0.8..4.0),
      pause: random.rand < 0.5 ? random.rand(0.0..0.3) : random.rand(0.3..2.0),
      slam: false
    )
  end
end
