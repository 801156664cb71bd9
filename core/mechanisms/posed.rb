# frozen_string_literal: true

module Verglas
  module Mechanisms
    # How a mechanism draws what moves of it, again and again along the movement.
    module Posed
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
    end
  end
end
