# frozen_string_literal: true

module Verglas
  module Mechanisms
    # A mechanism that draws itself the same way at rest as with somebody on it: its `pictured` makes the Scenes::Scene of a place.
    module Pictured
      include Posed

      # nil where too little is taped.
      def scene(place) = (pictured(place) if family.told.include?(:joint))
      def scene_at_rest(place) = pictured(place)

      private

      def point(x, y) = Geometry::Point.new(x, y)
    end
  end
end
