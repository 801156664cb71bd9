# frozen_string_literal: true

module Verglas
  module Linkages
    # Where on a plate the heels may stand for a wanted depth, and how deep the movement goes there: at the lower end
    # the ankle (or the rule about knees and toes) closes it, at the upper end the hip, at either the plate itself.
    # Angles of the closed plane sum up: knee bend = hip bend + ankle bend + trunk - plate - 90, whatever the lengths.
    # docs/model.md section 5.
    class FootWindow
      # How far past a limit still is within it, and how near to one another two bends are one (degrees).
      TOUCHES = 1e-9
      ALIKE = 1e-6
      # How much deeper the pelvis may start to roll for it to be told of an end, before what comes first by less than
      # anybody sees (degrees).
      TOLD_BEFORE_DEG = 1
      # The middle of the window.
      EVEN = Tables[:press][:foot_share][:even]
      # How far beyond what is wanted it is worth to know.
      BEYOND_DEG = 20

      # What closes it. toes: how far a knee may come, by the house rule, :over the ankle, :up to the toes, or :past
      # them.
      Limits = Struct.new(:hip_bend_deg, :ankle_bend_deg, :knee_bend_deg, :toes, keyword_init: true)

      # Where a movement turns back: the leg with its knee bent so far and its heel at a height (mm), and what ends it
      # (:target, :knee where the knee's own limit cut the target, :hip, :ankle, :toes, or :reach where the leg is too
      # short).
      Bottom =
        Struct.new(:leg, :bend_deg, :f_mm, :by) do
          # ClosedLeg::State; and where the plate is then (mm), without it.
          def state = @state ||= leg.towards_bend(bend_deg, f_mm)
          def x_mm = leg.x_towards_bend(bend_deg, f_mm)
        end

      # How deep the knee could bend (degrees), and what ends it there; by nil where nothing does within what was looked
      # at.
      Deepest = Struct.new(:bend_deg, :by)

      attr_reader :leg, :target_deg

      # leg: ClosedLeg; target_deg: the knee bend that is wanted; top_deg: the one with which a set begins; lowest_mm:
      # below which no heel shall stand; share: of what is left, where the heels are to stand.
      def initialize(
        leg,
        limits:,
        plate_length_mm:,
        target_deg:,
        top_deg: ClosedLeg::TOP_BEND_DEG,
        lowest_mm: 0.0,
        share: EVEN
      )
        @share = share
        @leg = leg
        @limits = limits
        @room_mm = plate_length_mm - leg.body.foot
        @last_mm = [@room_mm, 0.0].max
        @first_mm = [lowest_mm, @last_mm].min
        @top_deg = top_deg
        @wanted_deg = target_deg
        @target_deg = [target_deg, limits.knee_bend_deg].compact.min
      end

      # The heights (mm) between which a plate takes the heel at all; nil where it is shorter than the foot.
      def plate_mm = @room_mm.negative? ? nil : [0.0, @room_mm]

      # The ankle's end, from its own limit or from the toes: degrees, and its name.
      def cap_deg = @cap_deg ||= [@limits.ankle_bend_deg, toes_deg].compact.min
      def cap_by = toes_deg && toes_deg <= @limits.ankle_bend_deg ? :toes : :ankle

      # Heights of the heel (mm) at both ends: where the body alone ends it if that leaves nothing, else what of it is
      # on the plate.
      def low_mm = closed? ? lowest_of_body : lowest_of_body.clamp(@first_mm, @last_mm)
      def high_mm = closed? ? highest_of_body : highest_of_body.clamp(@first_mm, @last_mm)

      # Names of what closes each end, [lower, upper].
      def ends = [lowest_of_body < @first_mm ? :plate : cap_by, highest_of_body > @last_mm ? :plate : :hip]

      # What leaves nothing: [:hip, :ankle], [:hip, :toes] or [:plate]; empty where something is left.
      def empty_by
        return :hip, cap_by if closed?

        off_the_plate? ? [:plate] : []
      end

      def empty? = empty_by.any?

      # The deepest knee bend that hip and ankle leave together (degrees), and what is missing of the wanted one: the
      # depth to give up, the recline to add, or the wedge under the heels.
      def greatest_deg = @limits.hip_bend_deg + cap_deg + leg.trunk_deg - leg.plate_deg - 90
      def depth_deg = closed? ? greatest_deg : target_deg
      def deficit_deg = target_deg - depth_deg

      # The heel's height to use (mm): at a share of the window, as a rule its middle; where nothing is left, the
      # nearest to it.
      def heel_mm(share = @share)
        return low_at(greatest_deg).clamp(@first_mm, @last_mm) if closed?

        off_the_plate? ? lowest_of_body.clamp(@first_mm, @last_mm) : low_mm + (share * (high_mm - low_mm))
      end

      # How deep the movement could go at a height of the heel: from the top downwards, until a limit comes; looked for
      # until so far beyond the target. nil where not even the top can be reached. Exact: between two bends at which a
      # limit is met, it is kept or passed all the way.
      def deepest(f_mm = heel_mm, beyond_deg: BEYOND_DEG)
        ankle_y = leg.ankle_y_mm(f_mm)
        free = @top_deg
        return if stops(free, ankle_y)

        last = @wanted_deg + beyond_deg
        meeting(free, last, ankle_y).each do |bend|
          next if bend - free < ALIKE

          by = stops((free + bend) / 2, ankle_y)
          return Deepest.new(free, told(by, free, ankle_y)) if by

          free = bend
        end
        Deepest.new(last, nil)
      end

      # Where the movement turns at a height of the heel: at the target, or where a limit comes before. nil as above.
      def bottom(f_mm = heel_mm, deepest: deepest(f_mm, beyond_deg: 0))
        return unless deepest

        limited = deepest.bend_deg < target_deg
        Bottom.new(leg, limited ? deepest.bend_deg : target_deg, f_mm, limited ? deepest.by : aim)
      end

      private

      def aim = target_deg < @wanted_deg ? :knee : :target
      def toes_deg = { over: 0.0, up_to: leg.toes_bend_deg }[@limits.toes]
      def low_at(bend_deg) = leg.heel_at(bend_deg, leg.thigh_of_ankle(cap_deg, bend_deg))
      def lowest_of_body = @lowest_of_body ||= low_at(target_deg)
      def highest_of_body = @highest_of_body ||= leg.heel_at(target_deg, leg.thigh_of_hip(@limits.hip_bend_deg))
      def closed? = target_deg > greatest_deg + TOUCHES
      # A plate shorter than the foot leaves nothing either.
      def off_the_plate? = @room_mm.negative? || lowest_of_body > @last_mm || highest_of_body < @first_mm

      # The limit that a bend passes, the ankle so high (mm): :reach where the leg has no such place; nil where it
      # passes none.
      def stops(bend_deg, ankle_y)
        thigh = leg.thigh_at(bend_deg, ankle_y)
        return :reach unless thigh
        return :hip if thigh > furthest_thigh_deg

        cap_by if bend_deg - thigh > furthest_shin_deg
      end

      # What an end is told to be: of two that come together the one that hurts.
      def told(by, bend_deg, ankle_y) = stops(bend_deg + TOLD_BEFORE_DEG, ankle_y) == :hip ? :hip : by

      # The bends in between at which the leg meets a limit, in their order, and the last.
      def meeting(free, last, ankle_y)
        met = [
          *leg.bends_of_thigh(furthest_thigh_deg, ankle_y),
          *leg.bends_of_shin(furthest_shin_deg, ankle_y),
          *leg.bends_of_reach(ankle_y)
        ]
        met.grep(free..last).sort << last
      end

      # The same limits as they meet the thigh and the shin: hip bend = 180 - trunk + thigh; ankle bend = shin - 90 +
      # plate.
      def furthest_thigh_deg = @furthest_thigh_deg ||= leg.thigh_of_hip(@limits.hip_bend_deg) + TOUCHES
      def furthest_shin_deg = @furthest_shin_deg ||= cap_deg + 90 - leg.plate_deg + TOUCHES
    end
  end
end
