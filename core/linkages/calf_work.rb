# frozen_string_literal: true

module Verglas
  module Linkages
    # Calf work on a press: the balls of the feet on the plate's lower edge, the heels beyond it. Rail frame as
    # ClosedLeg; heel drop in degrees, 0 with the sole along the plate, + with the heel further from the client.
    # docs/model.md section 5.
    module CalfWork
      # Of the foot, from the ankle to its ball.
      BALL_SHARE = Tables[:calf][:calf][:ball_share]

      # The leg with its foot turned about the ball: where the plate is (x_mm), the joints, their bends (degrees), the
      # ball (Point), and the directions from the ball towards the toes and square to the sole towards the ankle (unit
      # Points).
      State =
        Struct.new(
          :x_mm,
          :ball,
          :ankle,
          :knee,
          :toes_along,
          :off_sole,
          :drop_deg,
          :knee_bend_deg,
          :hip_bend_deg,
          :ankle_bend_deg
        ) do
          # Lever arm of a force along the rail through the ball about the ankle (mm), + where the calf holds it.
          def ankle_lever_mm = ball.n - ankle.n
        end

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
        toes, off = axes(leg, drop_deg)
        (toes * -(BALL_SHARE * leg.body.foot)) + (off * (leg.body.ankle_height + leg.sole_mm))
      end

      # A State; where the leg has no such place, the one in which it lies straight up or down to it.
      def state(leg, drop_deg:, bend_deg:)
        from_ball = ankle_from_ball(leg, drop_deg)
        x = x_mm(leg, drop_deg: drop_deg, bend_deg: bend_deg) || -from_ball.s
        ball = Geometry::Point.new(x, leg.plate_y_mm)
        flat = leg.with_ankle(ball + from_ball, bend_deg)
        toes, off = axes(leg, drop_deg)
        State.new(
          x,
          ball,
          flat.ankle,
          flat.knee,
          toes,
          off,
          drop_deg,
          bend_deg,
          flat.hip_bend_deg,
          flat.ankle_bend_deg + drop_deg
        )
      end

      # Unit Points: along the sole towards the toes, and square to it towards the client.
      def axes(leg, drop_deg)
        toes = Geometry::Point.towards(-leg.plate_deg - drop_deg)
        [toes, toes.front]
      end
    end
  end
end
