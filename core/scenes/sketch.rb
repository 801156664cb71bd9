# frozen_string_literal: true

module Verglas
  module Scenes
    # Parts as they are drawn, one after another.
    class Sketch
      # What most parts are: firm, at rest, drawn from nothing that is taped.
      PLAIN = { ghost: false, moves: false, faded: false, of: [].freeze }.freeze

      attr_reader :parts

      def initialize
        @parts = []
      end

      def slab(id, role, *points, **how) = add(id, role, :slab, points, how)
      def line(id, role, *points, width:, **how) = add(id, role, :line, points, how, radii: [width])
      def circle(id, role, centre, radius, **how) = add(id, role, :circle, [centre], how, radii: [radius])
      def capsule(id, role, ends, radii, **how) = add(id, role, :capsule, ends, how, radii: radii)
      def arc(id, role, centre, radius, degrees, **how)
        add(id, role, :arc, [centre], how, radii: [radius], degrees: degrees)
      end

      # An upright box by its corner, in mm.
      def box(id, role, left:, bottom:, width:, height:, **how)
        corners = [[left, bottom], [left, bottom + height], [left + width, bottom + height], [left + width, bottom]]
        slab(id, role, *corners.map { |x, y| Geometry::Point.new(x, y) }, **how)
      end

      # A slab of a thickness along a line, on the right of its direction.
      def board(id, role, from, upto, thickness, **how)
        off = (upto - from).unit.front * -thickness
        slab(id, role, from, upto, upto + off, from + off, **how)
      end

      # A sketch that keeps where its parts are and nothing else of them: for the poses of a movement.
      class Places < Sketch
        # Drawn before, displaced (Point).
        def carried(places, by)
          places.each { |place| @parts << Place.new(place.id, place.points.map { |point| point + by }) }
        end

        private

        def add(id, _role, _shape, points, _how, **) = @parts << Place.new(id, points)
      end

      Place = Struct.new(:id, :points)

      private

      def add(id, role, shape, points, how, radii: [], degrees: [])
        raise ArgumentError, "#{role} is no role of a part" unless Part::ROLES.include?(role)

        @parts << Part.new(
          id: id,
          role: role,
          shape: shape,
          points: points.freeze,
          radii: radii.freeze,
          degrees: degrees.freeze,
          **PLAIN,
          **how.each_value(&:freeze)
        )
      end
    end
  end
end
