# frozen_string_literal: true

module Verglas
  module Guidance
    # What a client's cautions do on a machine: bar it until a clinician has cleared them, narrow the range of a joint or what is
    # aimed at, change how one works. By what a family loads (its tags): a family that does not answer what a caution asks is
    # barred by it. It never diagnoses. core/data/cautions.yml
    module Cautions
      # asks, bars: tags, bars [:all] for every family; lifted: what lifts the bar (:cleared, :degrees, :never), degrees_of: of
      # which motion; envelopes: {joint action => Envelope}, :all for every one; until_measured: the same, until a client who is
      # cleared was measured; wishes: {joint action => wishes}; schools: {question => school};
      # careful: half of the usual light set and of the first repetition; belt: :always or :never, nil as the
      # rule has it; no_holds, under_belt_load as in the table.
      # always_wishes: the wishes in any case, uncleared_wishes: until cleared; less: {joint action => {wish => what is taken off it}}; bars_uncleared,
      # bars_without_degrees: tags barred until cleared, or until degrees were given, whatever lifts the others; without: choices that are not
      # offered; without_uncleared: what is not done until cleared.
      Rule = Value.define(:name, :sided, :asks, :bars, :bars_uncleared, :bars_without_degrees, :lifted, :degrees_of, :envelopes, :until_measured, :wishes, :always_wishes,
                          :uncleared_wishes, :less, :without, :without_uncleared, :schools, :careful, :belt, :no_holds, :under_belt_load) do
        def bars?(family) = bars.include?(:all) || bars.any? { |tag| family.tags[tag] }
        def bars_uncleared?(family) = bars_uncleared.any? { |tag| family.tags[tag] }
        def bars_without_degrees?(family) = bars_without_degrees.any? { |tag| family.tags[tag] }

        # Whether the family says, yes or no, all that the caution asks of it.
        def answered_by?(family) = asks.all? { |tag| family.tags.key?(tag) }
      end

      # One caution of a client: cleared by a clinician or not, with the degrees (Envelope) and the load (kg) that were allowed
      # (nil: none given).
      Caution = Value.define(:name, :cleared, :degrees, :load_to_kg)

      # bars: names of the cautions that bar the machine; envelope, and narrowed_by: {motion => names}, whose figures hold there;
      # wishes by the names of Wishes; schools: {question => school} with which the client is spared something; belt: one that
      # must not be worn before one that must; load_limit_kg: the least that a clinician allowed, nil for none.
      # less: {wish => what is taken off it}; without: choices that are not offered.
      Effect = Value.define(:bars, :unanswered, :envelope, :wishes, :less, :without, :schools, :careful, :belt, :no_holds, :under_belt_load, :load_limit_kg) do
        def barred? = bars.any?
      end

      FLAGS = %i[careful no_holds under_belt_load].freeze

      # A row of the table.
      module Rows
        module_function

        def rule(row)
          names = ->(key) { row.fetch(key, []).map(&:to_sym) }
          Rule.new(name: row[:name].to_sym, sided: row.fetch(:sided, false), asks: names.call(:asks), bars: names.call(:bars), bars_uncleared: names.call(:bars_uncleared),
                   bars_without_degrees: names.call(:bars_without_degrees), uncleared_wishes: wishes(row, :uncleared_wishes),
                   without: names.call(:without), without_uncleared: names.call(:without_uncleared), always_wishes: wishes(row, :always_wishes), less: wishes(row, :less),
                   lifted: row.fetch(:until, :never).to_sym,
                   degrees_of: row[:degrees_of]&.to_sym, wishes: wishes(row, :wishes), envelopes: envelopes(row, :envelope),
                   until_measured: envelopes(row, :until_measured),
                   schools: row.fetch(:schools, {}).transform_values(&:to_sym), belt: row[:belt]&.to_sym, **FLAGS.to_h { |flag| [flag, row.fetch(flag, false)] })
        end

        def envelopes(row, key) = row.fetch(key, {}).transform_values { |spans| Body::Envelope.new(spans) }
        def wishes(row, key) = row.fetch(key, {}).transform_values { |wishes| wishes.transform_values(&:to_f) }
        private_class_method :envelopes, :wishes
      end

      RULES = Tables[:cautions][:cautions].to_h { |row| [row[:name].to_sym, Rows.rule(row)] }.freeze

      module_function

      def fetch(name) = RULES.fetch(name.to_s.to_sym) { raise Invalid.new(:unknown_caution, path: "/caution", caution: name.to_s) }

      # What a clinician allows is signed, and of joints that there are. cleared_by: "" for nobody; cleared_on: nil where nobody did; degrees:
      # {"motion" => [from, to]}. Raises Invalid.
      def check_word(cleared_by:, cleared_on:, degrees:, load_to_kg:)
        degrees.each { |motion, span| check_span(motion, *span) }
        raise Invalid.new(:clearance_unsigned, path: cleared_by.empty? ? "/cleared_by" : "/cleared_on") if cleared_by.empty? != cleared_on.nil?
        raise Invalid.new(:degrees_uncleared, path: "/cleared_by") if (degrees.any? || load_to_kg) && cleared_on.nil?
      end

      def check_span(motion, from, upto)
        raise Invalid.new(:unknown_motion, path: "/degrees/#{motion}") unless Body::Envelope::MOTIONS.include?(motion.to_sym)
        raise Invalid.new(:degrees_reversed, path: "/degrees/#{motion}") if from && upto && from > upto
      end

      # Where two say something of the same wish, the stricter holds, as the family says which it is.
      # cautions: the client's; measured: motions that were; aims: what would be aimed at without them (by the names of Wishes); stricter: names of those with
      # which this gym fits nobody on anything until a clinician has cleared them.
      def effect(family, cautions, aims = {}, measured: [], stricter: [])
        rules = cautions.map { |caution| fetch(caution.name) }
        envelope = cautions.map { |caution| envelope(family, caution, measured) }.inject(Body::Envelope.open, :&)
        Effect.new(bars: bars(family, cautions, stricter), unanswered: rules.reject { |rule| rule.answered_by?(family) }.map(&:name), envelope: envelope,
                   wishes: wishes(family, cautions, aims), less: less(family, rules), without: without(cautions),
                   schools: rules.map(&:schools).inject({}, :merge), belt: belt(rules), load_limit_kg: cautions.filter_map(&:load_to_kg).min,
                   **FLAGS.to_h { |flag| [flag, rules.any?(&flag)] })
      end

      # Whether a school is kept back where nothing computes what cautions leave of it: one of them sets another or takes the holds from a tempo, or the
      # school aims at something. names: of a client's cautions.
      def keep_back?(names, question, school)
        rules = names.map { |name| fetch(name) }
        return false if rules.empty?

        HouseRules.fetch(question).schools.fetch(school, {}).any? ||
          rules.any? { |rule| rule.schools.fetch(question, school) != school || (rule.no_holds && HouseRules::TEMPOS.include?(question)) }
      end

      # What one caution alone narrows. measured: motions that were.
      def envelope(family, caution, measured = [])
        rule = fetch(caution.name)
        open = of_action(rule.until_measured, family).spans.except(*(caution.cleared ? measured : []))
        (of_action(rule.envelopes, family) & Body::Envelope.new(open)).replaced_by(caution.degrees)
      end

      def bars(family, cautions, stricter)
        cautions.select { |caution| barred?(family, caution) || (stricter.include?(caution.name) && !caution.cleared) }.map(&:name)
      end

      def barred?(family, caution)
        rule = fetch(caution.name)
        return true if !rule.answered_by?(family) || (rule.bars_uncleared?(family) && !caution.cleared) || (rule.bars_without_degrees?(family) && !degrees?(rule, caution))
        return false unless rule.bars?(family)

        case rule.lifted
        when :cleared then !caution.cleared
        when :degrees then !degrees?(rule, caution)
        else true
        end
      end

      # Whether a clinician has cleared them with degrees.
      def degrees?(rule, caution) = caution.cleared && caution.degrees[rule.degrees_of] != Body::Envelope::OPEN

      def of_action(by_action, family) = by_action.values_at(:all, family.action).compact.inject(Body::Envelope.open, :&)

      def wishes(family, cautions, aims)
        figures = cautions.flat_map do |caution|
          fetch(caution.name).then do |rule|
            [rule.always_wishes[family.action], (caution.cleared ? rule.wishes : rule.uncleared_wishes)[family.action]]
          end
        end.compact
        figures = figures.map { |wished| wished.slice(*family.wishes.keys) }
        figures.flat_map(&:to_a).group_by(&:first).to_h { |name, said| [name, family.wishes.fetch(name).stricter_of([aims[name], *said.map(&:last)].compact)] }
      end

      def without(cautions)
        cautions.flat_map { |caution| fetch(caution.name).then { |rule| [*rule.without, *(rule.without_uncleared unless caution.cleared)] } }.uniq
      end

      # The most that any of them takes off.
      def less(family, rules)
        rules.filter_map { |rule| rule.less[family.action] }.inject({}) { |all, one| all.merge(one) { |_, mine, theirs| [mine, theirs].max } }.slice(*family.wishes.keys)
      end

      def belt(rules) = rules.filter_map(&:belt).min_by { |worn| %i[never always].index(worn) }
      private_class_method :check_span, :bars, :barred?, :degrees?, :of_action, :wishes, :less, :without, :belt
    end
  end
end
