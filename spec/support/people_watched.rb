# frozen_string_literal: true

require_relative "people_drawn"

# People who are drawn, read by tape, set up and watched: a closed loop of advice and signs. What is seen is drawn from
# how a person truly sits, with the slips of whoever looks.
class PeopleWatched
  SLIPS = 0.03
  # SD of a limit around what holds until it is measured (degrees).
  LIMITS = { hip_limit_deg: 9, ankle_limit_deg: 6 }.freeze
  KNEES = {
    "extension" => {
      constants: {
        start_angle: 98,
        end_angle: -8
      },
      adjusters: []
    },
    "curl" => {
      constants: {
        start_angle: 8,
        end_angle: 115,
        thigh_pad_front: -60,
        thigh_pad_height: 100
      },
      adjusters: [
        {
          label: "thigh pad",
          marks: ("1".."10").to_a,
          travel: Array.new(10) { 10 * _1 },
          drives: {
            thigh_pad_height: 1
          }
        }
      ]
    }
  }.freeze

  # Marks every 25 mm for everybody, the pivot at the height of the mean knee: what is left is what is not known of the
  # body, and the notches.
  def self.knee_machine(family)
    own = KNEES.fetch(family)
    described = {
      family: family,
      name: "Marks every 25 mm",
      constants: {
        pivot_above_seat: 66,
        back_face: -391,
        seat_edge: -56,
        roller_reach: 318,
        roller_radius: 50,
        **own[:constants]
      },
      adjusters: [
        { label: "back pad", marks: ("1".."16").to_a, travel: Array.new(16) { 25 * _1 }, drives: { back_face: -1 } },
        *own[:adjusters],
        { label: "roller", marks: %w[A B C D E F], travel: Array.new(6) { 20 * _1 }, drives: { roller_reach: 1 } }
      ]
    }
    Verglas::Machines::Reader.read(JSON.parse(JSON.generate(described)))
  end

  # readings: names of what is taped of each.
  def initialize(machine, readings, seed:)
    @machine = machine
    @readings = readings
    @people = PeopleDrawn.new(seed)
    @random = Random.new(seed + 1)
    @wishes = Verglas::Mechanisms::Wishes.for(machine.family)
    @signs = Verglas::Guidance::SignReading.shown_on(machine).map { |name| Verglas::Guidance::Signs::ALL.fetch(name) }
  end

  # {before:, after:, possible:} whether the joint is in line at the advised marks, after two moves at most, and at the
  # best ones there are; moves: how many were made; showed, shows: how many signs there are to be seen, slips apart, at
  # the advised marks and in the end.
  def one
    person = drawn
    start = best(person[:known].dimensions, @wishes)
    reading = Verglas::Guidance::SignReading.new(machine: @machine, estimate: person[:known], wishes: @wishes)
    at = start
    showed = truly(person, reading, start)
    moves =
      2.times.count do
        watch(person, reading, at)
        reading.move(at)&.then { |move| at = move.indices }
      end
    {
      before: in_line?(person, start),
      after: in_line?(person, at),
      possible: in_line?(person, best(person[:body], person[:wishes])),
      moves: moves,
      showed: showed,
      shows: truly(person, reading, at)
    }
  end

  private

  def drawn
    sex = @people.sex
    body = @people.body(Verglas::Body::Prior.estimate(sex: sex, mass_index: nil).normal)
    limits =
      LIMITS.slice(*@wishes.values.keys).to_h { |name, sd| [name, [@wishes[name] + (sd * @people.normal), 5].max] }
    exact = Verglas::Body::Estimate.exact(body)
    readings =
      @readings.map do |name|
        observation = Verglas::Body::Observation.fetch(name)
        value = exact.expected(observation).first + (observation.sd_mm * @people.normal)
        Verglas::Body::Reading.new(observation: name, value_mm: value, confirmed: true)
      end
    {
      body: body,
      limits: limits,
      wishes: @wishes.wishing(**limits),
      known: Verglas::Body::Estimation.new(sex: sex, readings: readings).met
    }
  end

  def best(body, wishes)
    Verglas::Fitting::Solver.new(machine: @machine, body: body, wishes: wishes).solutions.first.indices
  end

  # They sit as they are, what is placed lies where it was told, and they go as far as they were asked to: {sign =>
  # the number that shows it}.
  def numbers(person, reading, at)
    asked = reading.knowledge.evaluation(at)
    agreed = asked.mechanics.agreed(asked.place)
    true_one = Verglas::Mechanisms.for(@machine, person[:body], asked.wishes.wishing(**person[:limits]))
    place = true_one.place(@machine.parameters(at))
    @signs.to_h { |sign| [sign, true_one.shown(sign.shows.number, place, agreed)] }
  end

  def watch(person, reading, at)
    seen, not_seen = numbers(person, reading, at).partition { |sign, number| seen?(sign.shows, number) }
    reading.look(at, seen: seen.map { |sign, _| sign.name }, not_seen: not_seen.map { |sign, _| sign.name })
  end

  def truly(person, reading, at)
    numbers(person, reading, at).count { |sign, number| (sign.shows.side * (number - sign.shows.at)).positive? }
  end

  def seen?(shows, number)
    sharp = Verglas::Statistics::Gaussian.cumulative(shows.side * (number - shows.at), mean: 0.0, sd: shows.spread)
    @random.rand < SLIPS + ((1 - (2 * SLIPS)) * sharp)
  end

  def in_line?(person, at)
    mechanics = Verglas::Mechanisms.for(@machine, person[:body], person[:wishes])
    found = mechanics.all_findings(mechanics.place(@machine.parameters(at)))
    found.select { |one| @machine.family.findings[one.code].group == :joint }.all? { |one| one.severity.zero? }
  end
end
