# frozen_string_literal: true

module Verglas
  module Scenes
    # A seat with its back, a rail that rises before it. The picture's origin is the corner; the rail rises to the
    # right.
    class LegPress < Rail
      PAD_MM = 60
      BACK_MM = 660
      # Of a sled's plates and their horn behind the foot plate; of a stack beyond the rail's end (mm).
      HORN_MM = 46
      PLATES_MM = 96
      STACK = { off: 46, width: 130, tall: 420, plates: 8 }.freeze
      # The rail runs so far below the plate's lower edge.
      UNDER_MM = 74

      private

      def latches? = mechanics.latches?

      # Under the rail and its marks; the number to the right.
      def number_off = 104

      def number_side = :start

      # A point of the hip's rail frame as it is drawn.
      def drawn(_state, point) = (point + mechanics.hip(place)).turned(place[:rail_incline])

      def hip_at(state) = drawn(state, Geometry::Point.new(0, 0))

      # On the rail at an x from the hip; off: so far from its middle, + away from the body.
      def under_plate(x_mm, off = 0) = drawn(nil, Geometry::Point.new(x_mm, leg.plate_y_mm - UNDER_MM - off))

      def corner_ray(deg, length) = (Geometry::Point.towards(-deg) * length).turned(place[:rail_incline])

      # Plates on a sled's horn, or a stack behind the rail: how one tells them apart.
      def draw_plate(sketch, state, suffix = "", **how)
        super
        return unless latches? && suffix.empty?

        lower, upper = plate_ends(state)
        behind = (upper - lower).unit.front * -(Rail::PLATE_MM + HORN_MM)
        middle = (lower + upper) * 0.5
        sketch.line(:horn, :arm, middle, middle + behind, width: 16, moves: true)
        sketch.circle(:plates, :weight, middle + behind, PLATES_MM, moves: true)
      end

      def draw_stack(sketch, from_s)
        low = floor + 8
        left = from_s + STACK[:off]
        [0, STACK[:width]].each do |across|
          sketch.line(
            :"stack_post_#{across}",
            :frame,
            point(left + across, low),
            point(left + across, low + STACK[:tall]),
            width: 9
          )
        end
        sketch.line(
          :stack_top,
          :frame,
          point(left, low + STACK[:tall]),
          point(left + STACK[:width], low + STACK[:tall]),
          width: 9
        )
        STACK[:plates].times do |index|
          sketch.box(
            :"stack_#{index}",
            :weight,
            left: left + 8,
            bottom: low + 14 + (index * 34),
            width: STACK[:width] - 16,
            height: 28
          )
        end
      end

      # How far to the right a stack goes; nothing where there is none.
      def stack_end = latches? ? [] : [under_plate(last_mm).s + STACK.values_at(:off, :width).sum + 24]

      def point(x, y) = Geometry::Point.new(x, y)

      def draw_machine(sketch)
        last = last_mm
        from = under_plate(-60)
        upto = under_plate(last)
        low, high = [from, upto].map { |point| Geometry::Point.new(point.s, floor + 8) }
        sketch.line(:rail_post, :frame, upto, high, width: 13)
        sketch.line(
          :foot_bar,
          :frame,
          Geometry::Point.new(corner_ray(place[:trunk_angle], BACK_MM * 0.6).s, floor + 8),
          high,
          width: 13
        )
        sketch.line(:rail, :frame, from, upto, width: Rail::RAIL_MM, of: %i[rail_incline plate_y])
        sketch.line(:rail_foot, :frame, from, low, width: 13)
        draw_stack(sketch, upto.s) unless latches?
        corner = Geometry::Point.new(0, 0)
        front = corner_ray(place[:seat_angle], 0.5 * body.thigh)
        sketch.board(:seat, :pad, corner, front, PAD_MM, of: %i[seat_angle])
        sketch.board(
          :back_pad,
          :pad,
          corner_ray(place[:trunk_angle], BACK_MM),
          corner,
          PAD_MM,
          moves: true,
          of: %i[trunk_angle]
        )
      end

      # How far the rail runs, from the hip.
      def last_mm = [top.x_mm, mechanics.from_hip(place, latches? ? :latch_x : ends)].max + 190

      def draw_trunk(sketch, _state)
        half = body.hip_depth * 0.86
        along = Geometry::Point.towards(-mechanics.trunk_deg(place)).turned(place[:rail_incline])
        forward = along.front * -1
        limbs = Limbs.new(body)
        limbs.trunk(sketch, hip_at(nil) + (forward * (half - body.hip_depth)), along, half, half * 0.86)
      end

      def fade
        along = Geometry::Point.towards(-mechanics.trunk_deg(place)).turned(place[:rail_incline])
        [hip_at(nil) + (along * (body.torso * 0.95)), hip_at(nil) + (along * (body.torso * 0.35))]
      end

      # Under everything, with room for the posts.
      def floor = @floor ||= [under_plate(-60).n, corner_ray(place[:trunk_angle], BACK_MM).n, -180].min - 150

      def window_of
        left = corner_ray(place[:trunk_angle], body.torso * 0.92).s - 60
        ends_at = plate_ends(top)
        right = [*ends_at.map { |point| point.s + 150 }, under_plate(top.x_mm).s + 150, *stack_end].max
        upper = [*ends_at.map(&:n), *plate_ends(bottom.state).map(&:n), drawn(nil, bottom.state.knee).n + 60].max + 70
        { left: left, bottom: floor - 22, width: right - left, height: upper - floor + 22 }
      end

      def tape_points = { **seat_points, **plate_points, **stop_points }

      def seat_points
        {
          corner: on_rail(0, 0),
          rail_ahead: on_rail(420, 0),
          back_top: corner_ray(place[:trunk_angle], 420),
          seat_front: corner_ray(place[:seat_angle], 300)
        }
      end

      def plate_points
        low, high = plate_ends(bottom.state)
        {
          rail_low: under_plate(-60),
          rail_level: under_plate(-60) + point(420, 0),
          rail_high: under_plate(400),
          plate_ahead: low + (on_rail(300, 0) - on_rail(0, 0)),
          plate_low: low,
          plate_top: high,
          plate_level: on_rail(bottom.state.x_mm + mechanics.hip(place).s, 0)
        }
      end

      def stop_points
        at = place[:plate_y]
        {
          corner_on_rail: on_rail(0, at),
          plate_on_stop: on_rail(place[ends], at),
          plate_on_latch: on_rail(place.parameters.fetch(:latch_x, 0), at)
        }
      end

      # From the corner, along the rail and square to it.
      def on_rail(x_mm, y_mm) = point(x_mm, y_mm).turned(place[:rail_incline])
    end
  end
end
