# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A client's cautions: what they are, who cleared them, what they do.
      module Cautions
        Line = Told::Caution

        # Motions whose range is not told here: how far the heels sink is told as the end of the movement.
        TOLD_AS_AN_END = %i[heel_drop].freeze

        module_function

        def page(gym, client)
          { client: Client.summary(client), cautions: gym.cautions.of(client[:id]).map { |row| one(row) }, removed: gym.cautions.removed(client[:id]).map { |row| removed(row) },
            kinds: kinds, motions: motions }
        end

        # With its note: for the page where it is written.
        def one(row)
          { **Line.line(row), since: row[:since]&.iso8601, note: row[:note], version: row[:version], by: row[:by_name] }
        end

        # Taken out: by whom, when and why.
        def removed(row)
          { **Line.line(row), version: row[:version], removed_by: row[:removed_by_name], removed_at: Told.time(row[:removed_at]), reason: row[:removal] }
        end

        # Every caution, and whether the gym is stricter with it.
        def of_gym(gym)
          stricter = gym.cautions.stricter
          kinds.map { |kind| kind.merge(stricter: stricter.include?(kind[:name].to_s)) }
        end

        def kinds
          Verglas::Guidance::Cautions::RULES.each_value.map { |rule| { name: rule.name, title: words(rule.name, :title), does: words(rule.name, :does), sided: rule.sided, motion: rule.degrees_of } }
        end

        def motions = Verglas::Body::Envelope::MOTIONS.map { |motion| { name: motion, title: Formats::Words.say("motions.#{motion}") } }

        # On a meeting: what bars the machine, and what is narrowed.
        def on_bench(meeting)
          { cautions: meeting.safety.rows.map { |row| Line.line(row, action: meeting.machine.family.action) }, bars: bars(meeting), narrowed: narrowed(meeting) }
        end

        # Why nobody with these cautions, or so heavy, or so young, is fitted on the machine.
        def bars(meeting) = of_family(meeting.safety, meeting.machine.family)
        def of_family(safety, family) = safety.bars(family).map { |code, params| bar(code, params, family) }

        # The table's bar, or the gym's own, which is stricter.
        def bar(code, params, family)
          return Formats::Words.say("barred.#{code}", **params) unless (rule = Verglas::Guidance::Cautions::RULES[code])

          Formats::Words.say("barred.#{lifted(rule, family)}", caution: words(code, :title), motion: rule.degrees_of && Formats::Words.say("motions.#{rule.degrees_of}").downcase)
        end

        def lifted(rule, family)
          return :unanswered unless rule.answered_by?(family)

          if rule.bars?(family) then rule.bars_without_degrees?(family) ? :degrees : rule.lifted
          else
            rule.bars_uncleared?(family) ? :cleared : :by_the_gym
          end
        end

        # What cautions and what was measured change here, each said to be of its own source; nil where they change nothing.
        def narrowed(meeting)
          parts = { cautions: by_cautions(meeting), measured: by_measure(meeting) }.reject { |_, changes| changes.empty? }
          return if parts.empty?

          parts.map { |source, changes| Formats::Words.say("narrowed.#{source}", what: changes.join(", ")) }.join(" ")
        end

        def by_cautions(meeting)
          effect = meeting.caution_effect
          [*moving(meeting).flat_map { |motion| range(motion, effect.envelope[motion]) }, *effect.wishes.map { |name, value| words_of(name, value) },
           *effect.less.map { |name, deg| words_of(:"less_#{name}", deg) }, *meeting.spared.map { |question| school(question, meeting.rules[question]) if told?(question, meeting) }].compact
        end

        # Only an end that is stricter than the cautions have it already.
        def by_measure(meeting)
          moving(meeting).flat_map do |motion|
            own, all = [meeting.caution_effect.envelope, meeting.envelope].map { |envelope| envelope[motion] }
            range(motion, all.zip(own).map { |deg, before| deg == before ? nil : deg })
          end
        end

        # Motions of this machine of which a range is told.
        def moving(meeting)
          joints = meeting.machine.family.joints.each_value.select { |joint| joint.held_deg.nil? }.map(&:motion)
          (Verglas::Body::Envelope::MOTIONS & joints) - TOLD_AS_AN_END
        end

        def range(motion, ends)
          from, upto = ends.map { |deg| deg&.round }
          return [] unless from || upto

          key = [(:from if from), (:to if upto)].compact.join("_")
          [Formats::Words.say("narrowed.#{motion}_#{key}", from: from, to: upto)]
        end

        def words_of(name, value) = Formats::Words.say("narrowed.#{name}", value: value.round)

        # A school that no number tells, on this family.
        def told?(question, meeting)
          rule = Verglas::Guidance::HouseRules.fetch(question)
          rule.asked_of?(meeting.machine.family) && rule.schools.values.none?(&:any?)
        end

        def school(question, school)
          [Formats::Words.say("house_rules.#{question}.title"), Told::Finding.lower(Formats::Words.say("house_rules.#{question}.schools.#{school}.title"))].join(": ").sub(/\A./, &:downcase)
        end

        def words(name, part) = Line.words(name, part)
        private_class_method :kinds, :motions, :removed, :bar, :lifted, :narrowed, :by_cautions, :by_measure, :moving, :range, :words_of, :told?, :school, :words
      end
    end
  end
end
