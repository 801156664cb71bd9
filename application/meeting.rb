# frozen_string_literal: true

require "forwardable"

module Verglas
  module Application
    # A client met by a machine, from their rows: where store's rows become core's questions. On a station, by one of
    # its exercises; the advice is then the station's, with the seat shared.
    class Meeting
      extend Forwardable

      attr_reader :gym, :client, :readings, :machine_row, :exercise, :fitting

      # What was read of it, and what may be accepted on it.
      def_delegators :rows, :checked_rows, :shown_efforts, :bands
      def_delegators :acceptance, :refusals, :to_be_shown, :unacceptable, :left_of, :overloaded?

      # The bench of a fitting; nil where the gym has none.
      def self.of(gym, fitting_id)
        rows = Store::Queries::FittingOnBench.new(gym).call(fitting_id)
        rows &&
          new(
            gym,
            fitting: rows[:fitting],
            client: rows[:client],
            machine_row: rows[:machine],
            exercise: rows[:fitting][:exercise]
          )
      end

      # An accepted fitting's client on its machine as that is described now; nil where there is none.
      def self.again(gym, fitting_id)
        meeting = of(gym, fitting_id)
        return unless meeting && meeting.fitting[:state] == "accepted"

        new(
          gym,
          client: meeting.client,
          machine_row: gym.machines.find(meeting.machine_row[:id]),
          exercise: meeting.exercise,
          fitting: meeting.fitting
        )
      end

      # Of a client among several whose rows were asked for together (Store::Queries::People); shared: what the gym has,
      # read once; fitting: an accepted one's row; given: what else was.
      def self.among(gym, person, machine_row:, exercise:, shared:, fitting: nil, given: {})
        new(
          gym,
          client: person.row,
          machine_row: machine_row,
          exercise: exercise,
          fitting: fitting,
          readings: person.readings,
          given: {
            checked_rows: person.checked,
            caution_rows: person.cautions,
            rules_chosen: {
              gym: shared.rules,
              client: person.own_rules
            },
            equipment: shared.sizes,
            plates: shared.plates,
            bands: shared.bands,
            **given
          }
        )
      end

      # What a gym has, asked for once.
      Shared =
        Struct.new(:rules, :sizes, :plates, :bands) do
          def self.of(gym)
            new(gym.rules.of_gym, gym.equipment.sizes, gym.equipment.plates, gym.equipment.bands)
          end
        end

      # exercise: its name, "" on a machine with one; given: what was read already or is to hold instead, by the names
      # above.
      def initialize(
        gym,
        client:,
        machine_row:,
        exercise: "",
        readings: gym.readings.of(client[:id]),
        fitting: nil,
        given: {}
      )
        @given = given
        @rules = given[:rules]
        @gym = gym
        @client = client
        @readings = readings
        @machine_row = machine_row
        @exercise = exercise
        @fitting = fitting
      end

      # What the store knows of this client on this machine.
      def rows = @rows ||= MeetingRows.new(self, @given)
      def acceptance = @acceptance ||= Acceptance.new(self)

      def machine = @machine ||= machine_of(exercise[/.+/])
      def checked = @checked ||= CheckedFittings.of(checked_rows)
      def estimation = @estimation ||= ClientBody.estimation(client, readings, checked: checked)

      # {aid => sizes, mm} of the cushions and pads which the gym owns and this machine takes.
      def aid_sizes
        @aid_sizes ||=
          machine
            .family
            .choices
            .each_value
            .select { |choice| takes?(choice) }
            .to_h { |choice| [choice.name, rows.equipment.fetch(choice.equipment, [])] }
      end

      # {question => school} that holds for this client: as chosen, but for what a caution forbids; and what was chosen
      # for the client alone.
      def rules = @rules ||= { **chosen_schools, **emphasis_schools, **caution_schools }

      # Of the range, what is gone through today (0 to 1).
      def range_share = @range_share ||= grows? ? rows.range_share : 1.0

      # Whether somebody new begins with less here, and more once it was clean.
      def grows?
        rules[:newcomers_range] == :less_first && family.wishes.key?(:range_share)
      end

      # The exercise that the rule of this client puts first in the place of one without an emphasis.
      def proposed = Emphases.first(family, exercise) { { **chosen_schools, **caution_schools } }

      # {question => school} that goes with what this exercise is done for, here or beside its emphases.
      def emphasis_schools = @emphasis_schools ||= Emphases.schools(family)

      # What was chosen for the client alone.
      def own_rules = rules_chosen[:client]

      # What is known of this machine and this client that a school may need.
      def known = [*(:slack_from_deg if machine_row[:slack_from_deg]), *safety.measured.keys]

      # The same bench under other rules.
      def with_rules(rules)
        self.class.new(
          gym,
          client: client,
          machine_row: machine_row,
          exercise: exercise,
          readings: readings,
          fitting: fitting,
          given: @given.except(:advices).merge(rules: rules)
        )
      end

      # Cautions and limits on this machine.
      def safety
        @safety ||=
          Safety.new(
            gym,
            client: client,
            machine_row: machine_row,
            rows: @given[:caution_rows],
            plates: @given[:plates]
          ) { estimation }
      end
      def bars = safety.bars(machine.family)
      # As registered, whole.
      def family = @family ||= Machines::Families.fetch(machine_row[:family]).exercise(exercise)
      def caution_effect = @caution_effect ||= safety.effect(machine.family, aims(machine.family))

      # {question => school} which a caution sets otherwise than gym or instructor chose.
      def spared
        chosen_schools.reject { |question, school| caution_schools.fetch(question, school) == school }.keys
      end

      # Whether the end is found by feel and no degree is told: by whoever is new here, where that is the rule and
      # nothing limits the end.
      def by_feel?
        return false unless rules[:newcomers_range] == :comfortable && !mechanics.end_limited?

        rows.never_visited?
      end

      # How one works here, a sentence a topic (Telling::Topics::Said).
      def topics
        @topics ||=
          Telling::Topics.of(
            machine.family,
            rules: rules,
            spared: caution_schools.keys,
            client: own_rules.keys - emphasis_schools.keys,
            gym: rules_chosen[:gym].keys - emphasis_schools.keys,
            told: caution_effect.told.map(&:key),
            aimed: caution_effect.wishes.keys
          )
      end

      def pace = @pace ||= Pace.new(self)

      # As gym and client chose.
      def chosen_schools = Guidance::HouseRules.chosen(**rules_chosen, known: known)

      # Questions whose school is not what was told: an end that the client's own range sets, a tempo.
      def overridden = [*(Guidance::HouseRules.deciding(:end_bend_deg) if mechanics.end_limited?), *pace.overridden]

      # Whether a lap belt is there and may be worn; the heaviest load (kg) that cautions and clinicians allow, nil
      # where none limits it.
      def belt? = safety.belt?(machine.family)
      def load_limit_kg = safety.load_limit_kg(machine.family)

      # How far this client's joints may move here, and where the movement ends (degrees of knee bend).
      def envelope = @envelope ||= safety.envelope(machine.family)
      def mechanics = @mechanics ||= Mechanisms.for(machine, estimation.met.dimensions, wishes_for(machine))
      # What is said of the machine before it stands at any marks.
      def voice = Telling.of(mechanics)

      # What is aimed at on a machine: by the rules, narrowed by cautions and limits.
      def wishes_for(machine, **given)
        family = machine.family
        aims = aims(family)
        Mechanisms::Wishes.for(
          family,
          envelope: safety.envelope(family),
          hard: safety.hard(family),
          slack_from_deg: machine_row[:slack_from_deg]&.to_f,
          measured: safety.measured.keys,
          **aims,
          **safety.limit_wishes(family),
          **safety.lessened_wishes(family),
          **safety.effect(family, aims).wishes,
          **carried(family),
          **growing(machine),
          **given
        )
      end

      # The steps of this fitting, in order.
      def steps
        Guidance::Flow.steps(
          machine,
          walk_round: walk_round,
          roller_first: rules[:first_set] == :roller,
          told_out: !Told::Moves.getting_out(machine_row, exercise).empty?
        )
      end

      # {label => what the walk-round found}, symbol keys; nothing for what was not noted.
      def walk_round
        @walk_round ||=
          Described
            .adjusters(machine_row, exercise)
            .to_h { |adjuster| [adjuster["label"], adjuster.fetch("walk_round", nil).to_h.transform_keys(&:to_sym)] }
      end

      # How the machine is loaded; nil where nobody described it.
      def rig = safety.rig

      # The knee as a creep test on this bench found it; nil where none was read, or nothing says where the knee is.
      def seen_knee(creep)
        readings = creep.fetch("readings", [])
        return if readings.size < 2 || !Fitting::CreepTest.possible?(machine)

        Fitting::SeenKnee.read(
          evaluation(creep["marks"], creep["aids"].to_h),
          readings.map { |reading| reading.values_at("arm_deg", "reading_mm") }
        )
      end

      # Names of the readings which the body rests on: what was refused is left out.
      def taken = estimation.reports.reject(&:refused).map { |report| report.reading.observation }

      # Of several exercises on one seat; the name of this one, or of the one whose emphasis it is.
      def station? = Described.station?(machine_row)
      def plain = @plain ||= Described.plain(machine_row, exercise)
      def advice = @advice ||= kept_advice { station? ? station_advice.exercises[exercise] : plain_advice }

      # {exercise => Machine} and what they are advised together.
      def exercises
        @exercises ||=
          Described
            .exercises(machine_row)
            .to_h { |name| name == plain[/.+/] ? [exercise, machine] : [name, machine_of(name)] }
      end

      def station_advice
        @station_advice ||=
          begin
            wishes = exercises.transform_values { |machine| advised_wishes(machine) }
            stations[[machine_row[:id], wishes, aid_sizes]] ||= Fitting::StationAdvice.new(
              machines: exercises,
              shared: shared,
              choices: choices,
              estimate: estimation.met,
              taken: taken,
              wishes: wishes
            )
          end
      end

      # Labels of the adjusters which a station's exercises share.
      def shared
        station? ? Machines::Families.fetch(machine_row[:family]).shared(Described.data(machine_row)) : []
      end

      # {label => UntapedMarks::Told} of what nobody taped.
      def untaped_marks = @untaped_marks ||= UntapedMarks.of(self)

      # Cushions, pads and places that go with the advised marks.
      def advised_aids
        @advised_aids ||= Aids.advised(advice.evaluation.wishes.values.slice(*machine.family.choices.keys))
      end

      def evaluation(marks, aids = {})
        wishes = wishes_for(machine, **Aids.wishes(machine.family, aids))
        Fitting::Evaluation.new(
          machine: machine,
          estimate: estimation.met,
          wishes: wishes,
          indices: machine.indices(marks)
        )
      end

      # What the gym's steeper bench is called and where it stands; nil where it has none.
      def steeper_bench = SteeperBench.of(self)&.then { |row| row.values_at(:name, :place).reject(&:empty?).join(", ") }

      # The belt squats that come before this machine because of a caution; nil where none does, or the gym has none
      # that serves.
      def belt_squat_first
        Substitutes.gives_way?(self) ? Substitutes.of(self).map { |found| found.row[:name] }.join(", ")[/.+/] : nil
      end

      # On a station the adjusters that are one part of it, whichever exercise is done.
      def one_part = station? ? machine_row[:adjusters].to_a.map { |adjuster| adjuster["label"] } : []

      private

      # advices: where somebody keeps what was advised before.
      def kept_advice(&) = @given[:advices] ? @given[:advices].call([machine_row[:id], exercise], &) : yield

      # What this client's other exercises on the same station were advised, where somebody keeps it.
      def stations = @given[:stations] || {}

      # The schools which cautions ask for say nothing of machines, so any family's answer serves.
      def caution_schools = @caution_schools ||= safety.effect(family).schools

      # On a station the other exercises have rungs of their own.
      def growing(machine) = machine.equal?(self.machine) && grows? ? { range_share: range_share } : {}

      # What is known of the client where body weight is the load.
      def carried(family)
        family.wishes.key?(:mass_kg) && client[:body_mass_kg] ? { mass_kg: client[:body_mass_kg].to_f } : {}
      end

      # By the house rules alone, names of Wishes.
      def aims(family)
        {
          **family.wishes.transform_values(&:default).compact,
          **Guidance::HouseRules.wishes(family, rules),
          **family.emphasis&.wishes.to_h
        }
      end

      def rules_chosen = rows.rules_chosen

      def machine_of(exercise) = Described.machine(machine_row, exercise)

      def plain_advice
        Fitting::Advice.new(
          machine: machine,
          estimate: estimation.met,
          wishes: advised_wishes(machine),
          taken: taken,
          choices: choices
        )
      end

      # With what the client is ready for, within what a caution asks.
      def advised_wishes(machine)
        wishes_for(
          machine,
          **(machine == self.machine ? Readiness.wishes(self).except(*caution_effect.wishes.keys) : {})
        )
      end

      def choices = Fitting::Choices.new(sizes: aid_sizes)

      def takes?(choice)
        return false if choice.placed? || caution_effect.without.include?(choice.name)

        (machine_row[:cushions_allowed] || !choice.makers) && Mechanisms.of(machine).takes?(machine, choice.name)
      end
    end
  end
end
