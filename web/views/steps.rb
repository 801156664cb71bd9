# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # The steps of a fitting in words: what to do, where to look, what is right, in this client's numbers and this
      # machine's marks; notes: what cautions, house rules and the walk-round add.
      module Steps
        module_function

        # first: what has to be seen with a step: how a pin is safely drawn, cautions and cares, the belt, how far one
        # goes. All else can stand behind its one sentence.
        def of(meeting)
          # What is not taped is placed by eye.
          steps = meeting.advice.status ? meeting.steps : meeting.steps.reject(&:choice)
          steps.map do |step|
            {
              **step.to_h.slice(:id, :stage, :adjuster, :choice),
              first: [*unsafe_else(meeting, step), *cares(meeting, step)],
              **in_words(meeting, step)
            }
          end
        end

        # Before a pin is drawn, where its walk-round says so.
        def unsafe_else(meeting, step)
          [
            *(say(:standing, own_words(meeting, :standing, :note), {}) if step.adjuster && step.standing),
            *(say(:weight_off, :note, {}) if step.weight_off)
          ]
        end

        def cares(meeting, step)
          case step.stage
          when :before
            [
              *ask_again(meeting),
              *cautions(meeting),
              *child(meeting),
              *heavy(meeting),
              *meeting.voice.warnings.map { |says| Formats::Words.of(says) }
            ]
          when :secure
            [*belt(meeting)]
          when :light, :watch
            careful(meeting, step.stage)
          when :range, :working
            Told::Allowed.how_far(meeting)
          else
            []
          end
        end

        def in_words(meeting, step)
          return fixed(meeting, step) if step.fixed?

          step.choice ? placing(meeting, step) : own(meeting, step)
        end

        # What is placed, in the advised number.
        def placing(meeting, step)
          own = [*(:"#{step.choice}_by_feel" if meeting.by_feel?), meeting.voice.step_words(step.choice), step.choice]
          numbers = numbers(meeting)
          parts = %i[title do look right].to_h { |part| [part, in_own_words(own, part, numbers)] }
          stance = say(:stance, :note, {}) if meeting.machine.family.choices.key?(:stance_mm)
          { **parts, notes: [*stance, *Told::Topics.at(step.stage, meeting)] }
        end

        def fixed(meeting, step)
          numbers = numbers(meeting)
          own = variants(meeting, step.stage)
          parts = %i[title do look right].to_h { |part| [part, in_own_words(own, part, numbers)] }
          parts[:right] = say(:working, :right_in_hand, numbers) if step.stage == :working && numbers[:in_hand]
          { **parts, notes: notes(meeting, step.stage) }
        end

        # Whose words a stage is said in: of what the client lies on, of the family, of what it is a kind of; what these
        # do not say, it says itself.
        def variants(meeting, stage)
          family = meeting.machine.family
          [
            *(:"#{stage}_with_aid" if aid_mm(meeting).positive?),
            :"#{stage}_#{family.id}",
            :"#{stage}_#{family.mechanism}",
            stage
          ]
        end

        def in_own_words(variants, part, numbers)
          variants.lazy.filter_map { |own| Formats::Words.maybe("steps.#{own}.#{part}", **numbers) }.first
        end

        def own(meeting, step)
          advised = meeting.advice.adjusters.find { |adjuster| adjuster.label == step.adjuster }
          set = Told::Together.fetch(meeting.machine, step.adjuster)
          rule = (step.rule && meeting.voice.step_words(step.rule)) || (advised.mark ? :other : :recorded)
          numbers = { **numbers(meeting), **set.told(advised.mark, alone: rule == :recorded) }
          {
            **%i[title do look right].to_h { |part| [part, say(rule, part, numbers)] },
            notes: [*handling(meeting, step), *Told::Topics.at(step.stage, meeting)]
          }
        end

        def numbers(meeting)
          {
            **%i[wanted wanted_deg end_deg bottom_deg].to_h { |name| [name, nil] },
            drop: drop(meeting),
            **placed(meeting),
            **own_numbers(meeting),
            **Told::Topics.within(meeting),
            aid: aid_mm(meeting).round,
            **Told::Nouns.of(meeting),
            felt: Told::Nouns.felt(meeting.machine.family),
            in_hand: meeting.caution_effect.in_hand,
            light: Told::Manner.of_working(meeting.caution_effect),
            first: Told::Manner.first_of_range(meeting.caution_effect),
            tempo: Told::Tempo.words(meeting.pace.tempo),
            getting_out: Told::Moves.getting_out(meeting.machine_row, meeting.exercise)
          }
        end

        # At the advised marks.
        def own_numbers(meeting) = meeting.advice.evaluation.voice.step_numbers.compact

        # How far down the heels go; nil where they do not.
        def drop(meeting)
          deg = own_numbers(meeting)[:drop_deg] or return
          deg.positive? ? say(:drop, :to, { deg: deg }) : say(:drop, :level, {})
        end

        def placed(meeting)
          meeting.advised_aids.slice(*Application::Aids::PLACED).to_h { |name, size| [name.to_sym, size.round] }
        end

        # Of what the mechanism adds by itself to this client (mm): a pad under the hips.
        def aid_mm(meeting)
          meeting
            .machine
            .family
            .choices
            .each_value
            .reject { |choice| choice.sought? || choice.placed? }
            .sum { |choice| meeting.advised_aids.fetch(choice.name.to_s, 0.0) }
        end

        # How the adjuster is met: which side, which colour, how it unlocks.
        def handling(meeting, step) = WalkRound.handling(meeting, step.adjuster)[/.+/]

        def notes(meeting, stage)
          case stage
          when :before
            before(meeting)
          when :practise
            Told::Ready.of(meeting)&.fetch(:says).to_a
          when :working
            [*Told::Topics.at(stage, meeting), *slack(meeting), *asides(meeting)]
          when :out
            [*Told::Moves.left_behind(meeting.machine_row)[/.+/]]
          else
            Told::Topics.at(stage, meeting)
          end
        end

        def before(meeting)
          row = meeting.machine_row
          used = Application::Aids.says(Application::Aids.laid(meeting.advised_aids))
          [
            *lightest(meeting),
            *together(meeting),
            *Told::Moves.left_behind(row)[/.+/],
            *used,
            *Told::Moves.getting_in(row, meeting.exercise)[/.+/]
          ]
        end

        def child(meeting) = meeting.safety.plate_asked? ? [say(:child, :note, {})] : []

        # Where a mechanism's own words do not say it: what a caution makes lighter, or shorter.
        def careful(meeting, stage)
          return [] unless Formats::Words.known?("steps.#{stage}_#{meeting.machine.family.mechanism}.do")

          effect = meeting.caution_effect
          stage == :light ? Told::Manner.light(effect) : [*(Told::Manner.half_first if effect.half_first)]
        end

        # Of somebody who was never asked the bar says it.
        def ask_again(meeting)
          asking = meeting.rows.asking
          asking.on && asking.due? ? [Formats::Words.say("cautions.ask_again", day: asking.on.iso8601)] : []
        end

        # As they are meant on this machine.
        def cautions(meeting)
          meeting
            .safety
            .rows
            .map { |row| Told::Caution.line(row, meeting: meeting) }
            .map { |line| "#{Told::Caution.title(line)}: #{line[:does]}" }
        end

        def lightest(meeting)
          light = meeting.rig && Told::Load.one(meeting.rig, meeting.rig.choices.lightest)
          light && light[:kg].positive? &&
            [say(:lightest, :note, { load: light[:text], how: Told::Finding.lower(light[:how]) })]
        end

        # From which share of body mass the lightest that rests on the shoulders is remarked.
        HEAVY_SHARE = 0.75
        private_constant :HEAVY_SHARE

        def heavy(meeting)
          mass = meeting.client[:body_mass_kg]&.to_f
          lightest = meeting.rig && meeting.rig.choices.lightest.mass_kg
          return [] unless meeting.machine.family.tags[:hacks] && mass && lightest && lightest >= HEAVY_SHARE * mass

          [
            say(
              :lightest,
              :heavy,
              {
                load: Told::Load.one(meeting.rig, meeting.rig.choices.lightest)[:text],
                share: (lightest / mass * 100).round
              }
            )
          ]
        end

        def belt(meeting) = Loads.belt(meeting, meeting.fitting&.dig(:work).to_h["load_kg"])&.fetch(:says)

        # Who lies does not sit: words of a mechanism's own, where it has some.
        def own_words(meeting, rule, part)
          own = :"#{part}_#{meeting.machine.family.mechanism}"
          Formats::Words.known?("steps.#{rule}.#{own}") ? own : part
        end

        # The marks were solved together, so that seat, pads and roller need no second round.
        def together(meeting)
          return [] if meeting.bars.any?

          marks =
            (
              if meeting.advice.status
                meeting.advice.adjusters.select(&:mark).map { |one| "#{one.label} #{one.mark}" }
              else
                []
              end
            )
          if marks.size > 1
            [say(:together, own_words(meeting, :together, :note), { marks: marks.join(", ").sub(/\A./, &:upcase) })]
          else
            []
          end
        end

        # One leg at a time, and what else is done on the machine.
        def asides(meeting)
          at = meeting.advice.evaluation
          return [] if meeting.bars.any? || meeting.advice.status.nil? || at.findings.any?(&:fault)

          one_leg = Told::Manner.ways(meeting.machine.family).include?(:one_leg) && meeting.machine_row[:one_leg]
          one_leg &&= !meeting.caution_effect.without.include?(:one_leg)
          [*(say(:one_leg, :note, {}) if one_leg), *at.voice.asides.map { |says| Formats::Words.of(says) }]
        end

        def slack(meeting)
          from = meeting.machine_row[:slack_from_deg]
          from && meeting.machine.family.tags[:knee_flexion] ? [say(:slack, :note, { deg: from.round })] : []
        end

        def say(rule, part, numbers) = Formats::Words.say("steps.#{rule}.#{part}", **numbers)
        private_class_method :unsafe_else,
                             :cares,
                             :in_words,
                             :child,
                             :cautions,
                             :placing,
                             :placed,
                             :fixed,
                             :variants,
                             :in_own_words,
                             :own,
                             :numbers,
                             :aid_mm,
                             :handling,
                             :notes,
                             :before,
                             :lightest,
                             :heavy,
                             :belt,
                             :own_words,
                             :own_numbers,
                             :drop,
                             :ask_again,
                             :careful,
                             :together,
                             :asides,
                             :slack,
                             :say
      end
    end
  end
end
