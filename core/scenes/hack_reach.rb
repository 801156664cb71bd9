# frozen_string_literal: true

module Verglas
  module Scenes
    # Somebody who stands under the shoulder pads, facing the pad; where the latch asks the feet to be. The picture's
    # origin is the shoulder pads; the rail falls to the right.
    class HackReach < Picture
      PLATE_MM = 460
      PAD_MM = 60
      BEHIND_MM = 96

      def pictured_at = :top

      private

      def reach_mm = mechanics.reach_mm(place)

      def pictured
        sketch = Sketch.new
        draw_machine(sketch)
        draw_body(sketch)
        Scene.of(
          window: window,
          floor: floor,
          fade: [on_rail(-420, 0), on_rail(-400, 0)],
          parts: sketch.parts.freeze,
          dimensions: dimensions,
          targets: [],
          lens: nil,
          points: tape_points
        )
      end

      # x down the rail, y away from it, as drawn.
      def on_rail(x, y) = Geometry::Point.new(x, y).turned(-place[:rail_incline])

      def draw_machine(sketch)
        low, high = [place[:latch_to_feet] + 120, -330].map { |x| on_rail(x, -BEHIND_MM) }
        foot = Geometry::Point.new(high.s, floor + 8)
        sketch.line(:rail_post, :frame, high, foot, width: 13)
        sketch.line(:foot_bar, :frame, foot, Geometry::Point.new(low.s + 160, foot.n), width: 13)
        sketch.line(:rail, :frame, low, high, width: 18, of: %i[rail_incline])
        sketch.board(:back_pad, :pad, on_rail(-40, 0), on_rail(body.torso + 60, 0), PAD_MM, moves: true)
        at = on_rail(reach_mm, body.hip_depth)
        up = plate_ray
        sketch.board(
          :plate,
          :machine,
          at - (up * (PLATE_MM * 0.45)),
          at + (up * (PLATE_MM * 0.55)),
          34,
          moves: true,
          of: %i[plate_angle]
        )
      end

      # Up the plate, away from the pad.
      def plate_ray
        turn = Geometry::Angle.radians(place[:plate_angle])
        on_rail(Math.cos(turn), Math.sin(turn))
      end

      def draw_body(sketch)
        depth = body.hip_depth
        hip, knee, ankle = joints
        limbs = Limbs.new(body, facing: -1)
        limbs.trunk(sketch, hip, (on_rail(0, depth) - hip).unit, depth * 0.86, depth * 0.72)
        limbs.thigh(sketch, hip, knee)
        limbs.shin(sketch, knee, ankle, body.shank * 0.6)
        draw_foot(sketch, ankle)
        sketch.board(:shoulder_pad, :pad, on_rail(-4, -PAD_MM), on_rail(-4, depth * 1.6), -52, moves: true)
      end

      # Hip, knee and ankle in one line along the rail.
      def joints = [0, body.thigh, body.thigh + body.shank].map { |below| on_rail(body.torso + below, body.hip_depth) }

      # The toes towards the pad.
      def draw_foot(sketch, ankle)
        up = plate_ray
        limbs = Limbs.new(body, facing: -1)
        under = limbs.planted_foot(sketch, ankle, towards: up * -1, out: up.front * -1, sole_mm: wishes[:sole_mm])
        limbs.underfoot(sketch, :block, under, up.front * -1, wishes[:block_mm]) if wishes[:block_mm].positive?
      end

      def floor = on_rail(place[:latch_to_feet] + 120, -BEHIND_MM).n - 90

      def window
        left = on_rail(-330, -BEHIND_MM).s - 60
        right = on_rail([reach_mm, place[:latch_to_feet]].max, body.hip_depth).s + 420
        top = on_rail(-300, 200).n + 40
        { left: left, bottom: floor - 22, width: right - left, height: top - floor + 22 }
      end

      # Between where the feet would have to be and where they are.
      def dimensions
        from, upto =
          [place[:latch_to_feet] + Mechanisms::HackReach::LATCH[:past_latch_mm], reach_mm].map do |x|
            on_rail(x, (2 * body.hip_depth) + 90)
          end
        [
          Dimension.new(
            of: :latch_room,
            from: from,
            to: upto,
            at: ((from + upto) * 0.5) + Geometry::Point.new(26, 26),
            anchor: :start,
            value: mechanics.latch_room_mm(place),
            unit: :mm
          )
        ]
      end

      def tape_points
        {
          rail_low: on_rail(700, -BEHIND_MM),
          rail_level: on_rail(700, -BEHIND_MM) + Geometry::Point.new(-420, 0),
          rail_high: on_rail(200, -BEHIND_MM),
          shoulder_on_rail: on_rail(0, 0),
          feet_at_latch: on_rail(place[:latch_to_feet], 0),
          plate_low: on_rail(reach_mm, body.hip_depth),
          plate_ahead: on_rail(reach_mm + 300, body.hip_depth),
          plate_top: on_rail(reach_mm, body.hip_depth) + (plate_ray * 300)
        }
      end
    end
  end
end
