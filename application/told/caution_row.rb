# frozen_string_literal: true

module Verglas
  module Application
    module Told
      # What one caution does on all machines together, as the client's page and the head of a card say it: each
      # sentence is said by what its row does on some kind of machine that it leaves open. Nothing is said that no row
      # does.
      class CautionRow
        SEVERAL = 2
        private_constant :SEVERAL

        # caution: Guidance::Cautions::Caution, cleared or not, with a clinician's degrees and names; among: all of the
        # client's, which may be stricter; stricter: whether this gym fits nobody with it until it is cleared.
        def initialize(caution, among: [caution], stricter: false)
          @caution = caution
          @among = among
          @stricter = stricter && !caution.cleared
        end

        def says
          said = everything_barred || [*bars, *narrowed, *schools, *counted, *left_out, *manner]
          return said.join(" ") if said.any?

          words(@among.size < SEVERAL ? :cleared_plain : :nothing_beside)
        end

        private

        # Where no machine is left, nothing is said of how one works on it.
        def everything_barred
          bar = standing.find { |one| one.tags.include?(:all) } and return [until_when([bar])]
          [words(:by_the_gym)] if @stricter
        end

        def bars = standing.group_by { |bar| [word(bar), bar.motion] }.each_value.map { |some| until_when(some) }

        # Of all that the row bars, what still stands somewhere.
        def standing
          @standing ||=
            Guidance::Cautions.fetch(@caution.name).bars.select { |bar| families.any? { |family| bars?(bar, family) } }
        end

        def bars?(bar, family)
          bar.on?(family, joint: @caution.joint, low_seat: low_seat?(family)) && bar.stands?(@caution, family)
        end
        def low_seat?(family) = family.constants.key?(:seat_height)
        def word(bar) = bar.or_degrees ? :degrees_or_named : bar.until

        def until_when(bars)
          what = bars.flat_map(&:tags).uniq.map { |tag| keeps_off(tag) }.join(", ")
          motion = bars.first.motion
          capital(
            words(
              "until.#{word(bars.first)}",
              what: what,
              motion: motion && Formats::Words.say("motions.#{motion}").downcase
            )
          )
        end

        def keeps_off(tag)
          return words("keeps_off.#{tag}") unless tag == :joint

          if @caution.joint
            words("keeps_off.this_joint", joint: Formats::Words.say("joints.#{@caution.joint}").downcase)
          else
            words("keeps_off.joint")
          end
        end

        # Ranges and aims, those of the same kinds of machine in one sentence.
        def narrowed
          phrases =
            effects.flat_map do |family, effect|
              Narrowed.by_cautions(effect, family).map { |phrase| [phrase, kind(family)] }
            end
          by_kinds = phrases.group_by(&:first).transform_values { |pairs| pairs.map(&:last).uniq }
          by_kinds
            .group_by(&:last)
            .map { |kinds, said| words(:on_kinds, kinds: list(kinds), what: said.map(&:first).join(", ")) }
        end

        # What machines of a family are called together: by its action, but for one that has a word of its own.
        def kind(family)
          Formats::Words.maybe("cautions.kinds.#{family.id}") || words("kinds.#{family.action}")
        end

        def schools
          effects
            .flat_map { |family, effect| Narrowed.schools(family, spared: effect.schools.keys, rules: effect.schools) }
            .uniq
        end
        def counted = [*effects.each_value.flat_map { |effect| Manner.counted(effect) }.uniq, *belt]

        def belt
          worn = effects.each_value.filter_map(&:belt).uniq.map { |one| Formats::Words.say("allowed.belt_#{one}") }
          [*worn, *(words(:under_belt) if effects.each_value.any?(&:under_belt_load))]
        end

        def left_out
          effects
            .flat_map { |family, effect| effect.without & Manner.ways(family) }
            .uniq
            .map { |name| Formats::Words.say("allowed.without_#{name}") }
        end

        # Which bench or squat comes first is said by name on the machine itself. What ends a set or the day is said
        # last.
        def manner
          ends, goes_on = effects.each_value.flat_map(&:told).uniq(&:key).partition(&:stop)
          [*goes_on, *ends].map do |told|
            Formats::Words.maybe("cautions.first.#{told.key}") || Formats::Words.say("manner.#{told.key}")
          end
        end

        # {family => what of the caution holds on it beside the others}, of those that it leaves open.
        def effects
          @effects ||=
            families
              .to_h { |family| [family, effect(family, [@caution])] }
              .reject { |_, own| own.barred? }
              .to_h { |family, own| [family, @among.size < SEVERAL ? own : own.beside(effect(family, @among))] }
        end

        def effect(family, cautions) = Guidance::Cautions.effect(family, cautions)
        def families = Machines::Families.single
        def list(names)
          names.size < SEVERAL ? names.join : words(:and, first: names[..-2].join(", "), last: names.last)
        end
        def capital(text) = text.sub(/\A./, &:upcase)
        def words(key, **params) = Formats::Words.say("cautions.#{key}", **params)
      end
    end
  end
end
