# frozen_string_literal: true

module Verglas
  module Scenes
    # Somebody standing over a lever with the load on a chain; as a ghost at the deepest squat. The origin is on the
    # floor under the ring.
    class BeltSquat < Picture
      LOAD = { width: 250, height: 90 }.freeze
      BEHIND_MM = 40
      LEVER_MM = 130
      HANDS = { at: 640, tall: 1010 }.freeze
      PLATES_MM = 110
      # Of knee and hip, as far before their place as they look right (mm).
      BOWED = [Geometry::Point.new(4, 0), Geometry::Point.new(2, 0)].freeze
      # What carries the load turns there, with the machine and without it; the load hangs free where nothing stands.
      PIVOTS = { nil => Geometry::Point.new(-640, LEVER_MM), :floor_hinge => Geometry::Point.new(640, 30) }.freeze
      # Poses from the deepest to the top for who moves it by hand.
      POSES = 11

      def pictured_at = :top

      private

      def raised_mm = mechanics.raised_mm(place)
      def ring_mm = mechanics.ring_mm(place)

      def pictured
        sketch = Sketch.new
        @stands_mm = wishes[:mat_mm] + raised_mm
        draw_machine(sketch)
        draw_deepest(sketch)
        draw_tall(sketch)
        Scene.of(
          effort: Effort.of(mechanics, place, "effort.of_the_most"),
          window: window,
          floor: 0,
          fade: [point(0, hip_mm + (body.torso * 0.9)), point(0, hip_mm + (body.torso * 0.4))],
          parts: sketch.parts.freeze,
          dimensions: dimensions,
          targets: [],
          lens: nil,
          points: tape_points,
          poses: poses,
          drawn_share: 1
        )
      end

      def poses
        posed_along(POSES) do |share, sketch|
          squat = mechanics.along(share)
          draw_moving(sketch, squat)
          { deg: bends(squat), limits: limits }
        end
      end

      def bends(squat)
        { hip_flexion: squat.hip_deg, knee_flexion: squat.knee_deg, ankle_dorsiflexion: squat.ankle_deg }
      end

      def limits
        mechanics.limits.then do |all|
          { hip_flexion: all.hip_deg, knee_flexion: all.knee_deg, ankle_dorsiflexion: all.ankle_deg }
        end
      end

      def hip_mm = sole_level + body.ankle_height + wishes[:sole_mm] + body.shank + body.thigh
      def sole_level = @stands_mm
      def window = { left: -720, bottom: -24, width: 1500, height: hip_mm + (body.torso * 0.95) }
      def ankle = point(-BEHIND_MM - 60, sole_level + body.ankle_height + wishes[:sole_mm])

      def draw_machine(sketch)
        sketch.line(:foot_bar, :frame, point(-620, 10), point(640, 10), width: 14)
        sketch.line(:catch_post, :frame, point(520, 14), point(520, place[:catch_height] + 40), width: 13)
        sketch.line(
          :catch,
          :beyond,
          point(150, place[:catch_height]),
          point(520, place[:catch_height]),
          width: 6,
          of: %i[catch_height]
        )
        sketch.line(
          :floor_stop,
          :beyond,
          point(-180, place[:lowest_anchor]),
          point(180, place[:lowest_anchor]),
          width: 4,
          of: %i[lowest_anchor]
        )
        draw_post(sketch)
        box = raised_mm
        sketch.box(:box, :machine, left: -330, bottom: 0, width: 420, height: box, of: %i[box_height]) if box.positive?
        return unless wishes[:mat_mm].positive?
        sketch.box(:mat, :block, left: -330, bottom: box, width: 420, height: wishes[:mat_mm])
      end

      def draw_tall(sketch)
        draw_moving(sketch, mechanics.standing)
        Limbs.new(body).planted_foot(sketch, ankle, towards: point(1, 0), out: point(0, -1), sole_mm: wishes[:sole_mm])
      end

      # Whoever squats so deep, and what hangs from the hips.
      def draw_moving(sketch, squat)
        knee, hip = joints(squat).zip(BOWED).map { |joint, bowed| joint + bowed }
        limbs = Limbs.new(body)
        limbs.trunk(sketch, hip + point(-16, 0), upright(squat.lean_deg), body.hip_depth * 0.86, body.hip_depth * 0.74)
        limbs.thigh(sketch, hip, knee)
        limbs.shin(sketch, knee, ankle, body.shank * 0.6)
        draw_chain(sketch, ring(squat))
      end

      # The ring of the belt: before the hips, as far below its place standing tall as they are.
      def ring(squat)
        back = joints(squat).last.s - joints(mechanics.standing).last.s
        point(back, ring_mm - mechanics.drop_at_mm(squat))
      end

      # As deep as this client squats: shin, thigh and trunk each as far from upright as it is told.
      def draw_deepest(sketch)
        knee, hip = joints(mechanics.turning)
        draw_leaning(sketch, hip)
        sketch.capsule(:thigh_deepest, :body, [hip, knee], [body.hip_rise, body.knee_front], ghost: true, moves: true)
        Limbs.new(body).shin(sketch, knee, ankle, body.shank * 0.6, id: :shin_deepest, ghost: true)
      end

      # Knee and hip in a squat.
      def joints(squat)
        knee = ankle + (upright(squat.ankle_deg) * body.shank)
        [knee, knee + (upright(squat.ankle_deg - squat.knee_deg) * body.thigh)]
      end

      def draw_leaning(sketch, hip)
        sketch.capsule(
          :trunk_deepest,
          :body,
          [hip, hip + (upright(mechanics.turning.lean_deg) * body.torso)],
          [0.86, 0.74].map { |share| body.hip_depth * share },
          ghost: true,
          moves: true
        )
      end

      # So far forward of upright (degrees).
      def upright(deg) = Geometry::Point.towards(-(90 - deg))

      # The belt's ring, the chain and the load that hangs from it.
      def draw_chain(sketch, ring)
        load = ring - point(0, mechanics.chain_mm(place))
        sketch.line(
          :belt,
          :cushion,
          ring + point(-body.hip_depth, place[:belt_drop] * 0.6),
          ring,
          width: 12,
          moves: true,
          of: %i[belt_drop]
        )
        sketch.line(:chain, :arm, ring, load, width: 9, moves: true, of: %i[hook_length link_pitch])
        sketch.box(
          :load,
          :weight,
          left: load.s - (LOAD[:width] / 2),
          bottom: load.n - LOAD[:height],
          width: LOAD[:width],
          height: LOAD[:height],
          moves: true
        )
        draw_what_carries(sketch, load)
      end

      # A lever; a bar in a hinge on the floor, its plates at the free end; nothing.
      def draw_what_carries(sketch, load)
        pivot = pivot_of_lever or return
        sketch.line(:lever, :arm, pivot, load, width: 14, moves: true)
        return unless family.traits[:without] == :floor_hinge

        sketch.circle(:plates, :weight, load + ((pivot - load) * 0.3), PLATES_MM, moves: true)
      end

      def pivot_of_lever = PIVOTS[family.traits[:without]]

      # The post of a lever with a rail for the hands; a hinge on the floor; nothing.
      def draw_post(sketch)
        pivot = pivot_of_lever or return
        return sketch.circle(:hinge, :machine, pivot, 26) if family.traits[:without]

        hands = point(HANDS[:at], HANDS[:tall])
        sketch.line(:lever_post, :frame, point(pivot.s, 14), pivot, width: 13)
        sketch.line(:hand_post, :frame, point(HANDS[:at], 14), hands, width: 13)
        sketch.line(:hand_rail, :frame, hands, hands + point(-190, 20), width: 13)
      end

      def dimensions
        load = ring_mm - mechanics.chain_mm(place)
        low = load - mechanics.drop_mm
        [
          number(:chain_lift, place[:catch_height], load, 210, mechanics.lift_mm(place)),
          number(:chain_bottom, place[:lowest_anchor], low, -230, mechanics.bottom_room_mm(place))
        ]
      end

      def number(of, from, upto, along, value)
        ends = [point(along, from), point(along, upto)]
        Dimension.new(
          of: of,
          from: ends[0],
          to: ends[1],
          at: ((ends[0] + ends[1]) * 0.5) + point(along.positive? ? 24 : -24, 0),
          anchor: along.positive? ? :start : :end,
          value: value,
          unit: :mm
        )
      end

      def tape_points
        ring = ring_mm
        top = ring - place[:hook_length]
        {
          hip_bone: point(0, ring + place[:belt_drop]),
          ring: point(0, ring),
          chain_top: point(0, top),
          next_link: point(0, top - place[:link_pitch]),
          floor_below: point(300, 0),
          box_top: point(300, raised_mm),
          load_on_catch: point(300, place[:catch_height]),
          load_lowest: point(300, place[:lowest_anchor])
        }
      end
    end
  end
end
