# frozen_string_literal: true

module Verglas
  module Loading
    # What follows on a visit: the move of its outcome, what holds an easy one down, and what a long time since takes
    # off.
    class AfterVisit
      # As NextLoad.today has them.
      def initialize(choices, last, pad:, limit_kg:, light_share:, in_hand:, gap:, measure:) # rubocop:disable Metrics/ParameterLists -- as above
        @choices = choices
        @last = last
        @pad = pad
        @limit_kg = limit_kg
        @light_share = light_share
        @in_hand = in_hand
        @gap = gap
        @measure = measure && last.outcome == :short
      end

      def to_h
        allowed = NextLoad.within(@choices, wanted, @limit_kg)
        return { choice: allowed, reason: :limited } if allowed.mass_kg < wanted.mass_kg
        return { choice: after_gap, reason: :gap } if @gap.holds_down? && after_gap.mass_kg < allowed.mass_kg

        { choice: allowed, reason: reason }
      end

      private

      # Nothing holds an easy set down but these.
      def reason
        return :measure_straight if @measure
        return @in_hand && @last.outcome == :clean ? :hard_in_hand : @last.outcome unless @last.outcome == :easy
        return :kept_in_hand if @in_hand
        return :gap if @gap.holds_down?
        return :pad_moved if @pad != @last.pad
        return :at_the_end unless above

        failed_above? ? :failed_above : :easy
      end

      def wanted
        @wanted ||=
          case move
          when :light
            Remarks.light_set(@choices, @last.load_kg, share_of_usual: @light_share)
          when :next_up
            reason == :easy ? above : @choices.nearest(@last.load_kg)
          when :next_down
            @choices.next_down(@last.load_kg) || @choices.lightest
          else
            @choices.nearest(@last.load_kg)
          end
      end

      def move
        return :nearest if @measure

        @in_hand && @last.outcome == :clean ? :next_down : NextLoad::MOVES.fetch(@last.outcome)
      end

      def after_gap = @choices.at_most((@gap.share * @last.load_kg) + Choices::ROUNDING_KG) || @choices.lightest
      def above = @choices.next_up(@last.load_kg)
      def failed_above? = !@last.failed_kg.nil? && above.mass_kg >= @last.failed_kg - Choices::ROUNDING_KG
    end
  end
end
