# frozen_string_literal: true

module Verglas
  module Scenes
    # Where a rising that begins slowly is let go faster.
    #   motion   of the joint that leads the movement; deg: its bend there (degrees)
    #   share    of the movement, 0 where it turns at the bottom, 1 at its other end
    #   parts    what is drawn of it: the slow stretch of an arc and where that ends (Part); none where no arc is drawn
    #   shown    the number beside it (Dimension); nil where none is drawn
    Quickening =
      Value.define(:motion, :deg, :share, :parts, :shown) do
        # slow_deg: how far it is slow. nil where the mechanism tells no movement, or that ends before.
        def self.of(mechanics, place, slow_deg)
          lead = mechanics.lead(place)
          deg = lead && slow_deg && lead.slow_to(slow_deg)
          return unless deg && lead.within?(deg)

          sketch = Sketch.new
          shown = Scenes.of(mechanics, place).slow(sketch, deg)
          new(
            motion: lead.motion,
            deg: deg,
            share: mechanics.share_at(place, deg),
            parts: sketch.parts.freeze,
            shown: shown
          )
        end
      end
  end
end
