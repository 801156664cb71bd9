# frozen_string_literal: true

module Verglas
  module Guidance
    # A row of core/data/cautions.yml: what one caution does, as the table says it. What the table does not know, or
    # names and nothing has, keeps the row from loading (ArgumentError).
    CautionRule =
      Value.define(
        :name,
        :asked,
        :sided,
        :joints,
        :of,
        :asks,
        :bars,
        :degrees_of,
        :envelope,
        :until_measured,
        :less,
        :wishes,
        :uncleared_wishes,
        :schools,
        :without,
        :belt,
        :belt_uncleared,
        :light_share,
        :half_first,
        :no_holds,
        :no_timed,
        :under_belt_load,
        :in_hand,
        :rest_s,
        :as_cleared,
        :told,
        :stop
      ) do
        # A row of the table, as its layout has it.
        def self.of(row) = new(**row, **CautionRule::PARTS.to_h { |column, read| [column, read.call(row[column])] })

        # Whether the family loads the joint that this is of; of no joint: any.
        def loads?(family) = of.nil? || CautionRule::JOINTS.fetch(of).any? { |tag| family.tags[tag] }

        # Whether the family says, yes or no, all that the caution asks of it.
        def answered_by?(family) = asks.all? { |tag| family.tags.key?(tag) }

        # What of a table by action holds for a family: of all, of its own action, of one beside which it is done.
        def of_action(table, family) = table.select { |name, _| name == :all || family.tags[name] }.values
      end

    # Its parts, and how each column is read.
    class CautionRule
      # With which tags a family is barred, until what, and of which motion degrees are given.
      Bar =
        Value.define(:tags, :until, :or_degrees, :motion) do
          # joint: of the client's caution, nil where it is not known; low_seat: whether the seat is one or may be.
          def on?(family, joint:, low_seat:)
            tags.any? do |tag|
              case tag
              when :all
                true
              when :low_seat
                low_seat
              when :joint
                joint.nil? || !JOINTS.key?(joint) || JOINTS.fetch(joint).any? { |loads| family.tags[loads] }
              else
                family.tags[tag]
              end
            end
          end

          # Whether a client's caution still bars what it bars.
          def stands?(caution, family)
            case self.until
            when :cleared
              !caution.cleared
            when :degrees
              !degrees?(caution)
            when :named
              !(caution.cleared && caution.named.include?(family.id)) && !(or_degrees && degrees?(caution))
            else
              true
            end
          end

          def degrees?(caution) = caution.cleared && caution.degrees[motion] != Body::Envelope::OPEN
        end

      # One sentence of how one works: on families with one of these tags (none: all), where plates are loaded only.
      Told =
        Value.define(:key, :where, :plates) { def on?(family) = where.empty? || where.any? { |tag| family.tags[tag] } }

      JOINTS = Tables[:cautions][:joints].to_h { |row| row.values_at(:name, :tags) }.freeze
      # Tags that say nothing of a family by themselves.
      CIRCUMSTANCES = %i[all joint low_seat].freeze
      # What is done besides, and is no choice of a family.
      WAYS = %i[one_leg in_turn].freeze
      ENVELOPES = ->(table) { table.transform_values { |spans| Body::Envelope.new(spans) } }
      FIGURES = ->(table) { table.transform_values { |figures| figures.transform_values(&:to_f) } }
      # How a column becomes what it is here.
      PARTS = {
        envelope: ENVELOPES,
        until_measured: ENVELOPES,
        less: FIGURES,
        wishes: FIGURES,
        uncleared_wishes: FIGURES,
        bars: ->(rows) { rows.map { |row| Bar.new(**row) } },
        told: ->(rows) { rows.map { |row| Told.new(**row) } }
      }.freeze
      private_constant :ENVELOPES, :FIGURES
    end
  end
end
