# frozen_string_literal: true

module Verglas
  module Fitting
    # What a client's cautions do on a machine: bar it until a clinician has cleared them, narrow what is aimed at, or ask for
    # words. It never diagnoses. core/data/cautions.yml
    module Cautions
      # bars: families, [:all] for every one; lifted: what lifts the bar (:cleared, :degrees, :never); cleared, always: {family
      # => wishes}; careful: half of the usual light set and of the first repetition; belt: :always or :never, nil as the rule has it
      Rule = Value.define(:name, :sided, :bars, :lifted, :cleared, :always, :careful, :belt) do
        def bars?(family) = bars.include?(:all) || bars.include?(family.id)
      end

      # One caution of a client: cleared by a clinician or not, with the degrees of knee bend and the load (kg) that were allowed
      # (nil: none given).
      Caution = Value.define(:name, :cleared, :bend_from_deg, :bend_to_deg, :load_to_kg) do
        def degrees? = !bend_from_deg.nil? || !bend_to_deg.nil?
      end

      # bars: names of the cautions that bar the machine; wishes: what they narrow, by the names of Wishes; careful and belt as
      # in Rule, a belt that must not be worn before one that must; load_limit_kg: the least that a clinician allowed, nil for none.
      Effect = Value.define(:bars, :wishes, :careful, :belt, :load_limit_kg) do
        def barred? = bars.any?
      end

      RULES = Tables[:cautions][:cautions].to_h do |row|
        by_family = ->(key) { row.fetch(key, {}).transform_values { |wishes| wishes.transform_values(&:to_f) } }
        name = row[:name].to_sym
        [name, Rule.new(name: name, sided: row.fetch(:sided, false), bars: row.fetch(:bars, []).map(&:to_sym), lifted: row.fetch(:until, :never).to_sym,
                        cleared: by_family.call(:cleared), always: by_family.call(:always), careful: row.fetch(:careful, false), belt: row[:belt]&.to_sym)]
      end.freeze

      # Where two say something of the same wish, the stricter holds.
      STRICTER = { knee_bend_limit_deg: :min, start_bend_deg: :min, end_short_deg: :max, contact_above_ankle_mm: :max }.freeze

      module_function

      def fetch(name) = RULES.fetch(name.to_s.to_sym) { raise Invalid.new(:unknown_caution, path: "/caution", caution: name.to_s) }

      # cautions: the client's; wishes: what would be aimed at without them (a Hash by the names of Wishes); stricter: names of
      # those with which this gym fits nobody on anything until a clinician has cleared them.
      def effect(family, cautions, wishes, stricter: [])
        rules = cautions.map { |caution| fetch(caution.name) }
        Effect.new(bars: cautions.select { |caution| barred?(family, caution) || (stricter.include?(caution.name) && !caution.cleared) }.map(&:name),
                   wishes: narrowed(family, cautions, wishes), careful: rules.any?(&:careful), belt: belt(rules), load_limit_kg: cautions.filter_map(&:load_to_kg).min)
      end

      def narrowed(family, cautions, wishes)
        narrowings = cautions.map { |caution| narrowing(family, caution) }.inject({}) { |held, one| narrower(held, one) }
        narrowings.to_h { |name, value| [name, wishes[name] ? [wishes[name], value].public_send(STRICTER.fetch(name)) : value] }
      end

      def barred?(family, caution)
        rule = fetch(caution.name)
        return false unless rule.bars?(family)

        case rule.lifted
        when :cleared then !caution.cleared
        when :degrees then !(caution.cleared && caution.degrees?)
        else true
        end
      end

      # A clinician's degrees replace the table's figures.
      def narrowing(family, caution)
        rule = fetch(caution.name)
        own = { knee_bend_limit_deg: caution.bend_to_deg, end_short_deg: caution.bend_from_deg }.compact
        table = caution.cleared ? rule.cleared.fetch(family.id, {}) : {}
        narrower(rule.always.fetch(family.id, {}), caution.degrees? ? own.merge(start_wish(family, own)) : table)
      end

      # A start that would lie beyond the allowed bend begins at it.
      def start_wish(family, own)
        limit = own[:knee_bend_limit_deg]
        limit && limit < family.wanted.fetch(:start_bend_deg, 0) ? { start_bend_deg: limit } : {}
      end

      def belt(rules) = rules.filter_map(&:belt).min_by { |worn| %i[never always].index(worn) }
      def narrower(one, other) = one.merge(other) { |name, *values| values.public_send(STRICTER.fetch(name)) }
      private_class_method :narrowed, :barred?, :belt, :narrowing, :start_wish, :narrower
    end
  end
end
