# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A client's cautions: what they are, who cleared them, what they do.
      module Cautions
        module_function

        def page(gym, client)
          { client: Client.summary(client), cautions: gym.cautions.of(client[:id]).map { |row| one(row) }, removed: gym.cautions.removed(client[:id]).map { |row| removed(row) },
            kinds: kinds, motions: motions }
        end

        # With its note: for the page where it is written.
        def one(row)
          { **line(row), since: row[:since]&.iso8601, note: row[:note], version: row[:version], by: row[:by_name] }
        end

        # Taken out: by whom, when and why.
        def removed(row)
          { **line(row), version: row[:version], removed_by: row[:removed_by_name], removed_at: Views.time(row[:removed_at]), reason: row[:removal] }
        end

        # Without its note: for card and bench. What it does, and whose word it defers to.
        def line(row)
          { name: row[:caution], title: words(row[:caution], :title), does: words(row[:caution], :does), side: row[:side], cleared: !row[:cleared_on].nil?,
            cleared_by: row[:cleared_by], cleared_on: row[:cleared_on]&.iso8601, degrees: degrees(row), load_to_kg: row[:load_to_kg]&.to_f }
        end

        # What a clinician allows, joint by joint.
        def degrees(row)
          row[:degrees].map do |motion, (from, upto)|
            words = [*(Formats::Words.say("motions.from", deg: from.round) if from), *(Formats::Words.say("motions.to", deg: upto.round) if upto)]
            { motion: motion, from: from, to: upto, says: "#{Formats::Words.say("motions.#{motion}")} #{words.join(" ")}" }
          end
        end

        # Every caution, and whether the gym is stricter with it.
        def of_gym(gym)
          stricter = gym.cautions.stricter
          kinds.map { |kind| kind.merge(stricter: stricter.include?(kind[:name].to_s)) }
        end

        def kinds
          Verglas::Fitting::Cautions::RULES.each_value.map { |rule| { name: rule.name, title: words(rule.name, :title), does: words(rule.name, :does), sided: rule.sided, motion: rule.degrees_of } }
        end

        def motions = Verglas::Fitting::Envelope::MOTIONS.map { |motion| { name: motion, title: Formats::Words.say("motions.#{motion}") } }

        # On a bench: what bars the machine, and what is narrowed.
        def on_bench(bench)
          { cautions: bench.safety.rows.map { |row| line(row) }, bars: bars(bench), narrowed: narrowed(bench) }
        end

        # Why nobody with these cautions, or so heavy, or so young, is fitted on the machine.
        def bars(bench) = of_family(bench.safety, bench.machine.family)
        def of_family(safety, family) = safety.bars(family).map { |code, params| bar(code, params, family) }

        # The table's bar, or the gym's own, which is stricter.
        def bar(code, params, family)
          return Formats::Words.say("barred.#{code}", **params) unless (rule = Verglas::Fitting::Cautions::RULES[code])

          Formats::Words.say("barred.#{lifted(rule, family)}", caution: words(code, :title), motion: rule.degrees_of && Formats::Words.say("motions.#{rule.degrees_of}").downcase)
        end

        def lifted(rule, family)
          return :unanswered unless rule.answered_by?(family)

          rule.bars?(family) ? rule.lifted : :by_the_gym
        end

        # What cautions and what was measured change here, each said to be of its own source; nil where they change nothing.
        def narrowed(bench)
          parts = { cautions: by_cautions(bench), measured: by_measure(bench) }.reject { |_, changes| changes.empty? }
          return if parts.empty?

          parts.map { |source, changes| Formats::Words.say("narrowed.#{source}", what: changes.join(", ")) }.join(" ")
        end

        def by_cautions(bench)
          effect = bench.caution_effect
          [*knee(effect.envelope[:knee_flexion]), *effect.wishes.map { |name, value| Formats::Words.say("narrowed.#{name}", value: value.round) },
           *bench.spared.map { |question| school(question, bench.rules[question]) if told?(question, bench) }].compact
        end

        # Only an end that is stricter than the cautions have it already.
        def by_measure(bench)
          own, all = [bench.caution_effect.envelope, bench.envelope].map { |envelope| envelope[:knee_flexion] }
          knee(all.zip(own).map { |deg, before| deg == before ? nil : deg })
        end

        def knee(ends)
          from, upto = ends.map { |deg| deg&.round }
          return [] unless from || upto

          key = from && upto ? :knee_both : (from ? :knee_from : :knee_to) # rubocop:disable Style/NestedTernaryOperator
          [Formats::Words.say("narrowed.#{key}", from: from, to: upto)]
        end

        # A school that no number tells, on this family.
        def told?(question, bench)
          rule = Verglas::Fitting::HouseRules.fetch(question)
          rule.asked_of?(bench.machine.family) && rule.schools.values.none?(&:any?)
        end

        def school(question, school)
          [Formats::Words.say("house_rules.#{question}.title"), Finding.lower(Formats::Words.say("house_rules.#{question}.schools.#{school}.title"))].join(": ").sub(/\A./, &:downcase)
        end

        def words(name, part) = Formats::Words.say("cautions.#{name}.#{part}")
        private_class_method :kinds, :motions, :removed, :degrees, :bar, :lifted, :narrowed, :by_cautions, :by_measure, :knee, :told?, :school, :words
      end
    end
  end
end
