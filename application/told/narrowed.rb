# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # What cautions and measured limits change on a machine, as phrases: of all of them together, or of one.
      module Narrowed
        module_function

        # effect: Guidance::Cautions::Effect; spared: questions whose school it sets, rules: {question => school}.
        def by_cautions(effect, family)
          [
            *moving(family).flat_map { |motion| range(motion, effect.envelope[motion]) },
            *effect.wishes.map { |name, value| words(name, value: value.round) },
            *effect.less.map { |name, deg| words(:"less_#{name}", value: deg.round) }
          ]
        end

        # The same of schools, in sentences: as it is said of how one works, where it is.
        def schools(family, spared:, rules:)
          spared.select { |question| told?(question, family) }.map { |question| school(question, rules[question]) }
        end

        # All of it in sentences, nothing where nothing is changed.
        def says(effect, family, rules)
          changes = by_cautions(effect, family)
          said = changes.empty? ? [] : [words(:here, what: changes.join(", ")).sub(/\A./, &:upcase)]
          [*said, *schools(family, spared: effect.schools.keys, rules: { **rules, **effect.schools })]
        end

        # Only an end that is stricter than the cautions have it already. whole: with what was measured.
        def by_measure(effect, family, whole)
          moving(family).flat_map do |motion|
            own, all = [effect.envelope, whole].map { |envelope| envelope[motion] }
            range(motion, all.zip(own).map { |deg, before| deg == before ? nil : deg })
          end
        end

        # Motions of a machine of which a range is told.
        def moving(family) = (Body::Envelope::MOTIONS & family.joints.each_value.reject(&:held?).map(&:motion))

        def range(motion, ends)
          told = { from: ends.first&.round, to: ends.last&.round }.compact
          return [] if told.empty?

          level = LEVEL[motion] if told.keys == [:to] && !told[:to].positive?
          return [words(told[:to].zero? ? level.first : level.last, to: -told[:to])] if level

          [Formats::Words.say("narrowed.#{motion}_#{told.keys.join("_")}", **told)]
        end

        # Where an upper end is nothing, or less: [no further than that, not so far].
        LEVEL = {
          heel_drop: %i[heels_level heels_level],
          hip_extension: %i[hip_extension_straight hip_extension_short],
          hip_adduction: %i[hip_adduction_middle hip_adduction_short]
        }.freeze
        private_constant :LEVEL

        # The ends of a movement are told as a range.
        ENDS = %i[start_bend_deg end_bend_deg target_bend_deg].freeze
        private_constant :ENDS

        # A school that no number tells, on this family.
        def told?(question, family)
          rule = Guidance::HouseRules.fetch(question)
          rule.asked_of?(family) && !rule.schools.values.flat_map(&:keys).intersect?(ENDS)
        end

        def school(question, school)
          topic = Telling::Topics::ALL.find { |one| one.question == question }
          return Formats::Words.say("topics.#{topic.name}.#{school}") if topic

          title, own =
            [:title, "schools.#{school}.title"].map { |part| Formats::Words.say("house_rules.#{question}.#{part}") }
          "#{title}: #{Finding.lower(own)}."
        end

        def words(name, **numbers) = Formats::Words.say("narrowed.#{name}", **numbers)
        private_class_method :moving, :range, :told?, :school, :words
      end
    end
  end
end
