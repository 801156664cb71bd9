# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # The advised marks with how sure and why.
      module Advice
        # What a chance is called on the floor.
        LIKELY = { 0.6 => :likelier, 0.4 => :as_likely, 0 => :possible }.freeze

        module_function

        def of(meeting)
          advice = meeting.advice
          {
            status: advice.status,
            status_name: Formats::Words.say("status.#{advice.status || untaped(meeting)}"),
            marks: advised_marks(advice),
            aids: meeting.advised_aids,
            aids_says: aids_says(meeting, advice),
            grade: advice.evaluation.grade,
            adjusters:
              advice
                .adjusters
                .reject { |adjuster| meeting.machine.adjuster(adjuster.label).follows? }
                .map { |adjuster| adjuster(meeting, adjuster) },
            runner_up: advice.runner_up && { marks: advice.runner_up.marks, grade: advice.runner_up.grade },
            shortfalls:
              advice
                .shortfalls
                .select(&:mend)
                .map { |shortfall| shortfall(shortfall, advice.evaluation.kind(shortfall.code)) },
            instead: instead(meeting),
            from: meeting.taken,
            learned: Told::Estimate.learned(meeting.checked_rows),
            next_reading: next_reading(advice)
          }
        end

        def untaped(meeting) = meeting.untaped_marks.any? ? :by_others : :untaped

        # Other machines that do the same and fit, where this one does not.
        def instead(meeting)
          Application::Substitutes
            .of(meeting)
            .map do |found|
              name = Told::Names.machine(found.row[:name], found.exercise)
              {
                machine_id: found.row[:id],
                exercise: found.exercise,
                name: name,
                grade: found.advice.evaluation.grade,
                says: Formats::Words.say("instead.fits", name: name, place: found.row[:place])
              }
            end
        end

        # Of what is advised; what is recorded only stands as it is.
        def advised_marks(advice)
          advice.adjusters.reject { |adjuster| adjuster.mark.nil? }.to_h { |adjuster| [adjuster.label, adjuster.mark] }
        end

        # Cushions and pads in words, and what they are for.
        def aids_says(meeting, advice)
          Application::Aids
            .laid(meeting.advised_aids)
            .map do |name, size|
              missing = advice.missing_without(name.to_sym).ceil
              Formats::Words.say(
                "aids.#{name}.advised",
                size: size.round,
                without: advice.grade_without_cushions,
                missing: missing
              )
            end
        end

        def adjuster(meeting, adjuster)
          requirement = adjuster.requirement
          machine_adjuster = meeting.machine.adjuster(adjuster.label)
          {
            label: adjuster.label,
            name: Told::Together.fetch(meeting.machine, adjuster.label).name,
            mark: adjuster.mark,
            by_others: by_others(meeting, adjuster.label),
            probability: adjuster.probability&.round(3),
            also: worth_naming(meeting, adjuster).map { |mark, share| { mark: mark, probability: share.round(3) } },
            moves_joint: meeting.machine.family.group_of(machine_adjuster) == :joint,
            sure: requirement && sure(meeting, adjuster, requirement),
            too_far: too_far(meeting, adjuster)
          }
        end

        # Where nobody taped it: the mark by those who were fitted here; nil where too few were.
        def by_others(meeting, label)
          told = meeting.untaped_marks[label] or return

          key = told.low == told.high ? :by_others_alone : :by_others
          Formats::Words.say("sure.#{key}", mark: told.mark, low: told.low, high: told.high, count: told.fittings)
        end

        # How sure, and from what.
        def sure(meeting, adjuster, requirement)
          return Formats::Words.say("sure.angle", sd: requirement.sd.round) if requirement.unit == :deg

          machine_adjuster = meeting.machine.adjuster(adjuster.label)
          pitch = machine_adjuster.pitch(machine_adjuster.index(adjuster.mark)).round
          [
            Formats::Words.say(
              "sure.#{source(meeting)}",
              machines: learned(meeting),
              sd: requirement.sd.round,
              pitch: pitch,
              readings: readings(meeting.taken)
            ),
            *also(meeting, adjuster)
          ].join(" ")
        end

        # Other marks worth naming; where one is likelier by its own rule, what decided against it.
        def also(meeting, adjuster)
          worth_naming(meeting, adjuster).map do |mark, share|
            against = share > adjuster.probability ? against(meeting, adjuster, mark) : nil
            next Formats::Words.say("sure.against", mark: mark, says: against) if against

            Formats::Words.say("sure.also.#{LIKELY.find { |least, _| share >= least }.last}", mark: mark)
          end
        end

        # That probably no mark reaches, and by how much; nil where what it decides is in line all the same.
        def too_far(meeting, adjuster)
          return if !adjuster.too_far || in_line?(meeting, meeting.machine.adjuster(adjuster.label))

          Formats::Words.say("sure.too_far", amount: Told::Finding.amount(adjuster.missing, adjuster.requirement.unit))
        end

        # Not a mark at which something would be off, unless it is the likelier one: then it is said what is against it.
        def worth_naming(meeting, adjuster)
          here = meeting.advice.evaluation.score.worst
          adjuster.also.select do |mark, share|
            share > adjuster.probability || at(meeting, adjuster, mark).score.worst <= [here, 1].max
          end
        end

        def at(meeting, adjuster, mark)
          meeting.evaluation(meeting.advice.evaluation.marks.merge(adjuster.label => mark), meeting.advised_aids)
        end

        # Whether what a mark decides is in line where it stands.
        def in_line?(meeting, adjuster)
          decides = meeting.machine.deciding(adjuster)
          at = meeting.advice.evaluation
          set = at.findings.select { |finding| at.kind(finding.code).set_by.include?(decides) }
          set.any? && set.all? { |finding| finding.severity.zero? }
        end

        # What would be worse there than at the advised mark, in words; nil where nothing would.
        def against(meeting, adjuster, mark)
          here = meeting.advice.evaluation
          there = at(meeting, adjuster, mark)
          gained =
            there
              .findings
              .zip(here.findings)
              .map { |one, other| [[one.severity - other.severity, one.cost - other.cost], one] }
          worse = gained.select { |gain, _| (gain <=> [0, 0]).positive? }.max_by(&:first)&.last
          worse && Told::Finding.lower(Told::Finding.says(worse, there)).delete_suffix(".")
        end

        def source(meeting)
          return "learned" if meeting.taken.size < 2 && meeting.checked.any?
          return "nothing" if meeting.taken.empty?

          meeting.taken == [:stature] ? "estimated" : "taped"
        end

        def learned(meeting) = meeting.checked_rows.map { |row| row[:name].downcase }.join(", ")

        # The first three by name, the others by number.
        def readings(taken)
          named = taken.first(3).map { |name| Formats::Words.say("observations.#{name}.title").downcase }.join(", ")
          taken.size > 3 ? Formats::Words.say("sure.and_more", named: named, count: taken.size - 3) : named
        end

        def shortfall(shortfall, kind)
          {
            code: shortfall.code,
            by: shortfall.by.round(1),
            says:
              Formats::Words.say("mends.#{shortfall.mend}", amount: Told::Finding.amount(shortfall.amount, kind.unit))
          }
        end

        # What is worth the client's time, where a screen in whole mm can show that it is.
        def next_reading(advice)
          offer = advice.next_readings.first
          return unless offer&.worth_taking?

          before, after =
            [offer.variance_before_mm2, offer.variance_after_mm2].map { |variance| Math.sqrt([variance, 0].max) }
          return if before.round == after.round

          {
            observation: offer.observation,
            title: Formats::Words.say("observations.#{offer.observation}.title"),
            before_mm: before.round(1),
            after_mm: after.round(1)
          }
        end
      end
    end
  end
end
