# frozen_string_literal: true

module Verglas
  module Loading
    # The seconds of a repetition: up, held, down, paused; and for slow timed sets how long a set lasts and at how many
    # repetitions it ends in any case (both nil otherwise). By the house rule's school. core/data/loads.yml
    Tempo = Value.define(:up_s, :hold_s, :down_s, :pause_s, :set_s, :most_repetitions) do
      def self.of(school)
        row = Tables[:loads][:tempos].fetch(school)
        new(**row.slice(:up_s, :hold_s, :down_s, :pause_s), set_s: row[:set_s], most_repetitions: row[:most_repetitions])
      end

      # Where nothing may be held: neither at the end nor between repetitions.
      def without_holds = with(hold_s: 0, pause_s: 0)

      def repetition_s = up_s + hold_s + down_s + pause_s

      # Seconds of a set.
      def seconds_of_set(repetitions) = set_s || (repetitions * repetition_s)
    end
  end
end
