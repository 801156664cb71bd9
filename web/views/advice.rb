# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # The advised marks with how sure and why, as steps in the order in which they are set.
      module Advice
        # Joint to pivot, support, range, far pad, near pad: the order of a fitting.
        ORDER = %i[height pivot bench_end hips crease start contact thigh_press kneecap].freeze

        module_function

        def of(bench)
          advice = bench.advice
          { status: advice.status, status_name: Formats::Words.say("status.#{advice.status || "untaped"}"), marks: advised_marks(advice), aids: bench.advised_aids,
            aids_says: aids_says(bench, advice), grade: advice.evaluation.grade,
            adjusters: advice.adjusters.map { |adjuster| adjuster(bench, adjuster) },
            runner_up: advice.runner_up && { marks: advice.runner_up.marks, grade: advice.runner_up.grade },
            shortfalls: advice.shortfalls.map { |shortfall| shortfall(shortfall) },
            steps: steps(bench, advice), from: bench.taken, learned: Body.learned(bench.checked_rows), next_reading: next_reading(advice) }
        end

        # Of what is advised; what is recorded only stands as it is.
        def advised_marks(advice) = advice.adjusters.reject { |adjuster| adjuster.mark.nil? }.to_h { |adjuster| [adjuster.label, adjuster.mark] }

        # Cushions and pads in words, and what they are for.
        def aids_says(bench, advice)
          used = bench.advised_aids.select { |_, size| size.positive? }
          used.map { |name, size| Formats::Words.say("aids.#{name}.advised", size: size.round, without: advice.grade_without_cushions) }
        end

        def adjuster(bench, adjuster)
          requirement = adjuster.requirement
          machine_adjuster = bench.machine.adjuster(adjuster.label)
          { label: adjuster.label, name: Formats::Words.adjuster(adjuster.label), mark: adjuster.mark, probability: adjuster.probability&.round(3),
            also: adjuster.also.map { |mark, share| { mark: mark, probability: share.round(3) } },
            moves_joint: bench.machine.family.group_of(machine_adjuster) == :joint, sure: requirement && sure(bench, adjuster, requirement),
            too_far: adjuster.too_far && Formats::Words.say("sure.too_far", amount: amount(adjuster.missing, requirement.unit)) }
        end

        # How sure, and from what.
        def sure(bench, adjuster, requirement)
          return Formats::Words.say("sure.angle", sd: requirement.sd.round) if requirement.unit == :deg

          machine_adjuster = bench.machine.adjuster(adjuster.label)
          pitch = machine_adjuster.pitch(machine_adjuster.index(adjuster.mark)).round
          [Formats::Words.say("sure.#{source(bench)}", machines: learned(bench), sd: requirement.sd.round, pitch: pitch, readings: readings(bench.taken)),
           *adjuster.also.map { |mark, share| Formats::Words.say("sure.also", mark: mark, percent: (share * 100).round) }].join(" ")
        end

        def source(bench)
          return "learned" if bench.taken.size < 2 && bench.checked.any?
          return "nothing" if bench.taken.empty?

          bench.taken == [:stature] ? "estimated" : "taped"
        end

        def learned(bench) = bench.checked_rows.map { |row| row[:name].downcase }.join(", ")

        # The first three by name, the others by number.
        def readings(taken)
          named = taken.first(3).map { |name| Formats::Words.say("observations.#{name}.title").downcase }.join(", ")
          taken.size > 3 ? Formats::Words.say("sure.and_more", named: named, count: taken.size - 3) : named
        end

        def shortfall(shortfall)
          unit = Verglas::Fitting::KneeOnPivot::BANDS[shortfall.code].unit
          { code: shortfall.code, by: shortfall.by.round(1), says: Formats::Words.say("mends.#{shortfall.mend}", amount: amount(shortfall.amount, unit)) }
        end

        def amount(value, unit) = unit == :deg ? "#{value.round}°" : "#{value.round} mm"

        def steps(bench, advice)
          own = advice.adjusters.sort_by.with_index { |adjuster, index| [ORDER.index(adjuster.requirement&.decided_by) || ORDER.size, index] }
                      .map { |adjuster| step(bench, adjuster) }
          Verglas::Fitting::Mechanisms.of(bench.machine)::SLIDES && advice.status ? [lie(advice), *own] : own
        end

        def step(bench, adjuster)
          rule = adjuster.requirement&.decided_by || (adjuster.mark ? :other : :recorded)
          wishes = bench.advice.wishes
          numbers = { adjuster: rule == :recorded ? Formats::Words.adjuster(adjuster.label) : adjuster.label, mark: adjuster.mark,
                      wanted: wishes.contact_above_ankle_mm.round, wanted_deg: wishes.start_bend_deg.round }
          { id: adjuster.label, adjuster: adjuster.label, title: say(rule, :title, numbers), look: say(rule, :look, numbers), right: right(rule, numbers, wishes),
            do: say(rule, :do, numbers) }
        end

        # The range says too where it ends, where a rule ends it short of straight.
        def right(rule, numbers, wishes)
          return say(rule, :right, numbers) unless rule == :start && wishes.end_short_deg.positive?

          "#{say(rule, :right, numbers)} #{say(:start, :end_short, { deg: wishes.end_short_deg.round })}"
        end

        # Where the client slides, the joint is set before any adjuster.
        def lie(advice)
          pad = advice.wishes.hip_pad_mm.round
          { id: "lie", adjuster: nil, title: say(:lie, :title, {}), do: say(:lie, pad.positive? ? :do_with_pad : :do, { pad: pad }), look: say(:lie, :look, {}),
            right: say(:lie, :right, {}) }
        end

        def say(rule, part, numbers) = Formats::Words.say("steps.#{rule}.#{part}", **numbers)

        def next_reading(advice)
          offer = advice.next_readings.first
          return unless offer&.worth_taking?

          { observation: offer.observation, title: Formats::Words.say("observations.#{offer.observation}.title"),
            before_mm: Math.sqrt(offer.variance_before_mm2).round(1), after_mm: Math.sqrt([offer.variance_after_mm2, 0].max).round(1) }
        end
      end
    end
  end
end
