# frozen_string_literal: true

module Verglas
  module Planning
    # Which settings should be looked at again, and why: rules as data (core/data/refits.yml), each asked of what is
    # known of a card.
    module Refits
      # What is known of a client's settings on a machine. months: since they were accepted; years: of age, nil where
      # not known; notches: how far the advice has moved, nil where nothing was read since; load_ratio: what is lifted
      # now to what was lifted first, nil where not known; visits, whole_visits: how many, and with the whole range;
      # checkable, checked: whether the fit can be, was seen by eye.
      Card =
        Value.define(
          :months,
          :years,
          :notches,
          :load_ratio,
          :visits,
          :whole_visits,
          :caution_changed,
          :sent_back,
          :redescribed,
          :checkable,
          :checked
        )
      # numbers: for the words.
      Reason = Struct.new(:name, :numbers)

      ROWS = Tables[:refits][:rules].to_h { |row| [row[:name], row.except(:name)] }.freeze
      # Each answers the numbers of its words, nil where it does not hold.
      HOLDS = {
        caution_changed: ->(card, _) { {} if card.caution_changed },
        sign_unsolved: ->(card, _) { {} if card.sent_back },
        redescribed: ->(card, _) { {} if card.redescribed },
        notches: ->(card, row) { { notches: card.notches } if card.notches.to_i > row[:more_than] },
        range_never_whole: ->(card, row) do
          { visits: card.visits } if card.visits >= row[:visits] && card.whole_visits.zero?
        end,
        load_doubled: ->(card, row) do
          { times: card.load_ratio.round(1) } if card.load_ratio && card.load_ratio >= row[:times]
        end,
        grown: ->(card, row) do
          { months: card.months } if card.years && card.years < row[:under_years] && card.months >= row[:months]
        end,
        long_since: ->(card, row) { { months: card.months } if card.months >= row[:months] },
        never_checked: ->(card, row) { {} if card.checkable && !card.checked && card.months >= row[:months] }
      }.freeze
      unless HOLDS.keys == ROWS.keys
        raise ArgumentError, "a rule of core/data/refits.yml that nobody asks, or one that is not there"
      end

      # [Reason], the weightiest first.
      def self.of(card)
        HOLDS.filter_map do |name, holds|
          holds.call(card, ROWS.fetch(name))&.then { |numbers| Reason.new(name, numbers) }
        end
      end

      # Where nothing can be computed of a card, whatever the table says.
      NOT_COMPUTED = Reason.new(:not_computed, {}).freeze

      # How heavy a reason weighs: smaller first.
      def self.rank(reason) = ROWS.keys.index(reason.name) || -1

      # After how many months settings are looked at in any case; for somebody of an age.
      def self.months(years)
        years && years < ROWS[:grown][:under_years] ? ROWS[:grown][:months] : ROWS[:long_since][:months]
      end
    end
  end
end
