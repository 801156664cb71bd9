# frozen_string_literal: true

module Verglas
  module Guidance
    # A row of core/data/cautions.yml: what one caution does, as the table says it. What the table does not know, or names and nothing has, keeps the row
    # from loading (ArgumentError).
    CautionRule = Value.define(:name, :asked, :sided, :joints, :of, :asks, :bars, :degrees_of, :envelope, :until_measured, :less, :wishes, :uncleared_wishes, :schools, :without,
                               :without_uncleared, :belt, :belt_uncleared, :light_share, :half_first, :no_holds, :no_timed, :under_belt_load, :in_hand, :rest_s, :as_cleared, :told,
                               :stop) do
      def self.read(row)
        refuse_unknown(row, members + [:source])
        new(**members.to_h { |member| [member, CautionRule::READERS.fetch(member, ->(value) { value }).call(row.fetch(member, CautionRule::NOTHING[member]))] })
      end

      def self.refuse_unknown(row, known)
        unknown = row.keys - known
        raise ArgumentError, "#{row[:name] || row} says what no caution says: #{unknown.join(", ")}" if unknown.any?
      end

      # Asked once every family is registered: what a row names has to be there.
      def admit
        refuse("a tag", [*asks, *bars.flat_map(&:tags), *told.flat_map(&:where)] - CautionRule::TAGS)
        admit_figures
        refuse("a joint", [of].compact - CautionRule::JOINTS.keys)
        schools.each { |question, school| HouseRules.check(question, school) }
        refuse("what ends a bar", bars.map(&:until) - CautionRule::UNTIL)
        refuse("what can be left out", [*without, *without_uncleared] - CautionRule::WAYS - Machines::Families.single.flat_map { |family| family.choices.keys })
      end

      # Whether the family loads the joint that this is of; of no joint: any.
      def loads?(family) = of.nil? || CautionRule::JOINTS.fetch(of).any? { |tag| family.tags[tag] }

      # Whether the family says, yes or no, all that the caution asks of it.
      def answered_by?(family) = asks.all? { |tag| family.tags.key?(tag) }

      # What of a table by action holds for a family, most general first.
      def of_action(table, family) = table.values_at(:all, family.action).compact

      private

      def admit_figures
        aims = [less, wishes, uncleared_wishes]
        refuse("an action", [envelope, until_measured, *aims].flat_map(&:keys) - [:all, *Machines::Declaration::ACTIONS])
        refuse("a wish of any family", aims.flat_map(&:values).flat_map(&:keys) - Machines::Families.single.flat_map { |family| family.wishes.keys })
      end

      def refuse(what, names)
        raise ArgumentError, "caution #{name} names #{names.uniq.join(", ")}, which is not #{what}" if names.any?
      end
    end

    # Its parts, and how each column is read.
    class CautionRule
      # With which tags a family is barred, until what, and of which motion degrees are given.
      Bar = Value.define(:tags, :until, :or_degrees, :motion) do
        def self.read(row)
          CautionRule.refuse_unknown(row, %i[tags until or_degrees motion])
          new(tags: row.fetch(:tags).map(&:to_sym), until: row.fetch(:until).to_sym, or_degrees: row.fetch(:or_degrees, false), motion: row[:motion]&.to_sym)
        end

        # joint: of the client's caution, nil where it is not known; low_seat: whether the seat is one or may be.
        def on?(family, joint:, low_seat:)
          tags.any? do |tag|
            case tag
            when :all then true
            when :low_seat then low_seat
            when :joint then joint.nil? || !JOINTS.key?(joint) || JOINTS.fetch(joint).any? { |loads| family.tags[loads] }
            else family.tags[tag]
            end
          end
        end

        # Whether a client's caution still bars what it bars.
        def stands?(caution, family)
          case self.until
          when :cleared then !caution.cleared
          when :degrees then !degrees?(caution)
          when :named then !(caution.cleared && caution.named.include?(family.id)) && !(or_degrees && degrees?(caution))
          else true
          end
        end

        def degrees?(caution) = caution.cleared && caution.degrees[motion] != Body::Envelope::OPEN
      end

      # One sentence of how one works: on families with one of these tags (none: all), where plates are loaded only.
      Told = Value.define(:key, :where, :plates) do
        def self.read(row)
          CautionRule.refuse_unknown(row, members)
          new(key: row.fetch(:key).to_sym, where: row.fetch(:where, []).map(&:to_sym), plates: row.fetch(:plates, false))
        end

        def on?(family) = where.empty? || where.any? { |tag| family.tags[tag] }
      end

      JOINTS = Tables[:cautions][:joints].to_h { |row| [row[:name].to_sym, row[:tags].map(&:to_sym)] }.freeze
      # Tags that say nothing of a family by themselves.
      CIRCUMSTANCES = %i[all joint low_seat].freeze
      TAGS = [*Machines::Declaration::ASKED, *Machines::Declaration::SAID, *CIRCUMSTANCES].freeze
      # What is done besides, and is no choice of a family.
      WAYS = %i[calf_work one_leg in_turn].freeze
      UNTIL = %i[cleared degrees named asked].freeze
      NOTHING = { asked: true, sided: false, joints: false, asks: [], bars: [], envelope: {}, until_measured: {}, less: {}, wishes: {}, uncleared_wishes: {}, schools: {}, without: [],
                  without_uncleared: [], half_first: false, no_holds: false, no_timed: false, under_belt_load: false, told: [], stop: [] }.freeze
      SYMBOL = ->(name) { name&.to_sym }
      SYMBOLS = ->(names) { names.map(&:to_sym) }
      ENVELOPES = ->(table) { table.transform_values { |spans| Body::Envelope.new(spans) } }
      FIGURES = ->(table) { table.transform_values { |figures| figures.transform_values(&:to_f) } }
      READERS = { name: SYMBOL, of: SYMBOL, degrees_of: SYMBOL, belt: SYMBOL, belt_uncleared: SYMBOL, as_cleared: SYMBOL, asks: SYMBOLS, without: SYMBOLS, without_uncleared: SYMBOLS,
                  stop: SYMBOLS, envelope: ENVELOPES, until_measured: ENVELOPES, less: FIGURES, wishes: FIGURES, uncleared_wishes: FIGURES,
                  schools: ->(schools) { schools.transform_values(&:to_sym) }, bars: ->(rows) { rows.map { |row| Bar.read(row) } },
                  told: ->(rows) { rows.map { |row| Told.read(row) } } }.freeze
      private_constant :SYMBOL, :SYMBOLS, :ENVELOPES, :FIGURES
    end
  end
end
