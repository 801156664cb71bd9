# frozen_string_literal: true

module Verglas
  module Scenes
    # A bench from the side: plate and rollers that hold the feet, the pad under the knees, the body level and, as a
    # ghost, upright.
    class GluteHam < Picture
      FLOOR_MM = -860
      PAD_MM = 170
      HEAD_MM = 104
      ROLLER_MM = 46
      SHOE_MM = 24
      POSES = 13

      def pictured_at = :bottom

      private

      def leg_mm = mechanics.leg_mm
      def bottom_deg = mechanics.bottom_deg
      def top_deg = mechanics.top_deg

      def pictured
        sketch = Sketch.new
        draw_bench(sketch)
        draw_body(sketch, top_deg, "_at_top", ghost: true)
        draw_shanks(sketch)
        draw_body(sketch, bottom_deg, "")
        sketch.arc(:arc, :path, knee, reach, [bottom_deg, top_deg], moves: true)
        { knee: knee, ankle: point(leg_mm - body.shank, 0) }.each do |id, at|
          sketch.circle(id, :joint, at, 8, moves: true)
        end
        Scene.of(
          window: window,
          floor: FLOOR_MM,
          fade: [point(0, 1), point(0, 0)],
          parts: sketch.parts.freeze,
          dimensions: dimensions,
          targets: [],
          lens: nil,
          points: {
            sole: point(0, -140),
            pad_middle: point(place[:plate_to_pad], -140)
          },
          poses: poses,
          curve: curve
        )
      end

      def knee = point(leg_mm, 0)
      def reach = body.thigh + body.torso + HEAD_MM + 18

      def draw_bench(sketch)
        pad = point(place[:plate_to_pad], -(body.knee_front * 0.9) - PAD_MM)
        sketch.line(:beam, :frame, point(-30, -430), point(pad.s + 60, -430), width: 22)
        [[:post_plate, 20], [:post_pad, pad.s]].each do |id, x|
          sketch.line(id, :frame, point(x, id == :post_pad ? pad.n : -430), point(x, FLOOR_MM + 8), width: 15)
        end
        sketch.line(:foot_bar, :frame, point(-140, FLOOR_MM + 8), point(pad.s + 260, FLOOR_MM + 8), width: 15)
        draw_holds(sketch, pad)
      end

      # What the feet are held between, and what the knees lie on.
      def draw_holds(sketch, pad)
        sketch.line(:plate_post, :frame, point(-14, -300), point(-14, -430), width: 15)
        sketch.board(:foot_plate, :machine, point(0, -300), point(0, 110), -26)
        sketch.circle(:knee_pad, :pad, pad, PAD_MM, moves: true, of: %i[plate_to_pad])
        sketch.circle(:heel_roller, :roller, point(leg_mm - body.shank + 60, body.calf_half + ROLLER_MM), ROLLER_MM)
      end

      def draw_shanks(sketch)
        ankle = point(leg_mm - body.shank, 0)
        Limbs.new(body).shin(sketch, knee, ankle, body.shank * 0.6)
        sketch.capsule(
          :foot,
          :body,
          [point(SHOE_MM, 0.16 * body.foot), point(SHOE_MM, -0.7 * body.foot)],
          [SHOE_MM, 18],
          moves: true
        )
      end

      # Everything above the knee in one line.
      def draw_body(sketch, bend_deg, suffix, **how)
        up = towards(bend_deg)
        hip = knee + (up * body.thigh)
        sketch.capsule(
          :"thigh#{suffix}",
          :body,
          [knee, hip],
          [body.knee_front * 0.96, body.hip_rise],
          moves: true,
          **how
        )
        sketch.capsule(
          :"trunk#{suffix}",
          :body,
          [hip, hip + (up * (body.torso * 0.97))],
          [body.hip_depth * 0.8, body.hip_depth * 0.66],
          moves: true,
          **how
        )
        sketch.circle(:"head#{suffix}", :body, knee + (up * reach), HEAD_MM, moves: true, **how)
      end

      def window
        {
          left: -300,
          bottom: FLOOR_MM - 22,
          width: leg_mm + reach + HEAD_MM + 400,
          height: reach + HEAD_MM + 60 - FLOOR_MM + 22
        }
      end

      # The knee from the middle of the pad, above the leg.
      def dimensions
        from, upto = [place[:plate_to_pad], leg_mm].map { |x| point(x, body.knee_front + 70) }
        [
          Dimension.new(
            of: :knee_over_pad,
            from: from,
            to: upto,
            at: ((from + upto) * 0.5) + point(0, 46),
            anchor: :middle,
            value: mechanics.knee_over_pad_mm(place),
            unit: :mm
          )
        ]
      end

      def poses
        posed_along(POSES) do |share, sketch|
          bend = bottom_deg + ((top_deg - bottom_deg) * share)
          draw_body(sketch, bend, "")
          {
            deg: {
              knee_flexion: bend
            },
            limits: {
              knee_flexion: wishes.envelope.to(:knee_flexion)
            },
            at_deg: bend,
            effort_nm: mechanics.torque_nm(bend)
          }
        end
      end

      def curve
        EffortCurve.new(mechanics).drawn(
          from: 0,
          upto: Mechanisms::GluteHam::UPRIGHT_DEG,
          range: [bottom_deg, top_deg],
          says: Telling::Says.of("effort.glute_ham"),
          corner: :top_left
        )
      end
    end
  end
end
