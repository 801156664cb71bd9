# frozen_string_literal: true

module Verglas
  module Scenes
    # A knee machine as a Scene: the arm with its roller, the leg at the start, where it will be when the client turns
    # back, and the numbers that stand there. A subclass draws what one sits or lies on (`draw_support`), the body above
    # the knee (`draw_body`), what lies over it (`draw_over`), and says what is shown (`window`, `floor_mm`, `lens`,
    # `fade`).
    class PivotArm < Picture
      POSES = 11
      PIVOT = Geometry::Point.new(0.0, 0.0)
      # Of the tick where the client turns back, either side of the arc; from a leg to the numbers beside it.
      TICK_MM = 30
      BESIDE_MM = 34

      # nil where the arm is not taped: then nothing can be drawn of it.
      def whole = (pictured if mechanics.told?(:arm))

      # Along the arc, and from it past the roller's rim a line where it goes faster: on the side where nothing else
      # stands.
      def slow(sketch, deg)
        upto = mechanics.arm_at(deg, place)
        sketch.arc(
          :slow,
          :slow,
          PIVOT,
          place[:roller_reach],
          [place[:start_angle], upto].map { |arm_deg| turned(arm_deg) },
          moves: true
        )
        at = upright(Geometry::Point.towards(upto) * place[:roller_reach])
        past = ->(mm) { at + (at.unit * (straightens? ? -mm : place[:roller_radius] + mm)) }
        sketch.line(:quickens, :slow, at, past[TICK_MM], width: 7, moves: true)
        Dimension.new(
          of: :quickens,
          from: at,
          to: at,
          at: past[TICK_MM + BESIDE_MM],
          anchor: :middle,
          value: deg,
          unit: :deg
        )
      end

      private

      def straightens? = mechanics.straightens?
      def turning = mechanics.turning(place)

      def pictured
        sketch = Sketch.new
        at = poses
        draw(sketch, at)
        Scene.of(
          effort: Effort.of(mechanics, place, "effort.of_the_middle"),
          window: window,
          floor: floor_mm,
          fade: fade,
          parts: sketch.parts.freeze,
          dimensions: [above_ankle(at), turning_shown],
          targets: [target],
          lens: lens,
          points: tape_points(at),
          poses: moved
        )
      end

      def target
        Target.new(
          finding: :offset,
          at: PIVOT,
          joint: upright(place.joint),
          in_line_mm: mechanics.band(:offset).in_line.max
        )
      end

      # From the machine's frame to the scene's: a bench's n points down.
      def upright(point) = Geometry::Point.new(point.s, point.n * mechanics.up)

      # An arm's angle as degrees from +x towards +y.
      def turned(arm_deg) = -arm_deg * mechanics.up

      # The leg at the start, in the middle of the arc and where the client turns back: nobody is drawn past what is
      # asked of them.
      def poses
        arms = { start: place[:start_angle], middle: mechanics.middle_deg(place), end: turning.first }
        arms.transform_values { |arm_deg| pose(arm_deg) }
      end

      def pose(arm_deg)
        contact = mechanics.contact(place, arm_deg)
        shin = Geometry::Point.towards(contact.shin_deg)
        {
          knee: upright(place.joint),
          ankle: upright(place.joint + (shin * body.shank)),
          contact_mm: contact.contact_mm,
          bend_deg: mechanics.knee_bend_deg(contact.shin_deg),
          roller: upright(contact.roller)
        }
      end

      # All along the arc, from its start to where the client turns back: leg, arm and roller, and how far the roller
      # has gone along the leg.
      def moved
        first = place[:start_angle]
        last = turning.first
        began = mechanics.contact(place, first).contact_mm
        posed_along(POSES) do |share, sketch|
          at = pose(first + ((last - first) * share))
          draw_leg(sketch, at)
          sketch.circle(:ankle, :joint, at[:ankle], 7)
          draw_arm(sketch, at)
          {
            deg: {
              knee_flexion: told_deg(at[:bend_deg])
            },
            limits: {
              knee_flexion: wishes.envelope.to(:knee_flexion)
            },
            pad_mm: at[:contact_mm] - began
          }
        end
      end

      # As the findings tell a bend, rounded; never past what is allowed where the bend itself is not.
      def told_deg(bend_deg)
        from, upto = wishes.envelope[:knee_flexion]
        told = bend_deg.round
        return Mechanisms.at_most(upto) if upto && bend_deg <= upto + Mechanisms::Mechanism::ALIKE_DEG && told > upto

        from && bend_deg >= from - Mechanisms::Mechanism::ALIKE_DEG && told < from ? Mechanisms.at_least(from) : told
      end

      def draw_leg(sketch, pose)
        limbs.shin(sketch, *pose.values_at(:knee, :ankle, :contact_mm))
        limbs.foot(sketch, *pose.values_at(:knee, :ankle))
      end

      def draw(sketch, poses)
        draw_support(sketch)
        draw_ghost(sketch, poses[:end])
        draw_arc(sketch, poses)
        draw_body(sketch, poses[:start])
        draw_leg(sketch, poses[:start])
        sketch.circle(:hip, :joint, upright(mechanics.hip(place)), 7)
        draw_over(sketch)
        draw_arm(sketch, poses[:start])
        draw_on_leg(sketch, poses)
        draw_whole(sketch)
      end

      def limbs = @limbs ||= Limbs.new(body, facing: mechanics.up)

      # Over what is drawn of the body: nothing, unless a subclass has it.
      def draw_over(_sketch) = nil

      def draw_ghost(sketch, pose)
        limbs.shin(sketch, *pose.values_at(:knee, :ankle, :contact_mm), id: :shin_at_end, ghost: true)
        limbs.foot(sketch, *pose.values_at(:knee, :ankle), id: :foot_at_end, ghost: true)
        sketch.circle(:roller_at_end, :roller, pose[:roller], place[:roller_radius], ghost: true, moves: true)
      end

      # The movement, what the arm could do beyond it, and a tick where the client turns back.
      def draw_arc(sketch, poses)
        turns = turning.first
        sketch.arc(
          :arc,
          :path,
          PIVOT,
          place[:roller_reach],
          [place[:start_angle], turns].map { |deg| turned(deg) },
          moves: true
        )
        if (place[:end_angle] - turns).abs > 1
          sketch.arc(
            :beyond,
            :beyond,
            PIVOT,
            place[:roller_reach],
            [turns, place[:end_angle]].map { |deg| turned(deg) },
            moves: true
          )
        end
        out = poses[:end][:roller].unit * TICK_MM
        sketch.line(:target, :target, poses[:end][:roller] - out, poses[:end][:roller] + out, width: 7, moves: true)
      end

      # The way before today's start that is left for later.
      def draw_whole(sketch)
        whole = mechanics.arm_at(mechanics.whole_start_deg, place)
        return if mechanics.grown? || ((place[:start_angle] - whole) * mechanics.side).abs < 1

        ends = [whole, place[:start_angle]].map { |deg| turned(deg) }
        sketch.arc(:whole, :later, PIVOT, place[:roller_reach], ends, moves: true)
      end

      def draw_arm(sketch, pose)
        sketch.line(:arm, :arm, PIVOT, pose[:roller], width: 12, moves: true, of: %i[roller_reach start_angle])
        sketch.circle(
          :roller,
          :roller,
          pose[:roller],
          place[:roller_radius],
          moves: true,
          of: %i[roller_reach roller_radius start_angle]
        )
      end

      # The stretch of the leg that the roller travels, and where it is wanted.
      def draw_on_leg(sketch, poses)
        knee, ankle = poses[:start].values_at(:knee, :ankle)
        down = (ankle - knee).unit
        travelled = poses.each_value.map { |pose| pose[:contact_mm] }.minmax
        sketch.line(:travelled, :travelled, *travelled.map { |mm| knee + (down * mm) }, width: 16, moves: true)
        wanted = knee + (down * (body.shank - mechanics.wanted_above_ankle_mm))
        across = limbs.ahead(down) * body.calf_half
        sketch.line(:wanted, :wanted, wanted - across, wanted + across, width: 6, moves: true)
        sketch.circle(:ankle, :joint, ankle, 7)
      end

      # What is graded, where the tape would lie: from the contact half-way to the ankle bone, on the free side of the
      # leg. Where the leg lies nearly level the writing stands before it, clear of the foot and of the leg's slope.
      def above_ankle(poses)
        knee, ankle = poses[:start].values_at(:knee, :ankle)
        down = (ankle - knee).unit
        out = limbs.ahead(down)
        beside = out * (body.calf_half + (straightens? ? (2 * place[:roller_radius]) + 26 : BESIDE_MM))
        from = knee + (down * poses[:middle][:contact_mm]) + beside
        upto = ankle + beside
        at = straightens? ? ((from + upto) * 0.5) + (out * 26) : from + (down * -16) + (out * 30)
        Dimension.new(
          of: :contact,
          from: from,
          to: upto,
          at: at,
          anchor: straightens? ? :start : :end,
          value: body.shank - poses[:middle][:contact_mm],
          unit: :mm
        )
      end

      # The bend at which the client turns back.
      def turning_shown
        roller = upright(Geometry::Point.towards(turning.first) * place[:roller_reach])
        at = roller + Geometry::Point.new(straightens? ? 46 : -46, 0)
        Dimension.new(
          of: :turning,
          from: roller,
          to: roller,
          at: at,
          anchor: straightens? ? :start : :end,
          value: mechanics.end_target_deg,
          unit: :deg
        )
      end

      # How far to the right the straight leg may reach, by the body alone, so that the scale stays while marks are
      # stepped.
      def straight_leg_mm = [570, body.shank + (0.4 * body.foot) + 70].max

      def arm_points(poses)
        roller = poses[:start][:roller]
        {
          pivot: PIVOT,
          along: Geometry::Point.new(200, 0),
          roller: roller,
          roller_edge: roller + Geometry::Point.new(place[:roller_radius], 0),
          start_arm: roller,
          end_arm: upright(Geometry::Point.towards(place[:end_angle]) * place[:roller_reach])
        }
      end
    end
  end
end
