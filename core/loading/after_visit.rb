# frozen_string_literal: true

module Verglas
  module Loading
    # What follows on a visit: the move of its outcome, and what holds an easy one down.
    class AfterVisit
      def initialize(choices, last, pad, limit_kg, careful)
        @choices = choices
        @last = last
        @pad = pad
        @limit_kg = limit_kg
        @careful = careful
      end

      def to_h
        allowed = NextLoad.within(@choices, wanted, @limit_kg)
        { choice: allowed, reason: allowed.mass_kg < wanted.mass_kg ? :limited : reason }
      end

      private

      # Nothing holds an easy set down but these.
      def reason
        return @last.outcome unless @last.outcome == :easy
        return :pad_moved if @pad != @last.pad
        return :at_the_end unless above

        failed_above? ? :failed_above : :easy
      end

      def wanted
        @wanted ||= case NextLoad::MOVES.fetch(@last.outcome)
                    when :light then Remarks.light_set(@choices, @last.load_kg, careful: @careful)
                    when :next_up then reason == :easy ? above : @choices.nearest(@last.load_kg)
                    when :next_down then @choices.next_down(@last.load_kg) || @choices.lightest
                    else @choices.nearest(@last.load_kg)
                    end
      end

      def above = @choices.next_up(@last.load_kg)
      def failed_above? = !@last.failed_kg.nil? && above.mass_kg >= @last.failed_kg - Choices::ROUNDING_KG
    end
  end
end
