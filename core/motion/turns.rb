# frozen_string_literal: true

module Verglas
  module Motion
    # Where a movement turns: a turn counts once it has moved back by a share of the arc. Small movements between are
    # none.
    module Turns
      BACK = Tables[:motion][:turns][:back]

      module_function

      # Indices of turns, low and high by turns, the first low; the last one is where it ends, whichever it is.
      def of(shares)
        turns = [0]
        rising = true
        best = 0
        shares.each_with_index do |share, index|
          if rising ? share > shares[best] : share < shares[best]
            best = index
          elsif (share - shares[best]).abs >= BACK
            turns << best
            rising = !rising
            best = index
          elsif turns.size == 1 && rising && share < shares[turns.first] && shares[best] - shares[turns.first] < BACK
            # What is lower before anything rose is a lower start.
            turns[0] = best = index
          end
        end
        turns << best
      end
    end
  end
end
