# frozen_string_literal: true

require "web_helper"

# One envelope of a client on a machine answers for every joint that the machine moves, loads or holds. For every family, every motion of every joint
# that it declares, limits from loose to closed, at either end, of each source: nothing is told, advised, drawn, accepted or named instead that lies
# outside of them; what cannot be kept is refused.
RSpec.describe "A client's limits on every machine" do
  # What the machine lets a joint past, of what only was measured: the one margin there is.
  margin = Verglas::Body::Margins.past_deg(:press_stop)
  # {motion => [upper ends, lower ends]}, degrees, loose to closed.
  drawn = { knee_flexion: [[120, 90, 70, 45, 20], [5, 20, 60]], hip_flexion: [[110, 95, 80, 60, 30], [10, 40]], hip_hinge: [[80, 60, 45, 15], [20]],
            hip_abduction: [[40, 25, 12, 3], [10]], hip_adduction: [[15, 0], []], hip_extension: [[10, 0, -10, -30], []],
            ankle_dorsiflexion: [[30, 15, 5, 0], []], heel_drop: [[15, 6, 0], []] }
  # Which limit is measured of a motion.
  limits = Verglas::Guidance::Limits::ALL.each_value.select(&:motion).to_h { |limit| [limit.motion, limit] }
  # How a sentence tells a bend of each joint: a figure is never more than the upper end, nor less than the lower.
  says = { knee_flexion: /(\d+)° of knee bend|[Kk]nees? (?:bend |at |bent )(\d+)°/, hip_flexion: /(\d+)° of hip bend|[Hh]ips? bent (\d+)°/,
           hip_hinge: /(\d+)° of hip bend/, hip_abduction: /[Aa]part to (\d+)°|wider than (\d+)°/, heel_drop: /[Hh]eels down to (\d+)°|further than (\d+)°/ }

  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:people) { { "man" => 1790, "woman" => 1620 }.map { |sex, stature| client(loft, account, name: "#{sex} of #{stature}", sex: sex, body_mass_kg: 70, stature: stature) } }
  let(:shared) { Verglas::Application::Meeting::Shared.of(loft) }

  # A clinician's word, written with a caution that does little else.
  def clinician(motion, from, upto)
    [{ caution: "diabetes", side: "", joint: "", since: nil, cleared_on: Date.today, cleared_by: "Dr Fenwick", degrees: { motion.to_s => [from, upto] }, named: [], load_to_kg: nil,
       stricter: false }]
  end

  def meeting(person, row, exercise, cautions: [], measured: {})
    Verglas::Application::Meeting.new(loft, client: person.merge(limits: measured), machine_row: row, exercise: exercise.to_s, readings: loft.readings.of(person[:id]),
                                            given: { caution_rows: cautions, checked_rows: [], shown: [], equipment: shared.sizes, plates: shared.plates,
                                                     rules_chosen: { gym: {}, client: {} } })
  end

  # Whether this client is turned away here: barred, or nothing can be accepted at the best marks.
  def refused?(meeting) = meeting.bars.any? || meeting.advice.status.nil? || meeting.refusals(meeting.advice.evaluation).any?

  def within?(deg, from, upto, tolerance = 1e-6) = (from.nil? || deg >= from - tolerance) && (upto.nil? || deg <= upto + tolerance)

  # Everything that is told on the bench before anybody gets on, and at every set.
  def told(meeting)
    steps = Verglas::Web::Views::Steps.of(meeting).flat_map { |step| [*step.values_at(:do, :right), *step[:notes]] }
    [*steps, *Verglas::Application::Told::Allowed.of(meeting), *Verglas::Application::Told::Evaluation.motion(meeting.advice.evaluation)&.values]
  end

  define_method(:figures) { |meeting, motion| told(meeting).flat_map { |text| text.to_s.scan(says.fetch(motion)).flatten.compact.map(&:to_i) } }

  # What lies outside; nothing where all of it holds.
  define_method(:outside) do |meeting, motion, from, upto, past|
    at = meeting.advice.evaluation
    reached = at.mechanics.ranges(at.place).fetch(motion, []).reject { |end_of| within?(end_of.deg, from, upto && (upto + past.fetch(end_of.at, 0))) }
    drawn_at = posed(at, motion).reject { |deg| within?(deg, from, upto, 0.5) }
    wrong = says.key?(motion) ? figures(meeting, motion).reject { |deg| within?(deg, from, upto, 0.5) } : []
    [*reached.map { |end_of| [:reached, end_of.at, end_of.deg.round(1)] }, *drawn_at.map { |deg| [:drawn, deg] }, *wrong.map { |deg| [:told, deg] }]
  end

  def past_its_own(bench)
    bench.machine.family.joints.each_key.flat_map { |motion| outside(bench, motion, *bench.envelope[motion], {}).map { |what| [motion, *what] } }
  end

  def posed(evaluation, motion) = Array(evaluation.mechanics.scene(evaluation.place)&.poses).filter_map { |pose| pose.deg[motion] }

  cases = lambda do |motion|
    uppers, lowers = drawn.fetch(motion)
    [*uppers.map { |deg| [nil, deg] }, *lowers.map { |deg| [deg, nil] }, *uppers.product(lowers).select { |upto, from| upto > from }.first(3).map { |upto, from| [from, upto] }]
  end

  Worked::MACHINES.each do |name, data|
    Verglas::Machines::Families.fetch(Verglas::Machines::Families.named(data["family"], data["kind"])).exercises.each do |exercise, family|
      family.joints.each_key do |motion|
        it "hold on #{name}#{", #{exercise}" if exercise}: #{motion}" do
          row = machine(loft, name, name: name)
          faults = people.product(cases[motion]).flat_map do |person, (from, upto)|
            sources = { clinician: { cautions: clinician(motion, from, upto) } }
            limit = limits[motion]
            sources[:measured] = { measured: { limit.name.to_s => { "deg" => upto } } } if limit && upto && from.nil? && limit.range_deg.cover?(upto)
            sources.flat_map do |source, given|
              bench = meeting(person, row, exercise, **given)
              next [] if refused?(bench)

              outside(bench, motion, from, upto, source == :clinician ? {} : { stop: margin }).map { |what| [person[:name], source, from, upto, *what] }
            end
          end
          expect(faults).to be_empty, faults.first(12).map(&:inspect).join("\n")
        end
      end
    end
  end

  # Every row of the table, cleared or not, by its own figures: what it leaves on each machine, and where it sends somebody instead.
  Verglas::Guidance::Cautions::RULES.each_key do |caution|
    it "hold as #{caution} has them, on every machine and on what is named instead" do
      rows = Worked::MACHINES.keys.map { |name| machine(loft, name, name: name) }
      faults = [nil, Date.today].flat_map do |cleared_on|
        given = { caution: caution.to_s, side: "", joint: "", since: nil, cleared_on: cleared_on, cleared_by: cleared_on ? "Dr Fenwick" : "", degrees: {}, named: [], load_to_kg: nil,
                  stricter: false }
        benches = rows.flat_map do |row|
          Verglas::Machines::Families.fetch(row[:family]).exercises.keys.map { |exercise| meeting(people.first, row, exercise, cautions: [given]) }
        end
        sent = benches.flat_map { |bench| bench.bars.empty? && bench.advice.status ? Verglas::Application::Substitutes.of(bench, others: benches) : [] }
        open = benches.reject { |bench| refused?(bench) }
        names = open.map { |bench| [bench.machine_row[:id], bench.exercise] }
        [*sent.reject { |found| names.include?([found.row[:id], found.exercise]) }.map { |found| [:sent_to, found.row[:name]] },
         *open.flat_map { |bench| past_its_own(bench).map { |what| [cleared_on && :cleared, bench.machine_row[:name], *what] } }]
      end
      expect(faults).to be_empty, faults.first(12).map(&:inspect).join("\n")
    end
  end

  it "grade what is left of a movement: whole, little, and too little to be worth a load" do
    row = machine(loft, "slide_back", name: "Leg extension 1")
    person = people.first
    told = [20, 65, 80].map do |from|
      found = meeting(person, row, nil, cautions: clinician(:knee_flexion, from, nil)).advice.evaluation.finding(:range_left)
      [found.value.round, found.band, found.fault]
    end
    expect(told).to eq([[69, "in line", nil], [24, "close", nil], [9, "fault", :no_range]])
  end

  it "are not met by leaving the pivot: another machine is named" do
    curl = machine(loft, "curl_plain", name: "Leg curl 1", cushions_allowed: true)
    loft.equipment.replace({ "cushion_back" => [20, 40], "cushion_seat" => [10, 20], "hip_pad" => [], "block" => [], "mat" => [] })
    bench = meeting(people.first, curl, nil, cautions: clinician(:knee_flexion, 20, 70))
    expect([refused?(bench), bench.advice.evaluation.finding(:offset).severity]).to match([true, be <= 1])
  end

  it "bar a machine that is not taped, with the lengths that would open it, and one whose lightest load is too heavy" do
    row = machine(loft, "slide_back", name: "Leg extension 1")
    half_taped = { constants: row[:constants].to_h.except("roller_reach"), adjusters: row[:adjusters], exercises: {}, taped: {} }
    bare = loft.machines.update(row[:id], version: 1, by: account, description: half_taped)
    open = meeting(people.first, bare, nil)
    limited = meeting(people.first, bare, nil, cautions: clinician(:knee_flexion, 20, 70))
    expect(open.bars).to be_empty
    expect(Verglas::Application::Told::Barred.of(limited.bars))
      .to eq(["A clinician or a caution limits a joint here (knee bend), and this machine is not taped. These lengths would open it: pivot to roller."])
  end
end
