# frozen_string_literal: true

require "web_helper"
require_relative "../support/held_limits"
require_relative "../support/all_told"
require_relative "../support/voices"

# What is told of one client on one machine is told in one voice: of each contested question one school, of each caution
# what it does, and no part that the machine does not have.
RSpec.describe "One voice" do
  cautions = Verglas::Guidance::Cautions::RULES
  questions = Verglas::Guidance::HouseRules::QUESTIONS
  loadings = {
    nil => nil,
    "stack" => {
      kind: "stack",
      unit: "kg",
      masses: [5, 10, 15]
    },
    "plates" => {
      kind: "plates",
      unit: "kg",
      bare: 4
    },
    "horn" => {
      kind: "plates",
      unit: "kg",
      bare: 4,
      horns: 1
    }
  }
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let(:person) do
    client(loft, account, sex: "woman", body_mass_kg: 70, stature: 1690, seat_to_kneecap: 590, thigh_depth: 150)
  end
  let(:shared) { Verglas::Application::Meeting::Shared.of(loft) }

  def meeting(row, exercise, cautions: [], rules: {})
    given = {
      caution_rows: cautions,
      checked_rows: [],
      shown: [],
      equipment: shared.sizes,
      plates: shared.plates,
      rules_chosen: {
        gym: rules,
        client: {
        }
      }
    }
    # All that a school may need is known of this client.
    limits = { "hip_bend" => { "deg" => 105.0 }, "ankle" => { "deg" => 30.0 } }
    Verglas::Application::Meeting.new(
      loft,
      client: person.merge(limits: limits),
      machine_row: row,
      exercise: exercise.to_s,
      readings: loft.readings.of(person[:id]),
      given: given
    )
  end

  # As it was entered: marks, and no length.
  def untaped(name)
    data = Worked::MACHINES.fetch(name)
    bare = ->(part) do
      {
        "constants" => {
        },
        "adjusters" => part.fetch("adjusters", []).map { |adjuster| adjuster.merge("travel" => nil) }
      }
    end
    description = {
      **bare.call(data),
      "exercises" => data.fetch("exercises", {}).transform_values { |part| bare.call(part) }
    }
    loft.machines.find(
      loft.machines.insert(
        family: data["family"],
        name: "#{name} untaped",
        description: description.transform_keys(&:to_sym)
      )
    )
  end

  # Schools that are heard and do not hold: [question, school, sentence].
  define_method(:other_voices) do |bench, texts|
    family = bench.machine.family
    # Where a caution aims at something itself, no school of it holds.
    led = bench.caution_effect.wishes.keys
    asked =
      Voices::SCHOOLS.select do |question, _|
        questions.fetch(question).asked_of?(family) &&
          !questions.fetch(question).schools.values.flat_map(&:keys).intersect?(led)
      end
    asked = asked.reject { |question, _| ends_sooner?(bench, questions.fetch(question)) }
    asked.flat_map do |question, schools|
      own = schools[bench.rules.fetch(question)]
      schools
        .except(bench.rules.fetch(question))
        .flat_map do |school, sound|
          texts.select { |text| heard?(text, sound, own) }.map { |text| [question, school, text] }
        end
    end
  end

  # Whether this client's knee may not go where the school has it: then what is told is the client's own.
  def ends_sooner?(bench, question)
    aims = question.schools.fetch(bench.rules.fetch(question.name)).slice(:start_bend_deg, :end_bend_deg)
    aims.values.any? { |deg| !bench.envelope.cover?(:knee_flexion, deg) }
  end

  # All that is told of somebody there but answers to signs.
  def heard(bench) = [*AllTold.working(bench), *AllTold.predicted(bench), *AllTold.record(bench)]

  # What one's own school says too is no other's.
  def heard?(text, sound, own) = text.match?(sound) && !(own && text[sound].match?(own))

  # Schools of a gym that are heard although a caution decides their question.
  define_method(:overruled) do |row, exercise, caution|
    # In the first state in which anybody is let on: which school holds is the same in all.
    given, decided =
      HeldLimits
        .states(caution)
        .each_value
        .lazy
        .filter_map do |state|
          bench = meeting(row, exercise, cautions: [state])
          schools = bench.caution_effect.schools.keys & Voices::SCHOOLS.keys
          [state, schools] unless schools.empty? || HeldLimits.refused?(bench)
        end
        .first
    return [] unless given

    decided
      .flat_map { |question| Voices::SCHOOLS.fetch(question).keys.map { |school| [question, school] } }
      .flat_map do |question, school|
        bench = meeting(row, exercise, cautions: [given], rules: { question => school })
        other_voices(bench, heard(bench)).map { |what| [{ question => school }, *what] }
      end
  end

  # family: the whole of what the machine is, which a machine that is not taped is cut down from.
  define_method(:parts_missing) do |family, load, texts|
    Voices::PARTS
      .reject { |_, has| has.call(family, load) }
      .flat_map { |part, _| texts.grep(part).map { |text| [text[part], text] } }
  end

  Worked::MACHINES.each do |name, data|
    Verglas::Machines::Families
      .fetch(Verglas::Machines::Families.named(data["family"], data["kind"]))
      .plain_exercises
      .each do |exercise, family|
        title = [name, exercise].compact.join(", ")

        it "says of #{title} the school that holds, and no other" do
          row = machine(loft, name, name: name)
          schools =
            Voices::SCHOOLS.flat_map do |question, known|
              questions.fetch(question).asked_of?(family) ? known.keys.map { |school| [question, school] } : []
            end
          faults =
            schools.flat_map do |question, school|
              bench = meeting(row, exercise, rules: { question => school })
              other_voices(bench, heard(bench)).map { |what| [{ question => school }, *what] }
            end
          expect(faults.uniq { |fault| fault[1..] }).to be_empty,
          faults.uniq { |fault| fault[1..] }.first(12).map(&:inspect).join("\n")
        end

        it "names no part that #{title} does not have" do
          faults =
            loadings.flat_map do |load, loading|
              row = machine(loft, name, name: "#{name} #{load}", loading: loading && Sequel.pg_jsonb(loading))
              bench = meeting(row, exercise)
              parts_missing(family, load, [*heard(bench), *AllTold.answers(bench)]).map { |what| [load, *what] }
            end
          expect(faults).to be_empty, faults.uniq(&:last).first(14).map(&:inspect).join("\n")
        end

        it "says of #{title} while nobody has taped it one school, no part it does not have and no degree of its own" do
          row = untaped(name)
          bench = meeting(row, exercise)
          texts = heard(bench)
          expect([bench.advice.status, other_voices(bench, texts), parts_missing(family, nil, texts)]).to eq(
            [nil, [], []]
          )
          computed = texts.grep(/right to within|turns? (back )?at \d+°|\d+ mm (ahead|behind|short)/i)
          expect(computed).to be_empty, computed.join("\n")
        end
      end
  end

  # What a caution takes away is told nowhere.
  sounds = {
    no_holds: /\d s (held|paused)/,
    held_kg: /kg held at the chest/,
    mat_mm: /mm mat under/,
    block_mm: /mm block under/,
    foot_rest_mm: /mm rest under/,
    band_against_n: /band that adds/,
    upright: /the back goes|fully back/i,
    one_leg: /one leg at a time/i
  }

  cautions.each_key do |caution|
    it "says of #{caution} what it does, and nothing that it takes away" do
      rows = Worked::MACHINES.keys.map { |name| machine(loft, name, name: name, belt: true, one_leg: true) }
      faults =
        HeldLimits
          .states(caution)
          .flat_map do |state, given|
            benches =
              rows.flat_map do |row|
                Verglas::Machines::Families
                  .fetch(row[:family])
                  .plain_exercises
                  .keys
                  .map { |exercise| meeting(row, exercise, cautions: [given]) }
              end
            benches
              .reject { |bench| HeldLimits.refused?(bench) }
              .flat_map do |bench|
                texts = heard(bench)
                effect = bench.caution_effect
                taken = [*(:no_holds if effect.no_holds), *(:upright if effect.wishes.key?(:upright)), *effect.without]
                forbidden =
                  sounds.slice(*taken).flat_map { |what, sound| texts.grep(sound).map { |text| [what, text] } }
                [*other_voices(bench, texts), *forbidden].map { |what| [state, bench.machine_row[:name], *what] }
              end
          end
      expect(faults).to be_empty, faults.first(12).map(&:inspect).join("\n")
    end

    # The gym's school of a question that the caution decides, each in turn; vacuous where it decides none.
    it "says what #{caution} asks for, whatever the gym's school of it is" do
      faults =
        Worked::MACHINES.keys.flat_map do |name|
          row = machine(loft, name, name: name, belt: true)
          Verglas::Machines::Families
            .fetch(row[:family])
            .plain_exercises
            .each_key
            .flat_map { |exercise| overruled(row, exercise, caution).map { |what| [name, *what] } }
        end
      expect(faults).to be_empty, faults.first(12).map(&:inspect).join("\n")
    end
  end

  # Every school of every question with every caution in every state: EVERY_VOICE=1 bundle exec rspec
  # spec/application/one_voice_spec.rb
  if ENV["EVERY_VOICE"]
    cautions.each_key do |caution|
      it "says of #{caution}, in every state and under every school, one school and no part that is not there" do
        told = 0
        faults =
          Worked::MACHINES.keys.flat_map do |name|
            row = machine(loft, name, name: name, belt: true)
            Verglas::Machines::Families
              .fetch(row[:family])
              .plain_exercises
              .flat_map do |exercise, family|
                schools =
                  Voices::SCHOOLS.flat_map do |question, known|
                    questions.fetch(question).asked_of?(family) ? known.keys.map { |school| [question, school] } : []
                  end
                HeldLimits
                  .states(caution)
                  .flat_map do |state, given|
                    next [] if HeldLimits.refused?(meeting(row, exercise, cautions: [given]))

                    schools.flat_map do |question, school|
                      bench = meeting(row, exercise, cautions: [given], rules: { question => school })
                      texts = heard(bench)
                      told += texts.size
                      [*other_voices(bench, texts), *parts_missing(family, nil, texts)].map do |what|
                        [state, name, { question => school }, *what]
                      end
                    end
                  end
              end
          end
        warn "#{caution}: #{told} texts"
        expect(faults).to be_empty, faults.uniq(&:last).first(12).map(&:inspect).join("\n")
      end
    end
  end

  it "knows cautions that decide what gyms choose" do
    rows = Worked::MACHINES.keys.map { |name| machine(loft, name, name: name, belt: true) }
    decided =
      cautions.keys.flat_map do |caution|
        rows.flat_map do |row|
          meeting(row, exercise_of(row), cautions: [HeldLimits.row(caution, Date.today)]).caution_effect.schools.keys
        end
      end
    expect(decided.uniq & Voices::SCHOOLS.keys).to include(:thigh_pad, :toes_curl, :grip, :press_hands, :hinge_intent)
  end

  def exercise_of(row) = Verglas::Machines::Families.fetch(row[:family]).exercises.keys.first
end
