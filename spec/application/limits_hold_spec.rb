# frozen_string_literal: true

require "web_helper"
require "pdf/reader"
require_relative "../support/held_limits"

# One envelope of a client on a machine answers for every joint that the machine moves, loads or holds. For every
# family, every motion of every joint that it declares, limits from loose to closed, at either end, of each source:
# nothing is told, advised, drawn, accepted, printed or named instead that lies outside of them; what cannot be kept is
# refused.
RSpec.describe "A client's limits on every machine" do
  held = HeldLimits
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:people) do
    { "man" => 1790, "woman" => 1620 }.map do |sex, stature|
      client(loft, account, name: "#{sex} of #{stature}", sex: sex, body_mass_kg: 70, stature: stature)
    end
  end
  let(:shared) { Verglas::Application::Meeting::Shared.of(loft) }

  def meeting(person, row, exercise, cautions: [], measured: {})
    given = {
      caution_rows: cautions,
      checked_rows: [],
      shown: [],
      equipment: shared.sizes,
      plates: shared.plates,
      rules_chosen: {
        gym: {
        },
        client: {
        }
      }
    }
    Verglas::Application::Meeting.new(
      loft,
      client: person.merge(limits: measured),
      machine_row: row,
      exercise: exercise.to_s,
      readings: loft.readings.of(person[:id]),
      given: given
    )
  end

  # The same client on every exercise of every machine.
  def benches(person, rows, **limits)
    rows.flat_map do |row|
      Verglas::Machines::Families
        .fetch(row[:family])
        .plain_exercises
        .keys
        .map { |exercise| meeting(person, row, exercise, **limits) }
    end
  end

  def every_machine = Worked::MACHINES.keys.map { |name| machine(loft, name, name: name) }

  Worked::MACHINES.each do |name, data|
    Verglas::Machines::Families
      .fetch(Verglas::Machines::Families.named(data["family"], data["kind"]))
      .plain_exercises
      .each do |exercise, family|
        family.joints.each_key do |motion|
          it "hold on #{name}#{", #{exercise}" if exercise}: #{motion}" do
            row = machine(loft, name, name: name)
            faults =
              people
                .product(held.ends(motion))
                .flat_map do |person, (from, upto)|
                  held
                    .sources(motion, from, upto)
                    .flat_map do |source, given|
                      bench = meeting(person, row, exercise, **given)
                      next [] if held.refused?(bench)

                      held
                        .outside(bench, motion, from, upto, held.past(source))
                        .map { |what| [person[:name], source, from, upto, *what] }
                    end
                end
            expect(faults).to be_empty, faults.first(12).map(&:inspect).join("\n")
          end
        end
      end
  end

  # Where it does not fit, the machine that is named instead holds too.
  held::DRAWN.each_key do |motion|
    it "hold on what is named instead: #{motion}" do
      rows = every_machine
      faults =
        held
          .ends(motion)
          .flat_map do |from, upto|
            held
              .sources(motion, from, upto)
              .flat_map do |source, given|
                held.sent_wrongly(benches(people.first, rows, **given)).map { |what| [source, from, upto, *what] }
              end
          end
      expect(faults).to be_empty, faults.first(12).map(&:inspect).join("\n")
    end
  end

  # Every row of the table, cleared or not, by its own figures: what it leaves on each machine, and where it sends
  # somebody instead.
  Verglas::Guidance::Cautions::RULES.each_key do |caution|
    it "hold as #{caution} has them, on every machine and on what is named instead" do
      rows = every_machine
      faults =
        [nil, Date.today].flat_map do |cleared_on|
          met = benches(people.first, rows, cautions: [held.row(caution, cleared_on)])
          past =
            met
              .reject { |bench| held.refused?(bench) }
              .flat_map { |bench| held.past_its_own(bench).map { |what| [bench.machine_row[:name], *what] } }
          [*held.sent_wrongly(met), *past].map { |what| [cleared_on && :cleared, *what] }
        end
      expect(faults).to be_empty, faults.first(12).map(&:inspect).join("\n")
    end
  end

  it "grade what is left of a movement: whole, little, and too little to be worth a load" do
    row = machine(loft, "slide_back", name: "Leg extension 1")
    person = people.first
    told =
      [20, 65, 80].map do |from|
        found =
          meeting(person, row, nil, cautions: HeldLimits.clinician(:knee_flexion, from, nil)).advice.evaluation.finding(
            :range_left
          )
        [found.value.round, found.band, found.fault]
      end
    expect(told).to eq([[69, "in line", nil], [24, "close", nil], [9, "fault", :no_range]])
  end

  it "are not met by leaving the pivot: another machine is named" do
    curl = machine(loft, "curl_plain", name: "Leg curl 1", cushions_allowed: true)
    loft.equipment.replace(
      { "cushion_back" => [20, 40], "cushion_seat" => [10, 20], "hip_pad" => [], "block" => [], "mat" => [] }
    )
    bench = meeting(people.first, curl, nil, cautions: HeldLimits.clinician(:knee_flexion, 20, 70))
    expect([HeldLimits.refused?(bench), bench.advice.evaluation.finding(:offset).severity]).to match([true, be <= 1])
  end

  it "bar a machine that is not taped, with the lengths that would open it, and one whose lightest load is too heavy" do
    row = machine(loft, "slide_back", name: "Leg extension 1")
    half_taped = {
      constants: row[:constants].to_h.except("roller_reach"),
      adjusters: row[:adjusters],
      exercises: {
      },
      taped: {
      }
    }
    bare = loft.machines.update(row[:id], version: 1, by: account, description: half_taped)
    open = meeting(people.first, bare, nil)
    limited = meeting(people.first, bare, nil, cautions: HeldLimits.clinician(:knee_flexion, 20, 70))
    expect(open.bars).to be_empty
    expect(Verglas::Application::Told::Barred.of(limited.bars)).to eq(
      [
        "A clinician or a caution limits the knee bend, and this machine is not taped. Tape these first: pivot to " \
          "roller."
      ]
    )
  end
end
