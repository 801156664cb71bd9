# frozen_string_literal: true

module Verglas
  module Motion
    # Where a phone lies that reads a movement, and which way that part points where the movement begins and where it is
    # asked to end (degrees, either way round).
    #   on            :arm, :foot, :thigh or :chest
    #   lowers_first  whether the load goes down before it goes up
    Laid =
      Value.define(:on, :from_deg, :upto_deg, :lowers_first) do
        def arc_deg = (upto_deg - from_deg).abs

        # Whether the load is borne while it lies still at first: not where it rests on its stop.
        def borne? = lowers_first || on == :foot

        # Whether there is enough of an arc to read.
        def readable? = arc_deg >= Tables[:motion][:arc][:least_deg]

        # The share of the arc from which a repetition counts as whole.
        def whole_share = Tables[:motion][:whole].fetch(on)

        # The share above which one went past what was agreed.
        def past_share = Tables[:motion][:past].fetch(on)
      end
  end
end
