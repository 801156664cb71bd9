# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # The steps of a fitting in words: what to do, where to look, what is right, in this client's numbers and this machine's
      # marks; notes: what cautions, house rules and the walk-round add.
      module Steps
        # House rules that are kept by eye, told where they matter.
        TOLD = { secure: %i[grip], near: %i[thigh_pad], working: %i[toes_extension toes_curl legs_turned stack_between] }.freeze

        module_function

        def of(bench)
          bench.steps.map { |step| { id: step.id, stage: step.stage, adjuster: step.adjuster, **(step.fixed? ? fixed(bench, step) : own(bench, step)) } }
        end

        def fixed(bench, step)
          numbers = numbers(bench)
          own = variant(bench, step)
          %i[title do look right].to_h { |part| [part, Formats::Words.maybe("steps.#{own}.#{part}", **numbers) || say(step.stage, part, numbers)] }
                                 .merge(notes: notes(bench, step.stage))
        end

        # A step whose words depend on what the client is spared, or lies on; what it does not say itself, its stage says.
        def variant(bench, step)
          return :light_careful if step.stage == :light && bench.caution_effect.careful
          return :watch_careful if step.stage == :watch && bench.caution_effect.careful
          return :lie_with_pad if step.stage == :lie && bench.advice.wishes.hip_pad_mm.positive?

          Verglas::Fitting::Mechanisms.of(bench.machine)::SLIDES ? :"#{step.stage}_lying" : step.stage
        end

        def own(bench, step)
          advised = bench.advice.adjusters.find { |adjuster| adjuster.label == step.adjuster }
          rule = words_of(bench, step.rule) || (advised.mark ? :other : :recorded)
          numbers = { **numbers(bench), adjuster: rule == :recorded ? Formats::Words.adjuster(step.adjuster) : step.adjuster, mark: advised.mark }
          { title: say(rule, :title, numbers), do: say(rule, :do, numbers), look: say(rule, :look, numbers), right: right(bench, rule, numbers),
            notes: [*handling(bench, step), *told_rules(bench, step.stage)] }
        end

        # A roller behind the leg has words of its own.
        def words_of(bench, rule) = rule == :contact && bench.machine.family.side.negative? ? :contact_behind : rule

        def numbers(bench)
          wishes = bench.advice.wishes
          { wanted: wishes.contact_above_ankle_mm.round, wanted_deg: bench.mechanics.start_target_deg.round, end_deg: bench.mechanics.end_target_deg.round, pad: wishes.hip_pad_mm.round,
            tempo: Loads.tempo_words(bench.tempo) }
        end

        # The range says too where it ends.
        def right(bench, rule, numbers)
          rule == :start ? "#{say(rule, :right, numbers)} #{Allowed.ending(bench)}" : say(rule, :right, numbers)
        end

        # How the adjuster is met: which side, which colour, how it unlocks, what comes first.
        def handling(bench, step)
          [*WalkRound.words(bench.walk_round.fetch(step.adjuster, {}))[/.+/], *(say(:standing, lying(bench, :note), {}) if step.standing), *(say(:weight_off, :note, {}) if step.weight_off)]
        end

        def notes(bench, stage)
          case stage
          when :before then before(bench)
          when :secure then [*belt(bench), *told_rules(bench, stage)]
          when :working then [Allowed.ending(bench), *told_rules(bench, stage), *slack(bench)]
          else told_rules(bench, stage)
          end
        end

        def before(bench)
          row = bench.machine_row
          used = bench.advised_aids.select { |_, size| size.positive? }.map { |name, size| Formats::Words.say("aids.#{name}.lay", size: size.round) }
          [*lightest(bench), *together(bench), *bench.safety.rows.map do |caution|
            "#{Cautions.line(caution)[:title]}: #{Cautions.line(caution)[:does]}"
          end, *(say(:child, :note, {}) if bench.safety.plate_asked?), *row[:left_behind].to_s[/.+/], *used, *row[:getting_in].to_s[/.+/]]
        end

        def lightest(bench)
          light = bench.rig && Loads.one(bench.rig, bench.rig.choices.lightest)
          light && [say(:lightest, :note, { load: light[:text], how: Finding.lower(light[:how]) })]
        end

        def belt(bench) = Loads.belt(bench, bench.fitting&.dig(:work).to_h["load_kg"])&.fetch(:says)

        # Who lies does not sit.
        def lying(bench, part) = Verglas::Fitting::Mechanisms.of(bench.machine)::SLIDES ? :"#{part}_lying" : part

        # The marks were solved together, so that seat, pads and roller need no second round.
        def together(bench)
          return [] if bench.bars.any?

          marks = bench.advice.status ? bench.advice.adjusters.select(&:mark).map { |one| "#{one.label} #{one.mark}" } : []
          marks.size > 1 ? [say(:together, lying(bench, :note), { marks: marks.join(", ").sub(/\A./, &:upcase) })] : []
        end

        def slack(bench)
          from = bench.machine_row[:slack_from_deg]
          from && bench.machine.family.side.negative? ? [say(:slack, :note, { deg: from.round })] : []
        end

        def told_rules(bench, stage)
          TOLD.fetch(stage, []).map { |name| Verglas::Fitting::HouseRules.fetch(name) }.select { |question| question.asked_of?(bench.machine.family) }.map do |question|
            school = Formats::Words.say("house_rules.#{question.name}.schools.#{bench.rules[question.name]}.title")
            "#{Formats::Words.say("house_rules.#{question.name}.title")}: #{Finding.lower(school)}."
          end
        end

        def say(rule, part, numbers) = Formats::Words.say("steps.#{rule}.#{part}", **numbers)
        private_class_method :fixed, :variant, :own, :words_of, :numbers, :right, :handling, :notes, :before, :lightest, :belt, :lying, :together, :slack, :told_rules, :say
      end
    end
  end
end
