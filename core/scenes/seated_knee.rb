# frozen_string_literal: true

module Verglas
  module Scenes
    # Seat, back pad, cushions, thigh pad and the frame they stand on; a body that sits there.
    class SeatedKnee < PivotArm
      # Degrees by which the back pad and the trunk lean back: drawn, not taped.
      LEAN = Geometry::Point.towards(-99)
      PAD_MM = 62
      FLOOR_MM = -600
      LEFT_MM = -690
      HAND_MM = 100
      # Shares of the shin that it lies along; off it and its height (mm).
      SHIN_PAD = { along: [0.3, 0.62], off: 4, height: 46 }.freeze
      THIGH_PAD = { length: 150, height: 54, post: 46 }.freeze

      private

      def floor_mm = FLOOR_MM
      def window = { left: LEFT_MM, bottom: -622, width: straight_leg_mm - LEFT_MM, height: 1062 }
      def fade = [Geometry::Point.new(0, 300), Geometry::Point.new(0, 80)]

      # Above the knee, clear of the ghost leg; further ahead where a thigh pad stands there.
      def lens = straightens? ? { x: 40, y: 238, scale: 2.45 } : { x: 196, y: 250, scale: 2.45 }

      def surface_mm = -place[:pivot_above_seat]

      def draw_support(sketch)
        seat = surface_mm
        face = place[:back_face]
        edge = place[:seat_edge]
        draw_frame(sketch, seat, face - 30, edge)
        foot = Geometry::Point.new(face, seat + 26)
        sketch.board(:back_pad, :pad, foot + (LEAN * 640), foot, -PAD_MM, moves: true, faded: true, of: %i[back_face])
        cushion = wishes[:cushion_back_mm]
        if cushion.positive?
          sketch.board(:cushion_back, :cushion, foot + (LEAN * 380), foot, cushion, moves: true, faded: true)
        end
        sketch.box(
          :seat,
          :pad,
          left: face - 30,
          bottom: seat - PAD_MM,
          width: edge - face + 30,
          height: PAD_MM,
          of: %i[seat_edge pivot_above_seat]
        )
        below = wishes[:cushion_seat_mm]
        return unless below.positive?
        sketch.box(:cushion_seat, :cushion, left: face, bottom: seat, width: edge - face, height: below)
      end

      def draw_frame(sketch, seat, rear, edge)
        posts = [edge - 40, rear + 150]
        posts.each_with_index do |x, index|
          sketch.line(:"post_#{index}", :frame, point(x, seat - 50), point(x, FLOOR_MM + 8), width: 13)
        end
        sketch.line(:foot_bar, :frame, point(rear + 60, FLOOR_MM + 8), point(edge + 140, FLOOR_MM + 8), width: 13)
        sketch.line(:pivot_post, :frame, point(edge - 40, seat - 90), point(0, seat - 90), PivotArm::PIVOT, width: 11)
      end

      # The trunk's back on the pad: as deep behind the hip as the hips are.
      def draw_body(sketch, pose)
        hip = upright(mechanics.hip(place))
        depth = body.hip_depth
        half = depth * 0.86
        limbs.trunk(sketch, hip + Geometry::Point.new(half - depth, half - body.hip_rise), LEAN, half, half * 0.86)
        limbs.resting_thigh(sketch, hip, thigh_middle(pose[:knee]), pose[:knee])
      end

      # Where its thickness is taped, a hand above the kneecap: it rests on the seat there.
      def thigh_middle(knee)
        point(
          knee.s - Mechanisms::SeatedKnee::KNEECAP_EDGE_MM - HAND_MM,
          surface_mm + wishes[:cushion_seat_mm] + (body.thigh_depth / 2.0)
        )
      end

      # With the arm goes the pad before the shin, where that is held and not the thigh: its mark is only recorded, so
      # it is drawn by eye.
      def draw_arm(sketch, pose)
        super
        return if straightens? || family.tags[:thigh_held]

        down = (pose[:ankle] - pose[:knee]).unit
        out = limbs.ahead(down)
        from, upto =
          SHIN_PAD[:along].map do |share|
            pose[:knee] + (down * (share * body.shank)) + (out * (body.calf_half + SHIN_PAD[:off]))
          end
        sketch.slab(
          :shin_pad,
          :pad,
          from,
          upto,
          upto + (out * SHIN_PAD[:height]),
          from + (out * SHIN_PAD[:height]),
          moves: true
        )
      end

      # The pad that holds the thigh from above: its underside and its edge nearest the knee as taped.
      def draw_over(sketch)
        return unless family.told.include?(:thigh_pad)

        under = surface_mm + place[:thigh_pad_height]
        front = place[:thigh_pad_front]
        top = point(front - (THIGH_PAD[:length] / 2), under + THIGH_PAD[:height])
        sketch.line(
          :thigh_pad_post,
          :frame,
          top,
          top + Geometry::Point.new(0, THIGH_PAD[:post]),
          width: 13,
          moves: true
        )
        sketch.box(
          :thigh_pad,
          :pad,
          left: front - THIGH_PAD[:length],
          bottom: under,
          width: THIGH_PAD[:length],
          height: THIGH_PAD[:height],
          moves: true,
          of: %i[thigh_pad_front thigh_pad_height]
        )
      end

      def tape_points(poses)
        seat = surface_mm
        points = {
          seat_below_pivot: point(0, seat),
          back_pad: point(place[:back_face], seat + 88),
          pivot_at_back_pad: point(0, seat + 88),
          seat_edge: point(place[:seat_edge], seat),
          **arm_points(poses)
        }
        return points unless place.parameters.key?(:thigh_pad_front)

        along = place[:thigh_pad_front] - (THIGH_PAD[:length] / 2)
        level = seat + place[:thigh_pad_height] + 26
        points.merge(
          thigh_pad_edge: point(place[:thigh_pad_front], level),
          pivot_at_thigh_pad: point(0, level),
          seat_below_thigh_pad: point(along, seat),
          thigh_pad_under: point(along, seat + place[:thigh_pad_height])
        )
      end

      def point(x, y) = Geometry::Point.new(x, y)
    end
  end
end
