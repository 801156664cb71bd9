# frozen_string_literal: true

module Verglas
  module Scenes
    # A press as for the press, the feet turned about their balls on the plate's lower edge: with the heels lowest, and
    # as a ghost with the heels highest.
    class CalfPress < LegPress
      # Of the foot, from its ball back to the heel and on to the toes; how much thicker it is at its ball than at the
      # toes (mm).
      HEEL_SHARE = Linkages::CalfWork::BALL_SHARE + Linkages::ClosedLeg::FOOT[:heel_to_ankle]
      TOES_SHARE = KneeLever::TOES_SHARE
      BALL_MM = KneeLever::TOE_MM + KneeLever::BALL_MM
      HEEL_LEAST_MM = 26

      private

      # It has no say here, and may not be taped.
      def plate_length_mm = place[:plate_length] || (2 * body.foot)

      # What is graded is the whole range's lowest place.
      def bottom = mechanics.whole_bottom(place)

      # The plate is one piece that is carried along; the foot turns on it.
      def poses
        low = turning
        on_plate = places_drawn { |sketch| draw_plate(sketch, low) }
        posed_along(POSES) do |share, sketch|
          state = mechanics.along(place, share)
          sketch.carried(on_plate, plate_at(state) - plate_at(low))
          draw_leg(sketch, state)
          draw_foot(sketch, state)
          { deg: bends(state), limits: { heel_drop: mechanics.heel_drop_deg(place) } }
        end
      end

      def bends(state)
        {
          heel_drop: state.drop_deg,
          ankle_dorsiflexion: state.ankle_bend_deg,
          knee_flexion: state.knee_bend_deg,
          hip_flexion: state.hip_bend_deg
        }
      end

      def draw_foot(sketch, state, suffix = "", **how)
        heel_mm = [(body.ankle_height + wishes[:sole_mm]) / 2.0, HEEL_LEAST_MM].max
        heel = on_sole(state, state.toes_along, -HEEL_SHARE, heel_mm)
        ball = on_sole(state, state.toes_along, 0, BALL_MM)
        toes = on_sole(state, toes_of(state), TOES_SHARE, KneeLever::TOE_MM)
        sketch.capsule(:"foot#{suffix}", :body, [heel, ball], [heel_mm, BALL_MM], moves: true, **how)
        sketch.capsule(:"toes#{suffix}", :body, [ball, toes], [BALL_MM, KneeLever::TOE_MM], moves: true, **how)
      end

      # Under a heel that rises the toes stay on the plate.
      def toes_of(state) = state.drop_deg.negative? ? up_the_plate : state.toes_along

      # So many shares of the foot from its ball along a direction, and so far off it towards the ankle (mm).
      def on_sole(state, along, share, off_mm)
        drawn(state, state.ball + (along * (share * body.foot)) + (along.front * off_mm))
      end

      def plate_from_front = nil
    end
  end
end
