# frozen_string_literal: true

require "web_helper"
require_relative "../support/held_limits"
require_relative "../support/all_told"
require_relative "../support/voices"

# What is told of one client on one machine is told in one voice: of each contested question one school, of each caution what it does, and no
# part that the machine does not have.
RSpec.describe "One voice" do
  cautions = Verglas::Guidance::Cautions::RULES
  questions = Verglas::Guidance::HouseRules::QUESTIONS
  loadings = { nil => nil, "stack" => { kind: "stack", unit: "kg", masses: [5, 10, 15] }, "plates" => { kind: "plates", unit: "kg", bare: 4 },
               "horn" => { kind: "plates", unit: "kg", bare: 4, horns: 1 } }
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:person) { client(loft, account, sex: "woman", body_mass_kg: 70, stature: 1690, seat_to_kneecap: 590, thigh_depth: 150) }
  let(:shared) { Verglas::Application::Meeting::Shared.of(loft) }

  def meeting(row, exercise, cautions: [], rules: {})
    given = { caution_rows: cautions, checked_rows: [], shown: [], equipment: shared.sizes, plates: shared.plates, rules_chosen: { gym: rules, client: {} } }
    # All that a school may need is known of this client.
    limits = { "hip_bend" => { "deg" => 105.0 }, "ankle" => { "deg" => 30.0 } }
    Verglas::Application::Meeting.new(loft, client: person.merge(limits: limits), machine_row: row, exercise: exercise.to_s, readings: loft.readings.of(person[:id]), given: given)
  end

  # Schools that are heard and do not hold: [question, school, sentence].
  define_method(:other_voices) do |bench, texts|
    family = bench.machine.family
    # Where a caution aims at something itself, no school of it holds.
    led = bench.caution_effect.wishes.keys
    asked = Voices::SCHOOLS.select { |question, _| questions.fetch(question).asked_of?(family) && !questions.fetch(question).schools.values.flat_map(&:keys).intersect?(led) }
    asked.flat_map do |question, schools|
      own = schools[bench.rules.fetch(question)]
      schools.except(bench.rules.fetch(question)).flat_map { |school, sound| texts.select { |text| heard?(text, sound, own) }.map { |text| [question, school, text] } }
    end
  end

  # What one's own school says too is no other's.
  def heard?(text, sound, own) = text.match?(sound) && !(own && text[sound].match?(own))

  define_method(:parts_missing) do |bench, load, texts|
    Voices::PARTS.reject { |_, has| has.call(bench.machine.family, load) }.flat_map { |part, _| texts.grep(part).map { |text| [text[part], text] } }
  end

  Worked::MACHINES.each do |name, data|
    Verglas::Machines::Families.fetch(Verglas::Machines::Families.named(data["family"], data["kind"])).exercises.each do |exercise, family|
      title = [name, exercise].compact.join(", ")

      it "says of #{title} the school that holds, and no other" do
        row = machine(loft, name, name: name)
        schools = Voices::SCHOOLS.flat_map { |question, known| questions.fetch(question).asked_of?(family) ? known.keys.map { |school| [question, school] } : [] }
        faults = schools.flat_map do |question, school|
          bench = meeting(row, exercise, rules: { question => school })
          texts = [*AllTold.working(bench), *AllTold.record(bench)]
          other_voices(bench, texts).map { |what| [{ question => school }, *what] }
        end
        expect(faults.uniq { |fault| fault[1..] }).to be_empty, faults.uniq { |fault| fault[1..] }.first(12).map(&:inspect).join("\n")
      end

      it "names no part that #{title} does not have" do
        faults = loadings.flat_map do |load, loading|
          row = machine(loft, name, name: "#{name} #{load}", loading: loading && Sequel.pg_jsonb(loading))
          bench = meeting(row, exercise)
          parts_missing(bench, load, [*AllTold.working(bench), *AllTold.answers(bench), *AllTold.record(bench)]).map { |what| [load, *what] }
        end
        expect(faults).to be_empty, faults.uniq(&:last).first(14).map(&:inspect).join("\n")
      end
    end
  end

  # What a caution takes away is told nowhere.
  sounds = {
    no_holds: /\d s (held|paused)/,
    held_kg: /kg held at the chest/, mat_mm: /mm mat under/, block_mm: /mm block under/, foot_rest_mm: /mm rest under/, band_against_n: /band that adds/,
    one_leg: /one leg at a time/i, calf_work: /^calf work here/i
  }

  cautions.each_key do |caution|
    it "says of #{caution} what it does, and nothing that it takes away" do
      rows = Worked::MACHINES.keys.map { |name| machine(loft, name, name: name, belt: true, one_leg: true) }
      faults = [nil, Date.today].flat_map do |cleared_on|
        given = HeldLimits.row(caution, cleared_on)
        benches = rows.flat_map { |row| Verglas::Machines::Families.fetch(row[:family]).exercises.keys.map { |exercise| meeting(row, exercise, cautions: [given]) } }
        benches.reject { |bench| HeldLimits.refused?(bench) }.flat_map do |bench|
          texts = [*AllTold.working(bench), *AllTold.record(bench)]
          effect = bench.caution_effect
          taken = [*(:no_holds if effect.no_holds), *effect.without]
          forbidden = sounds.slice(*taken).flat_map { |what, sound| texts.grep(sound).map { |text| [what, text] } }
          [*other_voices(bench, texts), *forbidden].map { |what| [cleared_on && :cleared, bench.machine_row[:name], *what] }
        end
      end
      expect(faults).to be_empty, faults.first(12).map(&:inspect).join("\n")
    end
  end
end
