# frozen_string_literal: true

module Verglas
  module Geometry
    # Angles are degrees at every seam and radians only inside a method.
    module Angle
      DEGREES_PER_RADIAN = 180 / Math::PI

      module_function

      def degrees(radians) = radians * DEGREES_PER_RADIAN

      def radians(degrees) = degrees / DEGREES_PER_RADIAN

      # Arcsine in degrees of a ratio that rounding, or a circle which swallows the point, may have pushed past one.
      def arcsine_deg(ratio) = degrees(Math.asin(ratio.clamp(-1.0, 1.0)))
    end
  end
end
