# frozen_string_literal: true

module Verglas
  module Scenes
    # Where the tape goes on a machine: its picture with a middle body on it, typical lengths where nobody has taped
    # them yet, and for each length the points of the picture between which it is read. Two points are a length; three
    # an angle: its vertex, the line from which it counts, its arm.
    class Tapes
      # How far a length is changed to see what it moves (mm); half of the arrow that shows it.
      STEP_MM = 10.0
      ARROW_MM = 90

      # known: {constant => mm or degrees} as far as they are taped.
      def initialize(family, known)
        @family = family
        @known = known
      end

      def scene = @scene ||= scene_with({})

      # Points of one constant.
      def length(name) = @family.constant(name).tape.map { |point| scene.points.fetch(point) }

      # Which way an adjuster's marks carry a part: an arrow's two ends there; of an angle its three points; nil where
      # nothing that it drives is seen to move.
      def travel(drives)
        name = drives.keys.first
        return unless name
        return length(name) if @family.constant(name).unit == :deg

        after = scene_with({ name => STEP_MM })
        moved = @family.constant(name).tape.find { |point| (after.points[point] - scene.points[point]).norm > 1 }
        moved && arrow(scene.points[moved], after.points[moved])
      end

      private

      def scene_with(further)
        machine = Mechanisms::Sample.taped(@family, @known, further)
        mechanics =
          Mechanisms.for(machine, Body::People.three.fetch(:middle).dimensions, Mechanisms::Wishes.for(@family))
        Scenes.of(mechanics, mechanics.place(machine.constants)).at_rest
      end

      def arrow(from, upto)
        along = (upto - from).unit * ARROW_MM
        [from - along, from + along]
      end
    end
  end
end
