# frozen_string_literal: true

module Verglas
  module Scenes
    # A seat, a block under the forefeet, the pad on its lever: with the heels lowest, and as a ghost with the heels
    # highest.
    class KneeLever < Picture
      # Of the foot, from its ball to the toes; how much thicker it is there than at their end (mm).
      TOES_SHARE = 0.21
      BALL_MM = 6
      BLOCK = { height: 110, behind: 8, before: 192 }.freeze
      PAD = { length: 210, height: 74, before_knee: 40 }.freeze
      SEAT_MM = 62
      LEVER_MM = 390
      WEIGHT_MM = 92
      # Half as thick as a shod foot at its toes.
      TOE_MM = 19
      LEAN = Geometry::Point.towards(-94)
      # Poses from the heels lowest to the heels highest for who moves it by hand.
      POSES = 11

      # nil where the pad is not taped.
      def whole = (pictured(pad_mm(mechanics.bottom_deg), poses) if family.told.include?(:joint))

      def at_rest = pictured(place[:pad_above_block])

      private

      # The pad's underside at a heel drop: on the thighs, or on its stop where that is higher.
      def pad_mm(drop_deg) = [mechanics.knee_top_mm(drop_deg), place[:pad_above_block]].max

      def pictured(pad_mm, poses = [])
        low = pose(mechanics.bottom_deg)
        sketch = Sketch.new
        draw(sketch, low, pad_mm)
        Scene.of(
          effort: Effort.of(mechanics, place, "effort.of_the_most"),
          window: window,
          floor: -BLOCK[:height],
          fade: [point(0, body.shank + 470), point(0, body.shank + 300)],
          parts: sketch.parts.freeze,
          dimensions: dimensions(low),
          targets: [],
          lens: nil,
          points: tape_points(low),
          poses: poses
        )
      end

      def poses
        posed_along(POSES) do |share, sketch|
          drop_deg = mechanics.bottom_deg + ((mechanics.top_deg - mechanics.bottom_deg) * share)
          draw_moving(sketch, pose(drop_deg), pad_mm(drop_deg))
          { deg: { heel_drop: drop_deg }, limits: { heel_drop: mechanics.heel_drop_deg } }
        end
      end

      def window
        left = -(body.thigh + 360)
        { left: left, bottom: -BLOCK[:height] - 22, width: LEVER_MM + 130 - left, height: body.shank + 590 }
      end

      # The lower leg upright over a foot that turns about its ball; the thigh goes back from the knee, level with a
      # level sole.
      def pose(drop_deg)
        heelwards = Geometry::Point.towards(180 - drop_deg)
        up = Geometry::Point.towards(-90 - drop_deg)
        foot = heelwards * (Mechanisms::KneeLever::BALL_SHARE * body.foot)
        ankle = foot + (up * (body.ankle_height + wishes[:sole_mm]))
        {
          heel: heelwards * (0.79 * body.foot),
          ankle: ankle,
          knee: ankle + point(0, body.shank),
          toe: toes(heelwards, drop_deg),
          up: up,
          top: mechanics.knee_top_mm(drop_deg)
        }
      end

      # Under a heel that rises the toes stay on the block.
      def toes(heelwards, drop_deg) = (drop_deg.negative? ? point(-1, 0) : heelwards) * (-TOES_SHARE * body.foot)

      def hip = @hip ||= pose(0)[:knee] + point(-body.thigh, body.hip_rise - body.knee_under)

      def draw(sketch, low, pad_mm)
        draw_machine(sketch)
        draw_leg(sketch, pose(Mechanisms::KneeLever::TOP_DEG), "_at_top", ghost: true)
        limbs.trunk(sketch, hip + point(0, 10), LEAN, body.hip_depth * 0.86, body.hip_depth * 0.74)
        draw_moving(sketch, low, pad_mm)
        sketch.circle(:hip, :joint, hip, 7)
        draw_stops(sketch, front_of(low))
      end

      def draw_moving(sketch, pose, pad_mm)
        limbs.thigh(sketch, hip, pose[:knee])
        draw_leg(sketch, pose, "")
        sketch.circle(:ankle, :joint, pose[:ankle], 7)
        draw_lever(sketch, front_of(pose), pad_mm)
      end

      def limbs = @limbs ||= Limbs.new(body)

      def draw_machine(sketch)
        surface = hip.n - body.hip_rise
        sketch.box(
          :block,
          :block,
          left: -BLOCK[:behind],
          bottom: -BLOCK[:height],
          width: BLOCK[:behind] + BLOCK[:before],
          height: BLOCK[:height],
          of: %i[pad_above_block]
        )
        sketch.line(:seat_post, :frame, point(hip.s + 20, surface - 50), on_floor(hip.s + 20), width: 13)
        sketch.line(:pivot_post, :frame, pivot, on_floor(LEVER_MM), width: 13)
        sketch.line(:foot_bar, :frame, on_floor(hip.s - 130), on_floor(LEVER_MM + 40), width: 13)
        sketch.box(:seat, :pad, left: hip.s - 170, bottom: surface - SEAT_MM, width: 350, height: SEAT_MM)
      end

      def draw_leg(sketch, pose, suffix, **how)
        limbs.shin(sketch, pose[:knee], pose[:ankle], body.shank * 0.6, id: :"shin#{suffix}", **how)
        draw_foot(sketch, pose, suffix, **how)
        return unless how[:ghost]
        sketch.capsule(
          :"thigh#{suffix}",
          :body,
          [hip, pose[:knee]],
          [body.hip_rise, body.knee_front * 0.96],
          moves: true,
          **how
        )
      end

      # The ball on the block's edge.
      def draw_foot(sketch, pose, suffix, **how)
        heel_mm = [(body.ankle_height + wishes[:sole_mm]) / 2.0, 26].max
        ball = pose[:up] * (TOE_MM + BALL_MM)
        sketch.capsule(
          :"foot#{suffix}",
          :body,
          [pose[:heel] + (pose[:up] * heel_mm), ball],
          [heel_mm, TOE_MM + BALL_MM],
          moves: true,
          **how
        )
        sketch.capsule(
          :"toes#{suffix}",
          :body,
          [ball, pose[:toe] + (up_from(pose) * TOE_MM)],
          [TOE_MM + BALL_MM, TOE_MM],
          moves: true,
          **how
        )
      end

      # Square to the sole under the toes.
      def up_from(pose) = pose[:toe].n.zero? ? point(0, 1) : pose[:up]

      # Where the pad ends before the knee.
      def front_of(pose) = pose[:knee].s + PAD[:before_knee]

      # The lever with its weight, the pad's underside so high.
      def draw_lever(sketch, front, under)
        middle = point(front - (PAD[:length] / 2), under + (PAD[:height] / 2))
        sketch.line(:lever, :arm, pivot, middle, width: 14, moves: true, of: %i[pad_above_block])
        sketch.circle(:weight, :weight, pivot + ((middle - pivot) * 0.42), WEIGHT_MM, moves: true)
        sketch.box(
          :knee_pad,
          :pad,
          left: front - PAD[:length],
          bottom: under,
          width: PAD[:length],
          height: PAD[:height],
          moves: true,
          of: %i[pad_above_block]
        )
      end

      # Its stop and its catch as lines.
      def draw_stops(sketch, front)
        stop = place[:pad_above_block]
        level = ->(height) { [point(front - PAD[:length] - 30, height), point(front + 30, height)] }
        sketch.line(:pad_stop, :target, *level.call(stop), width: 5, moves: true, of: %i[pad_above_block])
        return unless family.told.include?(:catch)
        sketch.line(:catch, :beyond, *level.call(stop + place[:catch_rise]), width: 4, moves: true, of: %i[catch_rise])
      end

      def on_floor(x) = point(x, 8 - BLOCK[:height])
      def pivot = point(LEVER_MM, mechanics.knee_top_mm(0) + 30)

      # The pad's stop below the thighs; and how low the heels go.
      def dimensions(low)
        stop, top =
          [place[:pad_above_block], low[:top]].map { |height| point(low[:knee].s + PAD[:before_knee] + 60, height) }
        heel = low[:heel]
        [
          Dimension.new(
            of: :pad_slack,
            from: stop,
            to: top,
            at: ((stop + top) * 0.5) + point(26, 0),
            anchor: :start,
            value: mechanics.slack_mm(place),
            unit: :mm
          ),
          Dimension.new(
            of: :turning,
            from: heel,
            to: heel,
            at: heel + point(-70, 0),
            anchor: :end,
            value: mechanics.bottom_deg,
            unit: :deg
          )
        ]
      end

      def tape_points(low)
        along = low[:knee].s - 60
        stop = place[:pad_above_block]
        {
          block: point(along, 0),
          pad_under: point(along, stop),
          pad_on_catch: point(along, stop + place.parameters.fetch(:catch_rise, 0))
        }
      end
    end
  end
end
