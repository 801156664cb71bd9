# frozen_string_literal: true

module Verglas
  module Mechanisms
    class LegPress < Rail
      # A seat with its back, a rail that rises before it. The picture's origin is the corner; the rail rises to the right.
      module Drawing
        PAD_MM = 60
        BACK_MM = 660
        # Of a sled's plates and their horn behind the foot plate; of a stack beyond the rail's end (mm).
        HORN_MM = 46
        PLATES_MM = 96
        STACK = { off: 46, width: 130, tall: 420, plates: 8 }.freeze
        # The rail runs so far below the plate's lower edge.
        UNDER_MM = 74

        private

        # Under the rail and its marks; the number to the right.
        def number_off = 104
        def number_side = :start

        # A point of the hip's rail frame as it is drawn.
        def drawn(place, _state, point) = (point + hip(place)).turned(place[:rail_incline])
        def hip_at(place, state) = drawn(place, state, Geometry::Point.new(0, 0))

        # On the rail at an x from the hip; off: so far from its middle, + away from the body.
        def under_plate(place, x_mm, off = 0) = drawn(place, nil, Geometry::Point.new(x_mm, leg(place).plate_y_mm - UNDER_MM - off))

        def corner_ray(place, deg, length) = (Geometry::Point.towards(-deg) * length).turned(place[:rail_incline])

        # Plates on a sled's horn, or a stack behind the rail: how one tells them apart.
        def draw_plate(sketch, place, state, suffix = "", **how)
          super
          return unless latches? && suffix.empty?

          lower, upper = plate_ends(place, state)
          behind = (upper - lower).unit.front * -(Rail::Drawing::PLATE_MM + HORN_MM)
          middle = (lower + upper) * 0.5
          sketch.line(:horn, :arm, middle, middle + behind, width: 16, moves: true)
          sketch.circle(:plates, :weight, middle + behind, PLATES_MM, moves: true)
        end

        def draw_stack(sketch, place, from_s)
          low = floor(place) + 8
          left = from_s + STACK[:off]
          [0, STACK[:width]].each { |across| sketch.line(:"stack_post_#{across}", :frame, point(left + across, low), point(left + across, low + STACK[:tall]), width: 9) }
          sketch.line(:stack_top, :frame, point(left, low + STACK[:tall]), point(left + STACK[:width], low + STACK[:tall]), width: 9)
          STACK[:plates].times { |index| sketch.box(:"stack_#{index}", :weight, left: left + 8, bottom: low + 14 + (index * 34), width: STACK[:width] - 16, height: 28) }
        end

        # How far to the right a stack goes; nothing where there is none.
        def stack_end(place) = latches? ? [] : [under_plate(place, last_mm(place)).s + STACK.values_at(:off, :width).sum + 24]
        def point(x, y) = Geometry::Point.new(x, y)

        def draw_machine(sketch, place)
          last = last_mm(place)
          from = under_plate(place, -60)
          upto = under_plate(place, last)
          low, high = [from, upto].map { |point| Geometry::Point.new(point.s, floor(place) + 8) }
          sketch.line(:rail_post, :frame, upto, high, width: 13)
          sketch.line(:foot_bar, :frame, Geometry::Point.new(corner_ray(place, place[:trunk_angle], BACK_MM * 0.6).s, floor(place) + 8), high, width: 13)
          sketch.line(:rail, :frame, from, upto, width: Rail::Drawing::RAIL_MM, of: %i[rail_incline plate_y])
          sketch.line(:rail_foot, :frame, from, low, width: 13)
          draw_stack(sketch, place, upto.s) unless latches?
          corner = Geometry::Point.new(0, 0)
          front = corner_ray(place, place[:seat_angle], 0.5 * body.thigh)
          sketch.board(:seat, :pad, corner, front, PAD_MM, of: %i[seat_angle])
          sketch.board(:back_pad, :pad, corner_ray(place, place[:trunk_angle], BACK_MM), corner, PAD_MM, moves: true, of: %i[trunk_angle])
        end

        # How far the rail runs, from the hip.
        def last_mm(place) = [top(place).x_mm, from_hip(place, latches? ? :latch_x : ends)].max + 190

        def draw_trunk(sketch, place, _state)
          half = body.hip_depth * 0.86
          along = Geometry::Point.towards(-trunk_deg(place)).turned(place[:rail_incline])
          forward = along.front * -1
          limbs = Scenes::Limbs.new(body)
          limbs.trunk(sketch, hip_at(place, nil) + (forward * (half - body.hip_depth)), along, half, half * 0.86)
        end

        def fade(place)
          along = Geometry::Point.towards(-trunk_deg(place)).turned(place[:rail_incline])
          [hip_at(place, nil) + (along * (body.torso * 0.95)), hip_at(place, nil) + (along * (body.torso * 0.35))]
        end

        # Under everything, with room for the posts.
        def floor(place) = place.once(:floor) { [under_plate(place, -60).n, corner_ray(place, place[:trunk_angle], BACK_MM).n, -180].min - 150 }

        def window_of(place)
          left = corner_ray(place, place[:trunk_angle], body.torso * 0.92).s - 60
          ends_at = plate_ends(place, top(place))
          right = [*ends_at.map { |point| point.s + 150 }, under_plate(place, top(place).x_mm).s + 150, *stack_end(place)].max
          upper = [*ends_at.map(&:n), *plate_ends(place, bottom(place).state).map(&:n), drawn(place, nil, bottom(place).state.knee).n + 60].max + 70
          { left: left, bottom: floor(place) - 22, width: right - left, height: upper - floor(place) + 22 }
        end

        def tape_points(place)
          low, high = plate_ends(place, bottom(place).state)
          on_rail = ->(x, y) { Geometry::Point.new(x, y).turned(place[:rail_incline]) }
          at = place[:plate_y]
          { corner: on_rail[0, 0], rail_ahead: on_rail[420, 0], back_top: corner_ray(place, place[:trunk_angle], 420), seat_front: corner_ray(place, place[:seat_angle], 300),
            rail_low: under_plate(place, -60), rail_level: under_plate(place, -60) + Geometry::Point.new(420, 0), rail_high: under_plate(place, 400),
            plate_ahead: low + (on_rail[300, 0] - on_rail[0, 0]), plate_low: low, plate_top: high, plate_level: on_rail[bottom(place).state.x_mm + hip(place).s, 0],
            corner_on_rail: on_rail[0, at], plate_on_stop: on_rail[place[ends], at], plate_on_latch: on_rail[place.parameters.fetch(:latch_x, 0), at] }
        end
      end
    end
  end
end
