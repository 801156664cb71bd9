# frozen_string_literal: true

module Verglas
  module Mechanisms
    # Where on a plate the heels may stand for a wanted depth, and how deep the movement goes there: at the lower end the ankle (or
    # the rule about knees and toes) closes it, at the upper end the hip, at either the plate itself. Angles of the closed plane sum
    # up: knee bend = hip bend + ankle bend + trunk - plate - 90, whatever the lengths. docs/model.md section 5.
    class FootWindow
      STEP_DEG = Tables[:press][:movement][:step_deg]
      TOUCHES = 1e-9
      # How near a limit is found (degrees), and after how many tries at the latest.
      CLOSE_DEG = 1e-10
      TRIES = 40
      # How far beyond what is wanted it is worth to know.
      BEYOND_DEG = 20

      # What closes it. toes: how far a knee may come, by the house rule, :over the ankle, :up to the toes, or :past them.
      Limits = Struct.new(:hip_bend_deg, :ankle_bend_deg, :knee_bend_deg, :toes, keyword_init: true)

      # Where a movement turns back: the leg with its knee bent so far and its heel at a height (mm), and what ends it (:target, :knee where
      # the knee's own limit cut the target, :hip, :ankle, :toes, or :reach where the leg is too short).
      Bottom = Struct.new(:leg, :bend_deg, :f_mm, :by) do
        # ClosedLeg::State; and where the plate is then (mm), without it.
        def state = @state ||= leg.towards_bend(bend_deg, f_mm)
        def x_mm = leg.x_towards_bend(bend_deg, f_mm)
      end

      # How deep the knee could bend (degrees), and what ends it there; by nil where nothing does within what was looked at.
      Deepest = Struct.new(:bend_deg, :by)

      attr_reader :leg, :target_deg

      # leg: ClosedLeg; target_deg: the knee bend that is wanted; lowest_mm: below which no heel shall stand.
      def initialize(leg, limits:, plate_length_mm:, target_deg:, lowest_mm: 0.0)
        @leg = leg
        @limits = limits
        @room_mm = plate_length_mm - leg.body.foot
        @last_mm = [@room_mm, 0.0].max
        @first_mm = [lowest_mm, @last_mm].min
        @wanted_deg = target_deg
        @target_deg = [target_deg, limits.knee_bend_deg].compact.min
      end

      # The heights (mm) between which a plate takes the heel at all; nil where it is shorter than the foot.
      def plate_mm = @room_mm.negative? ? nil : [0.0, @room_mm]

      # The ankle's end, from its own limit or from the toes: degrees, and its name.
      def cap_deg = @cap_deg ||= [@limits.ankle_bend_deg, toes_deg].compact.min
      def cap_by = toes_deg && toes_deg <= @limits.ankle_bend_deg ? :toes : :ankle

      # Heights of the heel (mm) at both ends: where the body alone ends it if that leaves nothing, else what of it is on the plate.
      def low_mm = closed? ? lowest_of_body : lowest_of_body.clamp(@first_mm, @last_mm)
      def high_mm = closed? ? highest_of_body : highest_of_body.clamp(@first_mm, @last_mm)

      # Names of what closes each end, [lower, upper].
      def ends = [lowest_of_body < @first_mm ? :plate : cap_by, highest_of_body > @last_mm ? :plate : :hip]

      # What leaves nothing: [:hip, :ankle], [:hip, :toes] or [:plate]; empty where something is left.
      def empty_by
        return [:hip, cap_by] if closed?

        off_the_plate? ? [:plate] : []
      end

      def empty? = empty_by.any?

      # The deepest knee bend that hip and ankle leave together (degrees), and what is missing of the wanted one: the depth to give up,
      # the recline to add, or the wedge under the heels.
      def greatest_deg = @limits.hip_bend_deg + cap_deg + leg.trunk_deg - leg.plate_deg - 90
      def depth_deg = closed? ? greatest_deg : target_deg
      def deficit_deg = target_deg - depth_deg

      # The heel's height to use (mm): the middle; where nothing is left, the nearest to it.
      def heel_mm
        return low_at(greatest_deg).clamp(@first_mm, @last_mm) if closed?

        off_the_plate? ? lowest_of_body.clamp(@first_mm, @last_mm) : (low_mm + high_mm) / 2
      end

      # How deep the movement could go at a height of the heel: from the top downwards, until a limit comes; looked for until so far
      # beyond the target. nil where not even the top can be reached.
      def deepest(f_mm = heel_mm, beyond_deg: BEYOND_DEG)
        ankle_y = leg.ankle_y_mm(f_mm)
        free = ClosedLeg::TOP_BEND_DEG
        thigh = leg.thigh_at(free, ankle_y)
        return if stops(free, thigh)

        last = @wanted_deg + beyond_deg
        while free < last
          bend = [free + surely_free(free, thigh), last].min
          thigh = leg.thigh_at(bend, ankle_y)
          by = stops(bend, thigh)
          return Deepest.new(last_free(free, bend, ankle_y), by) if by

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

      # The limit that a bend passes with the thigh lying so (degrees), or :reach where the leg has no such place (thigh nil); nil where
      # it passes none.
      def stops(bend_deg, thigh)
        return :reach unless thigh
        return :hip if thigh > furthest_thigh_deg

        cap_by if bend_deg - thigh > ankle_room_deg
      end

      # How many whole steps (degrees of knee bend) no limit can come from a bend that passes none: while thigh and shin lean forward,
      # neither hip nor ankle bends faster than the knee (thigh' = shank * cos(shin) / x of the ankle). At least one.
      def surely_free(bend_deg, thigh)
        room = [furthest_thigh_deg - thigh, ankle_room_deg - bend_deg + thigh, 90 - thigh, 90 + thigh - bend_deg].min
        [(room / STEP_DEG).floor * STEP_DEG, STEP_DEG].max
      end

      # The same limits as they meet the thigh: hip bend = 180 - trunk + thigh; ankle bend = knee bend - 90 + plate - thigh.
      def furthest_thigh_deg = @furthest_thigh_deg ||= leg.thigh_of_hip(@limits.hip_bend_deg) + TOUCHES
      def ankle_room_deg = @ankle_room_deg ||= cap_deg + 90 - leg.plate_deg + TOUCHES

      # By how much (degrees) a bend is past the nearer limit, negative where it is within; nil where the leg has no such place.
      def excess(bend_deg, ankle_y)
        thigh = leg.thigh_at(bend_deg, ankle_y)
        thigh && [thigh - furthest_thigh_deg, bend_deg - thigh - ankle_room_deg].max
      end

      # The last bend within the limits between one that is and one that is not; halving where the leg ends.
      def last_free(free, stopped, ankle_y)
        return halved(free, stopped, ankle_y) unless excess(stopped, ankle_y)

        Geometry::Root.between(free, stopped, close: CLOSE_DEG) { |bend| excess(bend, ankle_y) }
      end

      def halved(free, stopped, ankle_y)
        TRIES.times do
          middle = (free + stopped) / 2.0
          stops(middle, leg.thigh_at(middle, ankle_y)) ? stopped = middle : free = middle
        end
        free
      end
    end
  end
end
