# frozen_string_literal: true

# What is told, drawn and reached on a machine by a client with a limit, for specs that walk all of it.
module HeldLimits
  # {motion => [upper ends, lower ends]}, degrees, loose to closed.
  DRAWN = {
    knee_flexion: [[120, 90, 70, 45, 20], [5, 20, 60]],
    hip_flexion: [[110, 95, 80, 60, 30], [10, 40]],
    hip_hinge: [[80, 60, 45, 15], [20]],
    hip_abduction: [[40, 25, 12, 3], [10]],
    hip_adduction: [[15, 0], []],
    hip_extension: [[10, 0, -10, -30], []],
    ankle_dorsiflexion: [[30, 15, 5, 0], []],
    heel_drop: [[15, 6, 0], []]
  }.freeze
  # What the machine lets a joint past, of what only was measured: the one margin there is.
  MARGIN = Verglas::Body::Margins.past_deg(:press_stop)
  # Which limit is measured of a motion.
  MEASURED = Verglas::Guidance::Limits::ALL.each_value.select(&:motion).to_h { |limit| [limit.motion, limit] }
  # How a sentence tells a bend of each joint: a figure is never more than the upper end, nor less than the lower.
  SAYS = {
    knee_flexion: /(\d+)° of knee bend|[Kk]nees? (?:bend |at |bent )(\d+)°/,
    hip_flexion: /(\d+)° of hip bend|[Hh]ips? bent (\d+)°/,
    hip_hinge: /(\d+)° of hip bend/,
    hip_abduction: /[Aa]part to (\d+)°|wider than (\d+)°|at (\d+)° each side/,
    heel_drop: /[Hh]eels down to (\d+)°|further than (\d+)°/
  }.freeze

  module_function

  # [from, upto] of one motion, nil where an end is open.
  def ends(motion)
    uppers, lowers = DRAWN.fetch(motion)
    both = uppers.product(lowers).select { |upto, from| upto > from }.first(3).map(&:reverse)
    [*uppers.map { |deg| [nil, deg] }, *lowers.map { |deg| [deg, nil] }, *both]
  end

  # A clinician's word, written with a caution that does little else.
  def clinician(motion, from, upto)
    [
      {
        caution: "diabetes",
        side: "",
        joint: "",
        since: nil,
        cleared_on: Date.today,
        cleared_by: "Dr Fenwick",
        degrees: {
          motion.to_s => [from, upto]
        },
        named: [],
        load_to_kg: nil,
        stricter: false
      }
    ]
  end

  # A caution as a client has it, cleared on a day or not (nil), and nothing said beside it.
  def row(caution, cleared_on)
    {
      caution: caution.to_s,
      side: "",
      joint: "",
      since: nil,
      cleared_on: cleared_on,
      cleared_by: cleared_on ? "Dr Fenwick" : "",
      degrees: {
      },
      named: [],
      load_to_kg: nil,
      stricter: false
    }
  end

  # The same cleared with degrees: of the joint that it waits for, else of the knee.
  def with_degrees(caution)
    motion = Verglas::Guidance::Cautions.fetch(caution).degrees_of || :knee_flexion
    { **row(caution, Date.today), degrees: { motion.to_s => [nil, DRAWN.fetch(motion).first[1]] } }
  end

  # {state => row}: every state in which a caution is met.
  def states(caution)
    { uncleared: row(caution, nil), cleared: row(caution, Date.today), with_degrees: with_degrees(caution) }
  end

  # {source => what Meeting is given} of who may have set a limit.
  def sources(motion, from, upto)
    limit = MEASURED[motion]
    own = { measured: { measured: { limit.name.to_s => { "deg" => upto } } } } if limit && upto && from.nil? &&
      limit.range_deg.cover?(upto)
    { clinician: { cautions: clinician(motion, from, upto) }, **own.to_h }
  end

  # How far a source's limit may be passed, by the name of the end.
  def past(source) = source == :clinician ? {} : { stop: MARGIN }

  # Whether this client is turned away here: barred, or nothing can be accepted at the best marks.
  def refused?(meeting, evaluation = meeting.advice.evaluation)
    meeting.bars.any? || meeting.advice.status.nil? || meeting.refusals(evaluation).any?
  end

  def within?(deg, from, upto, tolerance = 1e-6)
    (from.nil? || deg >= from - tolerance) && (upto.nil? || deg <= upto + tolerance)
  end

  # Everything that is told on the bench before anybody gets on, and at every set.
  def told(meeting)
    steps =
      Verglas::Web::Views::Steps
        .of(meeting)
        .flat_map { |step| [*step.values_at(:do, :right), *step[:first], *step[:notes]] }
    [
      *steps,
      *Verglas::Application::Told::Allowed.of(meeting),
      *Verglas::Application::Told::Evaluation.motion(meeting.advice.evaluation)&.values
    ]
  end

  # Degrees that these texts tell of a motion and that lie outside.
  def told_outside(texts, motion, from, upto)
    return [] unless SAYS.key?(motion)

    texts
      .flat_map { |text| text.to_s.scan(SAYS.fetch(motion)).flatten.compact.map(&:to_i) }
      .reject { |deg| within?(deg, from, upto, 0.5) }
  end

  # What lies outside at these marks; nothing where all of it holds.
  def outside(meeting, motion, from, upto, past, at: meeting.advice.evaluation)
    ends = at.mechanics.ranges(at.place).fetch(motion, [])
    reached = ends.reject { |end_of| within?(end_of.deg, from, upto && (upto + past.fetch(end_of.at, 0))) }
    posed =
      Array(at.picture.whole&.poses)
        .filter_map { |pose| pose.deg[motion] }
        .reject { |deg| within?(deg, from, upto, 0.5) }
    [
      *reached.map { |end_of| [:reached, end_of.at, end_of.deg.round(1)] },
      *posed.map { |deg| [:drawn, deg] },
      *told_outside(told(meeting), motion, from, upto).map { |deg| [:told, deg] }
    ]
  end

  def past_its_own(bench)
    bench.machine.family.joints.each_key.flat_map do |motion|
      outside(bench, motion, *bench.envelope[motion], {}).map { |what| [motion, *what] }
    end
  end

  # Of the same client on every machine: where somebody is sent who is turned away or not served well, and should not
  # be.
  def sent_wrongly(benches)
    served = benches.select { |bench| bench.bars.empty? && bench.advice.status }
    sent = served.flat_map { |bench| Verglas::Application::Substitutes.of(bench, others: benches) }
    open = benches.reject { |bench| refused?(bench) }.map { |bench| [bench.machine_row[:id], bench.exercise] }
    sent.reject { |found| open.include?([found.row[:id], found.exercise]) }.map { |found| [:sent_to, found.row[:name]] }
  end
end
