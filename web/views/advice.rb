# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # The advised marks with how sure and why, as steps in the order in which they are set.
      module Advice
        # Joint to pivot, support, range, far pad, near pad: the order of a fitting.
        ORDER = %i[height pivot crease start contact thigh_press kneecap].freeze

        module_function

        def of(bench)
          advice = bench.advice
          { status: advice.status, status_name: Formats::Words.say("status.#{advice.status}"), marks: advice.marks, grade: advice.evaluation.grade,
            adjusters: advice.adjusters.map { |adjuster| adjuster(bench, adjuster) },
            runner_up: advice.runner_up && { marks: advice.runner_up.marks, grade: advice.runner_up.grade },
            shortfalls: advice.shortfalls.map { |shortfall| shortfall(shortfall) },
            steps: steps(bench, advice), from: bench.taken, next_reading: next_reading(advice) }
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
          [Formats::Words.say("sure.#{source(bench.taken)}", sd: requirement.sd.round, pitch: pitch, readings: readings(bench.taken)),
           *adjuster.also.map { |mark, share| Formats::Words.say("sure.also", mark: mark, percent: (share * 100).round) }].join(" ")
        end

        def source(taken)
          return "nothing" if taken.empty?

          taken == [:stature] ? "estimated" : "taped"
        end

        def readings(taken) = taken.map { |name| Formats::Words.say("observations.#{name}.title").downcase }.join(", ")

        def shortfall(shortfall)
          unit = Verglas::Fitting::SeatedKnee::BANDS[shortfall.code].unit
          { code: shortfall.code, by: shortfall.by.round(1), says: Formats::Words.say("mends.#{shortfall.mend}", amount: amount(shortfall.amount, unit)) }
        end

        def amount(value, unit) = unit == :deg ? "#{value.round}°" : "#{value.round} mm"

        def steps(bench, advice)
          advice.adjusters.sort_by.with_index { |adjuster, index| [ORDER.index(adjuster.requirement&.decided_by) || ORDER.size, index] }
                .map { |adjuster| step(bench, adjuster) }
        end

        def step(bench, adjuster)
          rule = adjuster.requirement&.decided_by || :other
          numbers = { adjuster: adjuster.label, mark: adjuster.mark, wanted: bench.wishes.contact_above_ankle_mm.round, wanted_deg: bench.wishes.start_bend_deg.round }
          { adjuster: adjuster.label, title: say(rule, :title, numbers), look: say(rule, :look, numbers), right: say(rule, :right, numbers), do: say(rule, :do, numbers) }
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
