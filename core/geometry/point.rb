# frozen_string_literal: true

module Verglas
  module Geometry
    # A place or a displacement in millimetres in a seat or bench frame: s along the seat towards the feet, n square to
    # it.
    Point =
      Struct.new(:s, :n) do
        # Unit vector at an angle in degrees that grows from +s towards -n (0 along the seat, 90 straight down from it).
        def self.towards(angle_deg)
          angle = Angle.radians(angle_deg)
          new(Math.cos(angle), -Math.sin(angle))
        end

        def +(other) = Point.new(s + other.s, n + other.n)
        def -(other) = Point.new(s - other.s, n - other.n)
        def *(other) = Point.new(s * other, n * other)
        def dot(other) = (s * other.s) + (n * other.n)
        def norm = Math.hypot(s, n)
        def unit = norm.zero? ? self : self * (1 / norm)

        # Turned about the origin, from +s towards +n; and by a quarter.
        def turned(angle_deg)
          angle = Angle.radians(angle_deg)
          cos = Math.cos(angle)
          sin = Math.sin(angle)
          Point.new((s * cos) - (n * sin), (s * sin) + (n * cos))
        end

        def front = Point.new(-n, s)

        # Angle of this displacement in degrees, in the sense of `towards`.
        def angle_deg = Angle.degrees(Math.atan2(-n, s))
      end
  end
end
