# frozen_string_literal: true

module Verglas
  module Mechanisms
    # A mechanism that draws itself the same way at rest as with somebody on it: its `pictured` makes the Scenes::Scene of a place.
    module Pictured
      # nil where too little is taped.
      def scene(place) = (pictured(place) if family.told.include?(:joint))
      def scene_at_rest(place) = pictured(place)

      private

      # So many poses from where a movement turns to its other end; the block draws what moves at a share of it and answers what is told there.
      def posed_along(count)
        Array.new(count) do |index|
          share = index / (count - 1.0)
          sketch = Scenes::Sketch::Places.new
          told = yield(share, sketch)
          Scenes::Pose.of(share: share, parts: sketch.parts.freeze, **told)
        end
      end

      # Where what the block draws is.
      def places_drawn(&) = Scenes::Sketch::Places.new.tap(&).parts

      def point(x, y) = Geometry::Point.new(x, y)
    end
  end
end
