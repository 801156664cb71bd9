# frozen_string_literal: true

module Verglas
  module Scenes
    # A plate that stands, and a carriage with somebody on it that goes up and down a rail. The picture's origin is the
    # plate's lower edge; the rail rises to the left, behind the client.
    class HackSquat < Rail
      PAD_MM = 60
      # The rail runs so far behind the back pad.
      BEHIND_MM = 96
      HEAD_MM = 230

      private

      # Behind the marks; the number to the left.
      def number_off = 104

      def number_side = :end

      # A point of the hip's rail frame as it is drawn: the plate stands where it is.
      def drawn(state, point)
        turned(point - Geometry::Point.new(state.x_mm, leg.plate_y_mm))
      end

      # x down the rail and away from the client's head, y away from the back pad.
      def turned(point) = point.turned(-place[:rail_incline])

      def hip_at(state) = drawn(state, Geometry::Point.new(0, 0))

      # From the rail frame at the plate's lower edge.
      def on_rail(x_mm, off) = turned(Geometry::Point.new(x_mm, -place[:plate_y] - off))

      # Where the shoulder pads are with the plate at an x from the hip, behind the back pad.
      def under_plate(x_mm, off = 0) = on_rail(-x_mm - body.torso, BEHIND_MM + off)

      def draw_machine(sketch)
        low = on_rail(40, BEHIND_MM)
        high = on_rail(-highest_mm, BEHIND_MM)
        base = floor + 8
        sketch.line(:rail_post, :frame, high, Geometry::Point.new(high.s, base), width: 13)
        sketch.line(
          :foot_bar,
          :frame,
          Geometry::Point.new(high.s - 30, base),
          Geometry::Point.new(plate_ends(top).last.s + 60, base),
          width: 13
        )
        lower, upper = plate_ends(top)
        middle = (lower + upper) * 0.5
        sketch.line(:plate_post, :frame, middle, Geometry::Point.new(middle.s, base), width: 13)
        sketch.line(:rail, :frame, low, high, width: Rail::RAIL_MM, of: %i[rail_incline plate_y])
      end

      # The carriage: back pad and shoulder pads, with the trunk on it.
      def draw_at_hip(sketch, state)
        back = ->(x, y) { drawn(state, Geometry::Point.new(x, y - body.hip_depth)) }
        sketch.board(:back_pad, :pad, back[-body.torso - 40, 0], back[90, 0], PAD_MM, moves: true)
        draw_back(sketch, state)
        sketch.board(
          :shoulder_pad,
          :pad,
          back[-body.torso - 4, -PAD_MM],
          back[-body.torso - 4, body.hip_depth * 1.5],
          -52,
          moves: true
        )
      end

      def draw_back(sketch, state)
        half = body.hip_depth * 0.86
        along = turned(Geometry::Point.new(-1, 0))
        off = turned(Geometry::Point.new(0, half - body.hip_depth))
        Limbs.new(body).trunk(sketch, hip_at(state) + off, along, half, half * 0.82)
      end

      def draw_trunk(_sketch, _state) = nil

      def fade
        along = turned(Geometry::Point.new(-1, 0))
        [
          hip_at(bottom.state) + (along * (body.torso + HEAD_MM + 500)),
          hip_at(bottom.state) + (along * (body.torso + HEAD_MM + 400))
        ]
      end

      def floor
        @floor ||= [*plate_ends(top).map(&:n), on_rail(40, BEHIND_MM).n].min - 70
      end

      # How far up the rail anything goes, from the plate.
      def highest_mm = [top.x_mm + body.torso, place[:latch_distance]].max + 240

      def window_of
        rear = on_rail(-highest_mm, BEHIND_MM)
        low = turning
        right = [plate_ends(low).last.s, drawn(low, low.knee).s].max + 160
        upper = [on_rail(-(top.x_mm + body.torso + HEAD_MM), 0).n, rear.n].max + 40
        { left: rear.s - 60, bottom: floor - 22, width: right - rear.s + 60, height: upper - floor + 22 }
      end

      def tape_points
        low, high = plate_ends(bottom.state)
        at = ->(x) { on_rail(-x, 0) }
        {
          rail_low: on_rail(0, BEHIND_MM),
          rail_level: on_rail(0, BEHIND_MM) + Geometry::Point.new(-420, 0),
          rail_high: on_rail(-500, BEHIND_MM),
          plate_ahead: low + turned(Geometry::Point.new(300, 0)),
          plate_low: low,
          plate_top: high,
          plate_level: turned(Geometry::Point.new(0, -place[:plate_y])),
          shoulder_on_rail: turned(Geometry::Point.new(0, -place[:plate_y])),
          plate_on_stop: at[place[:stop_x]],
          plate_on_latch: at[place[:latch_distance]]
        }
      end
    end
  end
end
