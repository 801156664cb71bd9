# frozen_string_literal: true

module Verglas
  module Guidance
    # What a client's cautions do on a machine: bar it until a clinician has spoken, narrow the range of a joint or what
    # is aimed at, change how one works. By what a family loads (its tags): a family that does not answer what a caution
    # asks is barred by it. It never diagnoses. core/data/cautions.yml
    module Cautions
      # One caution of a client: cleared by a clinician or not, with the degrees (Envelope), the load (kg, nil: none)
      # and the exercises (ids of families) that were allowed by name; joint: of which one, nil where it is not asked or
      # not known.
      Caution =
        Value.define(:name, :cleared, :degrees, :load_to_kg, :named, :joint) do
          def self.of(name, cleared: false, degrees: Body::Envelope.open, load_to_kg: nil, named: [], joint: nil)
            new(name: name, cleared: cleared, degrees: degrees, load_to_kg: load_to_kg, named: named, joint: joint)
          end
        end

      # What keeps somebody off: a caution, until what (UNTIL of CautionRule; :unanswered, :by_the_gym), and of which
      # motion degrees are asked for.
      Bar = Value.define(:caution, :until, :motion)

      # One sentence of how one works because of a caution; stop: whether it ends the set or the day; plates: said where
      # plates are loaded only.
      Told = Value.define(:caution, :key, :plates, :stop)

      # What a word can ask for that a caution forbids, beside moving a joint: to hold, to grip, to wear a lap belt.
      SPARED = %i[holds grip belt].freeze

      # envelope: what the cautions' figures and a clinician's degrees leave; wishes by the names of Wishes; less: {wish
      # => what is taken off it}; schools: {question => school} with which the client is spared something; without:
      # choices and ways that are not offered; belt: one that must not be worn before one that must; load_limit_kg: the
      # least that a clinician allowed; light_share: of the usual light set, in_hand: repetitions, rest_s: seconds at
      # least (each nil for none); cautioned: joints that a caution is on.
      Effect =
        Value.define(
          :bars,
          :envelope,
          :wishes,
          :less,
          :without,
          :schools,
          :light_share,
          :half_first,
          :belt,
          :no_holds,
          :no_timed,
          :under_belt_load,
          :in_hand,
          :rest_s,
          :load_limit_kg,
          :told,
          :cautioned
        ) do
          def barred? = bars.any?

          # What is kept from the client, words too: joints that a caution is on, and of SPARED.
          def spared
            [
              *cautioned,
              *(:holds if no_holds || in_hand),
              *(:grip if schools[:grip] == :light),
              *(:belt if belt == :never)
            ]
          end

          # Of what some cautions do, what holds beside the others of the same client; whole: the Effect of all of them.
          # A figure that another makes stricter is not said, nor a belt that another forbids.
          def beside(whole)
            with(
              envelope: envelope.kept_in(whole.envelope),
              wishes: wishes.select { |name, value| whole.wishes[name] == value },
              less: less.select { |name, deg| whole.less[name] == deg },
              schools: schools.select { |question, school| whole.schools[question] == school },
              **%i[belt light_share in_hand rest_s].to_h { |name| [name, (self[name] if self[name] == whole[name])] }
            )
          end

          # Whether anything but the usual is asked at a light set.
          def careful? = half_first || !light_share.nil?
        end

      RULES = Tables[:cautions][:cautions].map { |row| CautionRule.of(row) }.to_h { |rule| [rule.name, rule] }.freeze

      module_function

      def fetch(name)
        RULES.fetch(name.to_s.to_sym) { raise Invalid.new(:unknown_caution, path: "/caution", caution: name.to_s) }
      end

      # What a clinician allows is signed, and of joints and exercises that there are. cleared_by: "" for nobody;
      # cleared_on: nil where nobody did; degrees: {"motion" => [from, to]}; named: ids of families. Raises Invalid.
      def check_word(cleared_by:, cleared_on:, degrees:, load_to_kg:, named: [])
        degrees.each { |motion, span| check_span(motion, *span) }
        named.each_with_index { |id, index| check_named(id, index) }
        if cleared_by.empty? != cleared_on.nil?
          raise Invalid.new(:clearance_unsigned, path: cleared_by.empty? ? "/cleared_by" : "/cleared_on")
        end
        return unless (degrees.any? || load_to_kg || named.any?) && cleared_on.nil?
        raise Invalid.new(:degrees_uncleared, path: "/cleared_by")
      end

      # Where two say something of the same wish, the stricter holds, as the family says which it is. cautions: the
      # client's; measured: motions that were; aims: what would be aimed at without them (by the names of Wishes);
      # stricter: names of those with which this gym fits nobody on anything until a clinician has cleared them;
      # low_seat: whether the seat is lower than the crease of the knee, or may be.
      def effect(family, cautions, aims = {}, measured: [], stricter: [], low_seat: false)
        every = cautions.flat_map { |caution| with_its_rules(caution) }
        rules = every.map(&:last)
        Effect.new(
          bars: bars(family, every, stricter, low_seat),
          envelope:
            every.map { |caution, rule| envelope(family, caution, measured, rule) }.inject(Body::Envelope.open, :&),
          wishes: wishes(family, every, aims),
          less: less(family, rules),
          without: rules.flat_map(&:without).uniq,
          schools: rules.map(&:schools).inject({}, :merge),
          **manner(every, family),
          load_limit_kg: cautions.filter_map(&:load_to_kg).min,
          told: every.flat_map { |caution, rule| told(caution, rule, family) }.uniq,
          cautioned: cautioned(cautions)
        )
      end

      # Whether a school is kept back where nothing computes what cautions leave of it: one of them sets another or
      # takes the holds from a tempo, or the school aims at something. names: of a client's cautions.
      def keep_back?(names, question, school)
        rules = names.flat_map { |name| [name, *fetch(name).as_cleared] }.map { |name| fetch(name) }
        return false if rules.empty?

        HouseRules.fetch(question).schools.fetch(school, {}).any? ||
          rules.any? do |rule|
            rule.schools.fetch(question, school) != school || (rule.no_holds && HouseRules::TEMPOS.include?(question))
          end
      end

      # What one caution alone narrows. measured: motions that were.
      def envelope(family, caution, measured = [], rule = fetch(caution.name))
        span = ->(table) { rule.of_action(table, family).inject(Body::Envelope.open, :&) }
        open = span[rule.until_measured].spans.except(*(caution.cleared ? measured : []))
        (span[rule.envelope] & Body::Envelope.new(open)).replaced_by(caution.degrees)
      end

      def check_span(motion, from, upto)
        unless Body::Envelope::MOTIONS.include?(motion.to_sym)
          raise Invalid.new(:unknown_motion, path: "/degrees/#{motion}")
        end
        raise Invalid.new(:degrees_reversed, path: "/degrees/#{motion}") if from && upto && from > upto
      end

      def check_named(id, index)
        Machines::Families.of_exercise(id)
      rescue Invalid
        raise Invalid.new(:unknown_family, path: "/named/#{index}")
      end

      # [[caution, rule], ...]: its own row, and another's once it is cleared.
      def with_its_rules(caution)
        own = fetch(caution.name)
        other = own.as_cleared if caution.cleared
        [[caution, own], *(other && [[caution, fetch(other)]])]
      end

      def bars(family, every, stricter, low_seat)
        every.flat_map do |caution, rule|
          found =
            rule.bars.select do |bar|
              bar.on?(family, joint: caution.joint, low_seat: low_seat) && bar.stands?(caution, family)
            end
          said =
            found.map do |bar|
              Bar.new(caution: caution.name, until: bar.or_degrees ? :degrees_or_named : bar.until, motion: bar.motion)
            end
          said = [Bar.new(caution: caution.name, until: :unanswered, motion: nil)] unless rule.answered_by?(family)
          if said.empty? && stricter.include?(caution.name) && !caution.cleared
            [Bar.new(caution: caution.name, until: :by_the_gym, motion: nil)]
          else
            said
          end
        end
      end

      def wishes(family, every, aims)
        figures =
          every.flat_map do |caution, rule|
            [
              *rule.of_action(rule.wishes, family),
              *(rule.of_action(rule.uncleared_wishes, family) unless caution.cleared)
            ]
          end
        figures = figures.map { |wished| wished.slice(*family.wishes.keys) }
        figures
          .flat_map(&:to_a)
          .group_by(&:first)
          .to_h { |name, said| [name, family.wishes.fetch(name).stricter_of([aims[name], *said.map(&:last)].compact)] }
      end

      # The most that any of them takes off.
      def less(family, rules)
        rules
          .flat_map { |rule| rule.of_action(rule.less, family) }
          .inject({}) { |all, one| all.merge(one) { |_, mine, theirs| [mine, theirs].max } }
          .slice(*family.wishes.keys)
      end

      # How one works: of each the strictest. What goes easy on a joint does so where that joint is loaded.
      def manner(every, family)
        rules = every.map(&:last)
        belt = belt(every)
        always = {
          no_holds: rules.any?(&:no_holds),
          no_timed: rules.any?(&:no_timed),
          in_hand: rules.filter_map(&:in_hand).max,
          rest_s: rules.filter_map(&:rest_s).max
        }
        easier(rules.select { |rule| rule.loads?(family) }).merge(
          always,
          belt: belt,
          under_belt_load: belt == :never || rules.any?(&:under_belt_load)
        )
      end

      def easier(rules) = { light_share: rules.filter_map(&:light_share).min, half_first: rules.any?(&:half_first) }

      def belt(every)
        worn = every.flat_map { |caution, rule| [rule.belt, (rule.belt_uncleared unless caution.cleared)] }
        worn.compact.min_by { |one| %i[never always].index(one) }
      end

      def told(caution, rule, family)
        said =
          rule
            .told
            .select { |one| one.on?(family) }
            .map { |one| Told.new(caution: caution.name, key: one.key, plates: one.plates, stop: false) }
        [*said, *rule.stop.map { |key| Told.new(caution: caution.name, key: key, plates: false, stop: true) }]
      end

      # By the row's joint, by the joint that was said, and by the motions of which degrees were given.
      def cautioned(cautions)
        cautions
          .flat_map do |caution|
            [
              fetch(caution.name).of,
              caution.joint,
              *caution.degrees.spans.keys.map { |motion| motion.to_s[/[a-z]+/].to_sym }
            ]
          end
          .compact
          .uniq
      end
      private_class_method :check_span,
                           :check_named,
                           :with_its_rules,
                           :bars,
                           :wishes,
                           :less,
                           :manner,
                           :easier,
                           :belt,
                           :told,
                           :cautioned
    end
  end
end
