# frozen_string_literal: true

module Verglas
  module Linkages
    # A leg that pushes a plate along a rail, for one exact body: hip, knee and ankle as two bars between a hip and a
    # sole flat on the plate. Rail frame: origin at the hip joint, x (Point#s) along the rail the way the client pushes,
    # y (Point#n) square to it on the knees' side; mm and degrees, angles from +x towards +y. docs/model.md section 5.
    #   trunk_deg   from +x to the line from hip to shoulder
    #   plate_deg   from +x to "up the plate": 90 square to the rail, less where its top leans away from the client
    #   plate_y_mm  y of the plate's lower edge, from the hip
    #   sole_mm     the shoe under the heel, and a block where one stands on it
    class ClosedLeg
      FOOT = Tables[:press][:foot]
      TOP_BEND_DEG = Tables[:press][:movement][:top_bend_deg]

      # The leg with the heel at one height: where the plate is (x_mm), the joints, their bends, and how far the knee is
      # past the toes.
      State =
        Struct.new(
          :x_mm,
          :ankle,
          :knee,
          :middle_of_foot,
          :knee_bend_deg,
          :thigh_deg,
          :hip_bend_deg,
          :ankle_bend_deg,
          :past_toes_mm
        ) do
          # From hip to ankle (mm).
          def reach_mm = ankle.norm

          # Lever arms of a force along the rail through the middle of the foot, about knee and hip (mm): + where it is
          # the muscle that straightens the joint which holds it.
          def knee_lever_mm = knee.n - middle_of_foot.n
          def hip_lever_mm = middle_of_foot.n

          # Torques (N m) of a force along the rail (N), both legs together: {knee, hip}.
          def torques(force_n) = { knee: force_n * knee_lever_mm / 1000, hip: force_n * hip_lever_mm / 1000 }
        end

      attr_reader :body, :trunk_deg, :plate_deg, :plate_y_mm, :sole_mm

      def initialize(body:, trunk_deg:, plate_deg:, plate_y_mm:, sole_mm:)
        @body = body
        @trunk_deg = trunk_deg
        @plate_deg = plate_deg
        @plate_y_mm = plate_y_mm
        @sole_mm = sole_mm
        @up = ray(plate_deg)
        @thigh = body.thigh
        @shank = body.shank
        @squares = (body.thigh**2) + (body.shank**2)
        @difference = (body.thigh**2) - (body.shank**2)
        @twice = 2 * body.thigh * body.shank
        # From a place on the plate to the ankle's height over it, towards the client.
        @off = @up.front * (body.ankle_height + sole_mm)
        @to_middle = (@up * (FOOT[:ankle_to_middle] * body.foot)) - @off
      end

      # The leg with the plate at x and the heel f up it (mm); nil where the leg is too short to lie there.
      def at_plate(x_mm, f_mm)
        ankle = ankle_at(x_mm, f_mm)
        distance = ankle.norm
        return unless distance.between?((body.thigh - body.shank).abs, body.thigh + body.shank)
        state(ankle, bend_deg(distance), f_mm)
      end

      # The same, stretched towards a plate that is too far, or folded under one that is too near.
      def towards_plate(x_mm, f_mm)
        ankle = ankle_at(x_mm, f_mm)
        state(ankle, bend_deg(ankle.norm), f_mm)
      end

      # The leg with the knee bent so far and the heel f up the plate; nil where no place of the plate gives it.
      def at_bend(bend_deg, f_mm)
        along = (reach_mm(bend_deg)**2) - (ankle_y_mm(f_mm)**2)
        state(Geometry::Point.new(Math.sqrt(along), ankle_y_mm(f_mm)), bend_deg, f_mm) unless along.negative?
      end

      # The same, as near as the leg comes where the heel is too high or too low for it.
      def towards_bend(bend_deg, f_mm)
        at_bend(bend_deg, f_mm) || state(Geometry::Point.new(0.0, ankle_y_mm(f_mm)), bend_deg, f_mm)
      end

      # The leg with its ankle at a place (Point), the knee bent so far; the foot as if its sole lay along the plate.
      def with_ankle(ankle, bend_deg) = state(ankle, bend_deg, 0.0)

      # Where the plate is then (mm), and where the ankle is with the plate at x (Point): all that most questions ask of
      # a leg, at a fraction of a State's price.
      def x_towards_bend(bend_deg, f_mm)
        Math.sqrt([(reach_mm(bend_deg)**2) - (ankle_y_mm(f_mm)**2), 0.0].max) - @off.s - (up_to_ankle_mm(f_mm) * @up.s)
      end

      def ankle_at(x_mm, f_mm) = Geometry::Point.new(x_mm + (up_to_ankle_mm(f_mm) * @up.s) + @off.s, ankle_y_mm(f_mm))

      # The thigh's direction (degrees) with the knee bent so far and the ankle so high (mm, as ankle_y_mm); nil where
      # there is no such place.
      def thigh_at(bend_deg, ankle_y)
        reach = Math.sqrt(@squares + (@twice * Math.cos(bend_deg / Geometry::Angle::DEGREES_PER_RADIAN)))
        return if ankle_y.abs > reach

        over = (@difference + (reach * reach)) / (2 * @thigh * reach)
        (Math.asin(ankle_y / reach) + Math.acos(over > 1 ? 1.0 : over)) * Geometry::Angle::DEGREES_PER_RADIAN
      end

      # The bends of the knee (degrees), the ankle so high (mm, as ankle_y_mm): at which the thigh lies in one
      # direction; at which the shin falls so steeply (degrees from the line from knee to ankle up to +x); and beyond
      # which the leg is too short for such an ankle. A bar crosses a height twice, forwards and backwards, or where it
      # is too short not at all; not every answer is a place of this leg (thigh_at tells).
      def bends_of_thigh(thigh_deg, ankle_y)
        both_ways((@thigh * sin(thigh_deg)) - ankle_y, @shank) { |shin_deg| thigh_deg + shin_deg }
      end
      def bends_of_shin(shin_deg, ankle_y)
        both_ways(ankle_y + (@shank * sin(shin_deg)), @thigh) { |thigh_deg| thigh_deg + shin_deg }
      end
      def bends_of_reach(ankle_y)
        ankle_y.abs.between?((@thigh - @shank).abs, @thigh + @shank) ? [bend_deg(ankle_y.abs)] : []
      end

      # From hip to ankle with the knee bent so far (mm), and back (degrees).
      def reach_mm(bend_deg) = Math.sqrt(@squares + (@twice * cos(bend_deg)))

      def bend_deg(reach_mm) = 180 - arccos_deg((@squares - (reach_mm * reach_mm)) / @twice)

      # How high the ankle is with the heel f up the plate, and the heel for it (mm).
      def ankle_y_mm(f_mm) = plate_y_mm + (up_to_ankle_mm(f_mm) * @up.n) + @off.n
      def heel_for(ankle_y_mm) = ((ankle_y_mm - plate_y_mm - @off.n) / @up.n) - (FOOT[:heel_to_ankle] * body.foot)

      # Between the line from hip to ankle and the thigh, the knee bent so far (degrees).
      def thigh_over_reach_deg(bend_deg) = arccos_deg(over_reach(reach_mm(bend_deg)))

      # The heel's height (mm) that lays the thigh in one direction, the knee bent so far.
      def heel_at(bend_deg, thigh_deg) = heel_for(reach_mm(bend_deg) * sin(thigh_deg - thigh_over_reach_deg(bend_deg)))

      # The heels' heights (mm), [lowest, highest], from which the plate is reached at x or beyond (mm) with the knee
      # bent so far; nil where from none: a line up the plate and the circle that the ankle can lie on.
      def heels_reaching(x_mm, bend_deg)
        along = ankle_at(x_mm, 0.0)
        half = along.dot(@up)
        square = (half**2) - (along.norm**2) + (reach_mm(bend_deg)**2)
        square.negative? ? nil : [-half - Math.sqrt(square), -half + Math.sqrt(square)]
      end

      # The heel's height (mm) from which a plate is reached furthest: the line from hip to ankle stands square to it.
      def heel_square_to_plate(bend_deg) = heel_for(@up.front.n * -reach_mm(bend_deg))

      # The thigh's direction with the hip bent so far; and with the ankle bent so far, the knee bent too (degrees).
      def thigh_of_hip(hip_bend_deg) = hip_bend_deg - 180 + trunk_deg
      def thigh_of_ankle(ankle_bend_deg, bend_deg) = bend_deg - 90 + plate_deg - ankle_bend_deg

      # The ankle's bend with the knee just over the toes (degrees).
      def toes_bend_deg = Geometry::Angle.arcsine_deg((to_toes_mm - body.knee_front) / body.shank)

      private

      # What the block answers for both directions (degrees) in which a bar rises so far (mm).
      def both_ways(rise_mm, bar_mm)
        return [] if rise_mm.abs > bar_mm

        steep = Geometry::Angle.arcsine_deg(rise_mm / bar_mm)
        [yield(steep), yield(180 - steep)]
      end

      def to_toes_mm = (FOOT[:ankle_to_toes] * body.foot) + FOOT[:shoe_end_mm]
      def over_reach(reach_mm) = (@difference + (reach_mm * reach_mm)) / (2 * @thigh * reach_mm)

      # From the plate's lower edge to the ankle, up the plate (mm).
      def up_to_ankle_mm(f_mm) = f_mm + (FOOT[:heel_to_ankle] * body.foot)

      def state(ankle, bend_deg, f_mm)
        thigh_deg = degrees_of(ankle) + arccos_deg(over_reach(ankle.norm))
        knee = ray(thigh_deg) * body.thigh
        shin = knee - ankle
        up_the_plate = shin.dot(@up)
        State.new(
          ankle.s - @off.s - (up_to_ankle_mm(f_mm) * @up.s),
          ankle,
          knee,
          ankle + @to_middle,
          bend_deg,
          thigh_deg,
          180 - (trunk_deg - thigh_deg).abs,
          90 - arccos_deg(up_the_plate / shin.norm),
          up_the_plate + body.knee_front - to_toes_mm
        )
      end

      # Point.towards and #angle_deg count from +s towards -n; this frame the other way round.
      def ray(deg) = Geometry::Point.towards(-deg)
      def degrees_of(point) = -point.angle_deg
      def cos(deg) = Math.cos(Geometry::Angle.radians(deg))
      def sin(deg) = Math.sin(Geometry::Angle.radians(deg))
      def arccos_deg(ratio) = 90 - Geometry::Angle.arcsine_deg(ratio)
    end
  end
end
