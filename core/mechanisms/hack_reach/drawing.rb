# frozen_string_literal: true

module Verglas
  module Mechanisms
    class HackReach < Mechanism
      # Somebody who stands under the shoulder pads, facing the pad; where the latch asks the feet to be. The picture's origin is the
      # shoulder pads; the rail falls to the right.
      module Drawing
        include Pictured

        PLATE_MM = 460
        PAD_MM = 60
        BEHIND_MM = 96

        def pictured_at = :top

        private

        def pictured(place)
          sketch = Scenes::Sketch.new
          draw_machine(sketch, place)
          draw_body(sketch, place)
          Scenes::Scene.of(window: window(place), floor: floor(place), fade: [on_rail(place, -420, 0), on_rail(place, -400, 0)], parts: sketch.parts.freeze,
                           dimensions: dimensions(place), targets: [], lens: nil, points: tape_points(place))
        end

        # x down the rail, y away from it, as drawn.
        def on_rail(place, x, y) = Geometry::Point.new(x, y).turned(-place[:rail_incline])

        def draw_machine(sketch, place)
          low, high = [place[:latch_to_feet] + 120, -330].map { |x| on_rail(place, x, -BEHIND_MM) }
          foot = Geometry::Point.new(high.s, floor(place) + 8)
          sketch.line(:rail_post, :frame, high, foot, width: 13)
          sketch.line(:foot_bar, :frame, foot, Geometry::Point.new(low.s + 160, foot.n), width: 13)
          sketch.line(:rail, :frame, low, high, width: 18, of: %i[rail_incline])
          sketch.board(:back_pad, :pad, on_rail(place, -40, 0), on_rail(place, body.torso + 60, 0), PAD_MM, moves: true)
          at = on_rail(place, reach_mm(place), body.hip_depth)
          up = plate_ray(place)
          sketch.board(:plate, :machine, at - (up * (PLATE_MM * 0.45)), at + (up * (PLATE_MM * 0.55)), 34, moves: true, of: %i[plate_angle])
        end

        # Up the plate, away from the pad.
        def plate_ray(place)
          turn = Geometry::Angle.radians(place[:plate_angle])
          on_rail(place, Math.cos(turn), Math.sin(turn))
        end

        def draw_body(sketch, place)
          depth = body.hip_depth
          hip, knee, ankle = joints(place)
          limbs = Scenes::Limbs.new(body, facing: -1)
          limbs.trunk(sketch, hip, (on_rail(place, 0, depth) - hip).unit, depth * 0.86, depth * 0.72)
          limbs.thigh(sketch, hip, knee)
          limbs.shin(sketch, knee, ankle, body.shank * 0.6)
          draw_foot(sketch, place, ankle)
          sketch.board(:shoulder_pad, :pad, on_rail(place, -4, -PAD_MM), on_rail(place, -4, depth * 1.6), -52, moves: true)
        end

        # Hip, knee and ankle in one line along the rail.
        def joints(place) = [0, body.thigh, body.thigh + body.shank].map { |below| on_rail(place, body.torso + below, body.hip_depth) }

        # The toes towards the pad.
        def draw_foot(sketch, place, ankle)
          up = plate_ray(place)
          limbs = Scenes::Limbs.new(body, facing: -1)
          under = limbs.planted_foot(sketch, ankle, towards: up * -1, out: up.front * -1, sole_mm: wishes[:sole_mm])
          limbs.underfoot(sketch, :block, under, up.front * -1, wishes[:block_mm]) if wishes[:block_mm].positive?
        end

        def floor(place) = on_rail(place, place[:latch_to_feet] + 120, -BEHIND_MM).n - 90

        def window(place)
          left = on_rail(place, -330, -BEHIND_MM).s - 60
          right = on_rail(place, [reach_mm(place), place[:latch_to_feet]].max, body.hip_depth).s + 420
          top = on_rail(place, -300, 200).n + 40
          { left: left, bottom: floor(place) - 22, width: right - left, height: top - floor(place) + 22 }
        end

        # Between where the feet would have to be and where they are.
        def dimensions(place)
          from, upto = [place[:latch_to_feet] + LATCH[:past_latch_mm], reach_mm(place)].map { |x| on_rail(place, x, (2 * body.hip_depth) + 90) }
          [Scenes::Dimension.new(of: :latch_room, from: from, to: upto, at: ((from + upto) * 0.5) + Geometry::Point.new(26, 26), anchor: :start, value: latch_room_mm(place), unit: :mm)]
        end

        def tape_points(place)
          { rail_low: on_rail(place, 700, -BEHIND_MM), rail_level: on_rail(place, 700, -BEHIND_MM) + Geometry::Point.new(-420, 0), rail_high: on_rail(place, 200, -BEHIND_MM),
            shoulder_on_rail: on_rail(place, 0, 0), feet_at_latch: on_rail(place, place[:latch_to_feet], 0), plate_low: on_rail(place, reach_mm(place), body.hip_depth),
            plate_ahead: on_rail(place, reach_mm(place) + 300, body.hip_depth), plate_top: on_rail(place, reach_mm(place), body.hip_depth) + (plate_ray(place) * 300) }
        end
      end
    end
  end
end
