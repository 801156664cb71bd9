# frozen_string_literal: true

module Verglas
  module Scenes
    # A bench whose leg part ends before the pivot and whose trunk part falls away from a hinge; a pad under the hips of
    # a flat one; a body that lies on it, its front down.
    class LyingKnee < PivotArm
      PAD_MM = 66
      FLOOR_MM = -450
      LEFT_MM = -880
      SHARE_OF_TORSO = 0.8

      private

      def floor_mm = FLOOR_MM

      def window
        above = [600, body.shank + 150].max
        { left: LEFT_MM, bottom: -470, width: straight_leg_mm - LEFT_MM, height: above + 470 }
      end

      def fade = [Geometry::Point.new(LEFT_MM + 10, 0), Geometry::Point.new(LEFT_MM + 260, 0)]
      def lens = { x: 240, y: -304, scale: 2.2 }

      def draw_support(sketch)
        surface = -place[:pivot_above_bench]
        edge = place[:bench_end]
        hinge = point(upright(mechanics.hip(place)).s - 10, surface)
        draw_frame(sketch, surface, hinge.s, edge)
        sketch.board(:trunk_pad, :pad, hinge + (headwards(0.0) * 640), hinge, PAD_MM, faded: true, of: %i[hinge_angle])
        sketch.box(
          :bench,
          :pad,
          left: hinge.s,
          bottom: surface - PAD_MM,
          width: edge - hinge.s,
          height: PAD_MM,
          of: %i[bench_end pivot_above_bench]
        )
        pad = mechanics.hinged? ? 0.0 : wishes[:hip_pad_mm]
        sketch.box(:hip_pad, :cushion, left: hinge.s - 70, bottom: surface, width: 170, height: pad) if pad.positive?
      end

      def draw_frame(sketch, surface, hinge, edge)
        [edge - 70, hinge - 60].each_with_index do |x, index|
          sketch.line(:"post_#{index}", :frame, point(x, surface - 40), point(x, FLOOR_MM + 8), width: 13)
        end
        sketch.line(:foot_bar, :frame, point(hinge - 150, FLOOR_MM + 8), point(edge + 90, FLOOR_MM + 8), width: 13)
        sketch.line(
          :pivot_post,
          :frame,
          point(edge - 70, surface - 96),
          point(0, surface - 96),
          PivotArm::PIVOT,
          width: 11
        )
      end

      # A lying client's hip is thicker than the knee; both rest on the bench.
      def draw_body(sketch, pose)
        hip = upright(mechanics.hip(place))
        half = body.knee_front * 1.3
        centre = hip + point(0, half - body.knee_front)
        limbs.trunk(sketch, centre, headwards(wishes[:hip_pad_mm]), half, half * 1.05)
        limbs.thigh(sketch, centre, pose[:knee], hip_mm: half)
      end

      # From the hips to the head: over a hinge, or over a pad on a flat bench (mm), or one whose hinge nobody has
      # taped.
      def headwards(pad_mm)
        hinge = place[:hinge_angle] || 0.0
        fall = hinge.positive? ? Geometry::Angle.radians(hinge) : Math.asin(pad_mm / (SHARE_OF_TORSO * body.torso))
        point(-Math.cos(fall), -Math.sin(fall))
      end

      def tape_points(poses)
        surface = -place[:pivot_above_bench]
        hinge = point(upright(mechanics.hip(place)).s - 10, surface)
        {
          bench_below_pivot: point(0, surface),
          bench_end: point(place[:bench_end], surface),
          hinge: hinge,
          headwards: hinge + point(-300, 0),
          trunk_end: hinge + (headwards(0.0) * 300),
          **arm_points(poses)
        }
      end

      def point(x, y) = Geometry::Point.new(x, y)
    end
  end
end
