# frozen_string_literal: true

module Verglas
  module Mechanisms
    # Where a rising that begins slowly is let go faster.
    #   motion   of the joint that leads the movement; deg: its bend there (degrees)
    #   share    of the movement, 0 where it turns at the bottom, 1 at its other end
    #   parts    what is drawn of it: the slow stretch of an arc and where that ends (Scenes::Part); none where no arc is drawn
    #   shown    the number beside it (Scenes::Dimension); nil where none is drawn
    Quickening = Value.define(:motion, :deg, :share, :parts, :shown) do
      # slow_deg: how far it is slow. nil where the mechanism tells no movement, or that ends before.
      def self.of(mechanism, place, slow_deg)
        lead = mechanism.lead(place)
        deg = lead && slow_deg && lead.slow_to(slow_deg)
        return unless deg && lead.within?(deg)

        sketch = Scenes::Sketch.new
        shown = mechanism.draw_slow(sketch, place, deg)
        new(motion: lead.motion, deg: deg, share: mechanism.share_at(place, deg), parts: sketch.parts.freeze, shown: shown)
      end
    end

    # The joint that leads a rising, and its bends (degrees) from where that turns to its other end.
    Quickening::Lead = Value.define(:motion, :from_deg, :upto_deg) do
      # A movement that bends is slow up to so much bend, wherever the machine begins it before that; any other for so many degrees of it.
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
