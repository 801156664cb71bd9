# frozen_string_literal: true

module Verglas
  module Scenes
    # A body on a machine as it is drawn. A subclass makes the Scene (`pictured`) and says where of the movement it
    # shows it.
    #   whole         the Scene; nil where too little is taped to draw it
    #   at_rest       the same as the machine stands by itself, for taping it
    #   slow          draws a rising that is slow up to a bend (degrees), where an arc is drawn; answers the Dimension
    #                 beside it
    #   pictured_at   :start, :bottom or :top of the movement, or :above where it is seen from there at the start
    class Picture
      # mechanics: a Mechanism; place: its Place.
      def initialize(mechanics, place)
        @mechanics = mechanics
        @place = place
      end

      def whole = (pictured if mechanics.told?)
      def at_rest = pictured
      def slow(_sketch, _deg) = nil
      def pictured_at = :start

      private

      attr_reader :mechanics, :place

      def pictured = raise(NotImplementedError)
      def body = mechanics.body
      def wishes = mechanics.wishes
      def family = mechanics.family
      def point(x, y) = Geometry::Point.new(x, y)
      # A direction so far above level (degrees).
      def towards(deg) = Geometry::Point.towards(-deg)

      # So many poses from where a movement turns to its other end; the block draws what moves at a share of it and
      # answers what is told there.
      def posed_along(count)
        Array.new(count) do |index|
          share = index / (count - 1.0)
          sketch = Sketch::Places.new
          told = yield(share, sketch)
          Pose.of(share: share, parts: sketch.parts.freeze, **told)
        end
      end

      # Where what the block draws is.
      def places_drawn(&) = Sketch::Places.new.tap(&).parts
    end
  end
end
