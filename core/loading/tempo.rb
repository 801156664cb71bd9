# frozen_string_literal: true

module Verglas
  module Loading
    # The seconds of a repetition: up, held, down, paused. slow_s: of "up" what is slow before it goes faster, and
    # slow_deg: over how many degrees (both nil where up is one part). set_s, most_repetitions: of slow timed sets how
    # long one lasts and at how many repetitions it ends in any case (nil otherwise).
    Tempo =
      Value.define(:up_s, :hold_s, :down_s, :pause_s, :slow_s, :slow_deg, :set_s, :most_repetitions) do
        # By the house rule's school. core/data/loads.yml
        def self.of(school) = read(Tables[:loads][:tempos].fetch(school))

        # row: {up_s:, hold_s:, down_s:, pause_s:} and what else there is of it, as a table or a gym has it.
        def self.read(row) = new(**members.to_h { |part| [part, row[part]] })

        def check
          raise Invalid.new(:tempo_half_said, path: "/tempo") if slow_s.nil? ^ slow_deg.nil?
          raise Invalid.new(:tempo_all_slow, path: "/tempo") if slow_s && !(slow_s.positive? && slow_s < up_s)
        end

        # Where nothing may be held: neither at the end nor between repetitions.
        def without_holds = with(hold_s: 0, pause_s: 0)

        def repetition_s = up_s + hold_s + down_s + pause_s

        # Seconds of a set.
        def seconds_of_set(repetitions) = set_s || (repetitions * repetition_s)
      end
  end
end
