# frozen_string_literal: true

module Verglas
  module Scenes
    # Seen from above, the client facing right: seat and back pad, both thighs between or inside the pads at the start,
    # as ghosts where the client turns back; the pivots, and how far the hip lies from one of them. Scene: x forward, y
    # towards the client's left, from the middle.
    class SeatedHip < Picture
      POSES = 11
      SIDES = { left: 1, right: -1 }.freeze
      SEAT = { behind: 40, before: 330, half: 250 }.freeze
      PAD_MM = 62
      TICK_MM = 24
      # From the left edge to the middle of the magnifier, and from there to the back pad.
      LENS_MM = 320

      def pictured_at = :above

      private

      def turning = mechanics.turning(place)
      def contacts = mechanics.contacts(place)

      def pictured
        return unless family.told.include?(:arm)

        sketch = Sketch.new
        draw_seat(sketch)
        draw_legs(sketch, turning.first, "_at_end", ghost: true)
        draw_arcs(sketch)
        draw_moving(sketch, place[:start_angle])
        draw_middle(sketch)
        Scene.of(
          window: window,
          floor: nil,
          fade: [point(0, 1), point(0, 0)],
          parts: sketch.parts.freeze,
          dimensions: dimensions,
          targets: targets,
          lens: {
            x: window[:left] + LENS_MM,
            y: 0,
            scale: 3.0
          },
          points: tape_points,
          effort: Effort.of(mechanics, place, "effort.of_the_middle"),
          poses: poses
        )
      end

      # From the frame of one leg to the scene. side: 1 the left, -1 the right.
      def seen(at, side) = point(at.s, side * (place[:pivot_half_width] - at.n))

      def pivot(side) = point(0, side * place[:pivot_half_width])
      def hip_at(side) = seen(place.joint, side)
      def thigh_end(contact, side) = seen(place.joint + (Geometry::Point.towards(contact.shin_deg) * body.thigh), side)

      def draw_seat(sketch)
        face = place[:back_face] - place[:pivot_depth]
        sketch.box(
          :seat,
          :pad,
          left: face - SEAT[:behind],
          bottom: -SEAT[:half],
          width: SEAT[:behind] + SEAT[:before],
          height: 2 * SEAT[:half]
        )
        sketch.box(
          :back_pad,
          :pad,
          left: face - PAD_MM,
          bottom: -SEAT[:half],
          width: PAD_MM,
          height: 2 * SEAT[:half],
          moves: true,
          of: %i[back_face]
        )
      end

      def draw_moving(sketch, arm_deg)
        draw_legs(sketch, arm_deg, "")
        draw_arms(sketch, arm_deg)
      end

      def draw_legs(sketch, arm_deg, suffix, **how)
        contact = mechanics.contact(place, arm_deg)
        half = body.thigh_depth / 2.0
        SIDES.each do |name, side|
          sketch.capsule(
            :"thigh_#{name}#{suffix}",
            :body,
            [hip_at(side), thigh_end(contact, side)],
            [half, half * 0.86],
            moves: true,
            **how
          )
        end
      end

      def draw_arms(sketch, arm_deg)
        contact = mechanics.contact(place, arm_deg)
        SIDES.each do |name, side|
          pad = seen(contact.roller, side)
          sketch.line(:"arm_#{name}", :arm, pivot(side), pad, width: 12, moves: true, of: %i[pad_reach start_angle])
          sketch.circle(
            :"pad_#{name}",
            :roller,
            pad,
            place[:pad_half],
            moves: true,
            of: %i[pad_reach pad_half start_angle]
          )
        end
      end

      # Trunk and shoulders over the hips; both joints.
      def draw_middle(sketch)
        SIDES.each { |name, side| sketch.circle(:"hip_#{name}", :joint, hip_at(side), 8, moves: true) }
        behind = hip_at(1).s - (body.hip_depth * 0.32)
        wide = (body.stature * 0.129) - (body.hip_depth * 0.6)
        sketch.capsule(
          :trunk,
          :body,
          [point(behind, -wide), point(behind, wide)],
          [body.hip_depth * 0.6, body.hip_depth * 0.6],
          ghost: true,
          moves: true
        )
        sketch.circle(:head, :body, point(behind + 12, 0), 84, ghost: true, moves: true)
      end

      def draw_arcs(sketch)
        ends = [place[:start_angle], turning.first]
        SIDES.each do |name, side|
          sketch.arc(:"arc_#{name}", :path, pivot(side), place[:pad_reach], ends.map { |deg| side * deg }, moves: true)
          out = (seen(mechanics.contact(place, ends.last).roller, side) - pivot(side)).unit
          at = pivot(side) + (out * place[:pad_reach])
          sketch.line(:"target_#{name}", :target, at - (out * TICK_MM), at + (out * TICK_MM), width: 7, moves: true)
        end
      end

      def window
        wide =
          [thigh_end(mechanics.contact(place, turning.first), 1).n, thigh_end(contacts.first, 1).n, SEAT[:half]].max +
            120
        left = place[:back_face] - place[:pivot_depth] - PAD_MM - (2 * LENS_MM)
        { left: left, bottom: -wide, width: body.thigh + place.joint.s + 330 - left, height: 2 * wide }
      end

      # The magnified hip's distance is told by its lens; where the client turns back by its angle.
      def dimensions
        at = thigh_end(mechanics.contact(place, turning.first), 1)
        [
          Dimension.new(
            of: :turning,
            from: at,
            to: at,
            at: at + point(94, 10),
            anchor: :start,
            value: mechanics.contact(place, turning.first).shin_deg,
            unit: :deg
          )
        ]
      end

      def targets
        [
          Target.new(
            finding: :hip_offset,
            at: pivot(1),
            joint: hip_at(1),
            in_line_mm: mechanics.band(:hip_offset).in_line.max
          )
        ]
      end

      def tape_points
        arm, last = contacts.map { |contact| seen(contact.roller, 1) }
        {
          **seat_points,
          middle: point(0, 0),
          pivot: pivot(1),
          pad: arm,
          pad_face: arm + ((arm - pivot(1)).unit.front * place[:pad_half]),
          ahead: pivot(1) + point(place[:pad_reach], 0),
          start_arm: arm,
          end_arm: last
        }
      end

      # Along the seat's edge, from the back pad to the pivots.
      def seat_points
        edge = -SEAT[:half] - 40
        {
          back_pad: point(place[:back_face] - place[:pivot_depth], edge),
          seat_reference: point(-place[:pivot_depth], edge),
          pivot_along: point(0, edge)
        }
      end

      def poses
        posed_along(POSES) do |share, sketch|
          arm_deg = mechanics.arm_along(place, share)
          draw_moving(sketch, arm_deg)
          {
            deg: {
              hip_abduction: mechanics.contact(place, arm_deg).shin_deg
            },
            limits: {
              hip_abduction: mechanics.opens? ? mechanics.end_target_deg : mechanics.start_target_deg
            }
          }
        end
      end
    end
  end
end
