# frozen_string_literal: true

module Verglas
  module Mechanisms
    # The joint that leads a rising, and its bends (degrees) from where that turns to its other end.
    Lead =
      Value.define(:motion, :from_deg, :upto_deg) do
        # A movement that bends is slow up to so much bend, wherever the machine begins it before that; any other for so
        # many degrees of it.
        def slow_to(slow_deg)
          return from_deg - slow_deg unless bends?

          from_deg < slow_deg ? slow_deg : from_deg + slow_deg
        end

        def within?(deg) = (0...1).cover?(share(deg))
        def share(deg) = (deg - from_deg) / (upto_deg - from_deg)

        private

        def bends? = upto_deg > from_deg
      end
  end
end
