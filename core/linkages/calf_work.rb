# frozen_string_literal: true

module Verglas
  module Linkages
    # Calf work on a press: the balls of the feet on the plate's lower edge, the heels beyond it. Rail frame as
    # ClosedLeg; heel drop in degrees, 0 with the sole along the plate, + with the heel further from the client.
    # docs/model.md section 5.
    module CalfWork
      BALL_SHARE = Tables[:calf][:calf][:ball_share]

      module_function

      # x of the plate (mm) with the heels so far down and the knees so bent; nil where the leg has no such place.
      def x_mm(leg, drop_deg:, bend_deg:)
        from_ball = ankle_from_ball(leg, drop_deg)
        height = leg.plate_y_mm + from_ball.n
        along = (leg.reach_mm(bend_deg)**2) - (height**2)
        Math.sqrt(along) - from_ball.s unless along.negative?
      end

      # From the ball of the foot to the ankle.
      def ankle_from_ball(leg, drop_deg)
        body = leg.body
        up = Geometry::Point.towards(-leg.plate_deg)
        drop = Geometry::Angle.radians(drop_deg)
        height = body.ankle_height + leg.sole_mm
        ball = BALL_SHARE * body.foot
        (up * -((ball * Math.cos(drop)) + (height * Math.sin(drop)))) +
          (up.front * ((height * Math.cos(drop)) - (ball * Math.sin(drop))))
      end
    end
  end
end
