# frozen_string_literal: true

module Verglas
  module Scenes
    # A bench from the side: foot plate, pad, the legs on it, the trunk where the movement turns and, as a ghost, where
    # it ends; the effort over the range.
    class HingeBench < Picture
      # Below this a head comes so low that the lower corner is not free.
      FLAT_DEG = 50
      PAD = { length: 300, thickness: 84 }.freeze
      PLATE_MM = 26
      SHOE_MM = 24
      ROLLER_MM = 46
      HEAD_MM = 104
      POSES = 15
      # Of the pad over the floor, a level bench and an angled one's foot plate (drawn, not taped).
      LEVEL_FLOOR_MM = 860
      ANGLED_FLOOR_MM = 190
      # Where a roller's line ends that is not taped yet.
      UNTAPED_ROLLER_MM = 70

      def pictured_at = :bottom

      private

      def top_deg = mechanics.top_deg
      def bottom_deg = mechanics.bottom_deg(place)
      def crease_mm = mechanics.crease_mm(place)
      def level? = mechanics.level?

      def pictured
        sketch = Sketch.new
        draw_bench(sketch)
        draw_trunk(sketch, top_deg, "_at_top", ghost: true) unless mechanics.held?
        draw_legs(sketch)
        draw_trunk(sketch, bottom_deg, "")
        draw_pad(sketch)
        draw_range(sketch)
        Scene.of(
          window: window,
          floor: floor,
          fade: [point(0, 1), point(0, 0)],
          parts: sketch.parts.freeze,
          dimensions: dimensions,
          targets: [],
          lens: nil,
          points: tape_points,
          poses: poses,
          curve: curve
        )
      end

      # Of the trunk over level, where the hips turn and where they end.
      def ends_deg = [bottom_deg, mechanics.end_deg(place)].map { |bend| mechanics.trunk_deg(place, bend) }

      def up_deg = mechanics.bench_deg(place)
      def along = towards(up_deg)

      # The side of the legs that lies on the pad.
      def front = towards(up_deg - 90)

      def on_leg(mm, off = 0.0) = (along * mm) + (front * off)

      # The foot plate or, where a roller holds the heels, what its height is counted from.
      def sole_at = -(place.parameters[:heel_roller] || 0.0)

      def hip = on_leg(crease_mm)

      # Soft knees stand out to the front of the line from hip to ankle.
      def knee = on_leg(crease_mm - (body.thigh * cos(thigh_off_deg)), body.thigh * sin(thigh_off_deg))

      def ankle = on_leg(crease_mm - (body.thigh * cos(thigh_off_deg)) - (body.shank * cos(soft_deg - thigh_off_deg)))
      def soft_deg = family.joints.fetch(:knee_flexion).held_within(wishes.envelope)
      def thigh_off_deg
        Geometry::Angle.degrees(Math.atan2(body.shank * sin(soft_deg), body.thigh + (body.shank * cos(soft_deg))))
      end
      def cos(deg) = Math.cos(Geometry::Angle.radians(deg))
      def sin(deg) = Math.sin(Geometry::Angle.radians(deg))
      def under_thigh_mm = body.hip_rise * 0.94

      def draw_bench(sketch)
        beam = under_thigh_mm + PAD[:thickness] + 34
        foot = on_leg(sole_at + 40, beam)
        head = on_leg(place[:pad_top] - 60, beam)
        sketch.line(:beam, :frame, foot, head, width: 22, of: %i[bench_angle])
        [[:post_low, foot], [:post_high, on_leg(place[:pad_top] - 200, beam)]].each do |id, at|
          sketch.line(id, :frame, at, point(at.s, floor + 8), width: 15)
        end
        sketch.line(:foot_bar, :frame, point(foot.s - 120, floor + 8), point(head.s + 160, floor + 8), width: 15)
        draw_plate(sketch, beam)
      end

      def draw_plate(sketch, beam)
        sketch.board(
          :foot_plate,
          :machine,
          on_leg(sole_at, -0.32 * body.foot),
          on_leg(sole_at, [0.9 * body.foot, beam].max),
          -PLATE_MM,
          of: %i[pad_top]
        )
      end

      def draw_legs(sketch)
        limbs = Limbs.new(body)
        limbs.thigh(sketch, hip, knee)
        limbs.shin(sketch, knee, ankle, body.shank * 0.6)
        sketch.capsule(
          :foot,
          :body,
          [on_leg(sole_at + SHOE_MM, -0.16 * body.foot), on_leg(sole_at + SHOE_MM, 0.7 * body.foot)],
          [SHOE_MM, 18],
          moves: true
        )
        sketch.circle(
          :heel_roller,
          :roller,
          on_leg(brace_mm, -(body.calf_half + ROLLER_MM)),
          ROLLER_MM,
          of: %i[heel_roller]
        )
      end

      # What holds the heels, where it is not taped just above the ankle.
      def brace_mm
        (place.parameters[:heel_roller] || 0.0).positive? ? 0.0 : body.ankle_height + wishes[:sole_mm] + ROLLER_MM
      end

      def draw_trunk(sketch, bend_deg, suffix, **how)
        up = towards(mechanics.trunk_deg(place, bend_deg))
        ends = [hip, hip + (up * (body.torso * 0.97))]
        sketch.capsule(
          :"trunk#{suffix}",
          :body,
          ends,
          [body.hip_depth * 0.8, body.hip_depth * 0.66],
          moves: true,
          **how
        )
        sketch.circle(:"head#{suffix}", :body, hip + (up * (body.torso + HEAD_MM + 18)), HEAD_MM, moves: true, **how)
      end

      def draw_pad(sketch)
        sketch.board(
          :hip_pad,
          :pad,
          on_leg(place[:pad_top] - PAD[:length], under_thigh_mm),
          on_leg(place[:pad_top], under_thigh_mm),
          PAD[:thickness],
          moves: true,
          of: %i[pad_top]
        )
        { hip: hip, knee: knee, ankle: ankle }.each { |id, at| sketch.circle(id, :joint, at, 8, moves: true) }
      end

      # The way of the head, a tick where it turns, and level.
      def draw_range(sketch)
        reach = body.torso + HEAD_MM + 18
        low, high = ends_deg
        sketch.arc(:arc, :path, hip, reach, [low, high], moves: true) unless mechanics.held?
        draw_whole(sketch, reach, low) unless mechanics.grown? || mechanics.held?
        sketch.line(:level, :beyond, hip, hip + point(reach + 60, 0), width: 4)
        turn = hip + (towards(low) * reach)
        sketch.line(:target, :target, turn - (towards(low) * 40), turn + (towards(low) * 40), width: 8, moves: true)
      end

      # The way that is left for later.
      def draw_whole(sketch, reach, low)
        whole = mechanics.trunk_deg(place, mechanics.whole_bottom_deg(place))
        sketch.arc(:whole, :later, hip, reach, [whole, low], moves: true) if whole < low
      end

      def floor = level? ? -LEVEL_FLOOR_MM : [-ANGLED_FLOOR_MM, lowest - 60].min
      def lowest
        hip.n +
          (
            (body.torso + (2 * HEAD_MM)) *
              [
                Math.sin(
                  Geometry::Angle.radians(mechanics.trunk_deg(place, mechanics.own_bottom_deg(place).clamp(0, 100)))
                ),
                0.0
              ].min
          )
      end

      def window
        reach = body.torso + (2 * HEAD_MM) + 60
        right = hip.s + reach
        top = [
          hip.n + (reach * [Math.sin(Geometry::Angle.radians(mechanics.trunk_deg(place, top_deg))), 0.0].max),
          hip.n + 200
        ].max
        { left: -300, bottom: floor - 22, width: right + 300, height: top + 30 - floor + 22 }
      end

      # How far the crease stands above the pad's edge, on the free side of the body; the bend where it turns.
      def dimensions
        out = -((body.hip_depth * 0.8) + 46)
        from, upto = [place[:pad_top], crease_mm].map { |mm| on_leg(mm, out) }
        turn = hip + (towards(mechanics.trunk_deg(place, bottom_deg)) * (body.torso + HEAD_MM + 18))
        [
          Dimension.new(
            of: :hip_gap,
            from: from,
            to: upto,
            at: ((from + upto) * 0.5) + (front * -30),
            anchor: level? ? :start : :end,
            value: mechanics.gap_mm(place),
            unit: :mm
          ),
          Dimension.new(
            of: :turning,
            from: turn,
            to: turn,
            at: turn + point(HEAD_MM + 26, 0),
            anchor: :start,
            value: bottom_deg,
            unit: :deg
          )
        ]
      end

      def tape_points
        roller = place.parameters[:heel_roller] || 0.0
        heel = ->(mm) { on_leg(sole_at + mm, -60) }
        sole = on_leg(0, under_thigh_mm)
        {
          heel_sole: heel[0],
          heel_roller: heel[roller.positive? ? roller : UNTAPED_ROLLER_MM],
          sole: sole,
          pad_edge: on_leg(place[:pad_top], under_thigh_mm),
          level_ahead: sole + point(420, 0),
          bench_up: sole + (along * 420)
        }
      end

      # All along the movement, from where it turns; of hips that keep their bend there is none.
      def poses
        return [] if mechanics.held?

        posed_along(POSES) do |share, sketch|
          bend = mechanics.bend_at(place, share)
          trunk = mechanics.trunk_deg(place, bend)
          draw_trunk(sketch, bend, "")
          {
            deg: {
              hip_flexion: bend,
              trunk: trunk
            },
            limits: {
              hip_flexion: mechanics.own_bends_deg.min
            },
            at_deg: trunk,
            effort_nm: mechanics.torque_nm(trunk)
          }
        end
      end

      # A level bench compares nothing: its top is where the trunk is level.
      def curve
        low, high = ends_deg
        tops = level? ? {} : mechanics.compared_deg.to_h { |deg| [deg - top_deg, false] }.merge(high => true)
        EffortCurve.new(mechanics).drawn(
          from: [low - 5, -45].min,
          upto: [high, *tops.keys].max + 8,
          range: [low, high],
          says: Telling::Says.of("effort.hinge"),
          tops: tops,
          corner: corner
        )
      end

      # Where the trunk never comes, and no leg lies.
      def corner
        return if level?

        mechanics.bench_deg(place) < FLAT_DEG ? :top_left : :bottom_right
      end
    end
  end
end
