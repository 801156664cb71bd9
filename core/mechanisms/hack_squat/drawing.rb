# frozen_string_literal: true

module Verglas
  module Mechanisms
    class HackSquat < Rail
      # A plate that stands, and a carriage with somebody on it that goes up and down a rail. The picture's origin is the plate's lower
      # edge; the rail rises to the left, behind the client.
      module Drawing
        PAD_MM = 60
        # The rail runs so far behind the back pad.
        BEHIND_MM = 96
        HEAD_MM = 230

        private

        # Behind the marks; the number to the left.
        def number_off = 104
        def number_side = :end

        # A point of the hip's rail frame as it is drawn: the plate stands where it is.
        def drawn(place, state, point)
          turned(place, point - Geometry::Point.new(state.x_mm, leg(place).plate_y_mm))
        end

        # x down the rail and away from the client's head, y away from the back pad.
        def turned(place, point) = point.turned(-place[:rail_incline])

        def hip_at(place, state) = drawn(place, state, Geometry::Point.new(0, 0))

        # From the rail frame at the plate's lower edge.
        def on_rail(place, x_mm, off) = turned(place, Geometry::Point.new(x_mm, -place[:plate_y] - off))

        # Where the shoulder pads are with the plate at an x from the hip, behind the back pad.
        def under_plate(place, x_mm, off = 0) = on_rail(place, -x_mm - body.torso, BEHIND_MM + off)

        def draw_machine(sketch, place)
          low = on_rail(place, 40, BEHIND_MM)
          high = on_rail(place, -highest_mm(place), BEHIND_MM)
          base = floor(place) + 8
          sketch.line(:rail_post, :frame, high, Geometry::Point.new(high.s, base), width: 13)
          sketch.line(:foot_bar, :frame, Geometry::Point.new(high.s - 30, base), Geometry::Point.new(plate_ends(place, top(place)).last.s + 60, base), width: 13)
          lower, upper = plate_ends(place, top(place))
          middle = (lower + upper) * 0.5
          sketch.line(:plate_post, :frame, middle, Geometry::Point.new(middle.s, base), width: 13)
          sketch.line(:rail, :frame, low, high, width: Rail::Drawing::RAIL_MM, of: %i[rail_incline plate_y])
        end

        # The carriage: back pad and shoulder pads, with the trunk on it.
        def draw_at_hip(sketch, place, state)
          back = ->(x, y) { drawn(place, state, Geometry::Point.new(x, y - body.hip_depth)) }
          sketch.board(:back_pad, :pad, back[-body.torso - 40, 0], back[90, 0], PAD_MM, moves: true)
          draw_back(sketch, place, state)
          sketch.board(:shoulder_pad, :pad, back[-body.torso - 4, -PAD_MM], back[-body.torso - 4, body.hip_depth * 1.5], -52, moves: true)
        end

        def draw_back(sketch, place, state)
          half = body.hip_depth * 0.86
          along = turned(place, Geometry::Point.new(-1, 0))
          off = turned(place, Geometry::Point.new(0, half - body.hip_depth))
          Scenes::Limbs.new(body).trunk(sketch, hip_at(place, state) + off, along, half, half * 0.82)
        end

        def draw_trunk(_sketch, _place, _state) = nil

        def fade(place)
          along = turned(place, Geometry::Point.new(-1, 0))
          [hip_at(place, bottom(place).state) + (along * (body.torso + HEAD_MM + 500)), hip_at(place, bottom(place).state) + (along * (body.torso + HEAD_MM + 400))]
        end

        def floor(place)
          place.once(:floor) { [*plate_ends(place, top(place)).map(&:n), on_rail(place, 40, BEHIND_MM).n].min - 70 }
        end

        # How far up the rail anything goes, from the plate.
        def highest_mm(place) = [top(place).x_mm + body.torso, place[:latch_distance]].max + 240

        def window_of(place)
          rear = on_rail(place, -highest_mm(place), BEHIND_MM)
          low = turning(place)
          right = [plate_ends(place, low).last.s, drawn(place, low, low.knee).s].max + 160
          upper = [on_rail(place, -(top(place).x_mm + body.torso + HEAD_MM), 0).n, rear.n].max + 40
          { left: rear.s - 60, bottom: floor(place) - 22, width: right - rear.s + 60, height: upper - floor(place) + 22 }
        end

        def tape_points(place)
          low, high = plate_ends(place, bottom(place).state)
          at = ->(x) { on_rail(place, -x, 0) }
          { rail_low: on_rail(place, 0, BEHIND_MM), rail_level: on_rail(place, 0, BEHIND_MM) + Geometry::Point.new(-420, 0), rail_high: on_rail(place, -500, BEHIND_MM),
            plate_ahead: low + turned(place, Geometry::Point.new(300, 0)), plate_low: low, plate_top: high, plate_level: turned(place, Geometry::Point.new(0, -place[:plate_y])),
            shoulder_on_rail: turned(place, Geometry::Point.new(0, -place[:plate_y])), plate_on_stop: at[place[:stop_x]], plate_on_latch: at[place[:latch_distance]] }
        end
      end
    end
  end
end
