# frozen_string_literal: true

module Verglas
  module Mechanisms
    # Where on a plate the heels may stand for a wanted depth, and how deep the movement goes there: at the lower end the ankle (or
    # the rule about knees and toes) closes it, at the upper end the hip, at either the plate itself. Angles of the closed plane sum
    # up: knee bend = hip bend + ankle bend + trunk - plate - 90, whatever the lengths. docs/model.md section 5.
    class FootWindow
      STEP_DEG = Tables[:press][:movement][:step_deg]
      TOUCHES = 1e-9

      # What closes it. toes: how far a knee may come, by the house rule, :over the ankle, :up to the toes, or :past them.
      Limits = Struct.new(:hip_bend_deg, :ankle_bend_deg, :knee_bend_deg, :toes, keyword_init: true)

      # Where a movement turns back: the ClosedLeg::State, and what ends it (:target, :hip, :ankle, :toes, or :reach where the leg is too short).
      Bottom = Struct.new(:state, :by)

      attr_reader :leg, :target_deg

      # leg: ClosedLeg; target_deg: the knee bend that is wanted.
      def initialize(leg, limits:, plate_length_mm:, target_deg:)
        @leg = leg
        @limits = limits
        @room_mm = plate_length_mm - leg.body.foot
        @last_mm = [@room_mm, 0.0].max
        @target_deg = [target_deg, limits.knee_bend_deg].compact.min
      end

      # The ankle's end, from its own limit or from the toes: degrees, and its name.
      def cap_deg = [@limits.ankle_bend_deg, toes_deg].compact.min
      def cap_by = toes_deg && toes_deg <= @limits.ankle_bend_deg ? :toes : :ankle

      # Heights of the heel (mm) at both ends: where the body alone ends it if that leaves nothing, else what of it is on the plate.
      def low_mm = closed? ? low_at(target_deg) : low_at(target_deg).clamp(0.0, @last_mm)
      def high_mm = closed? ? high_at(target_deg) : high_at(target_deg).clamp(0.0, @last_mm)

      # Names of what closes each end, [lower, upper].
      def ends = [low_at(target_deg).negative? ? :plate : cap_by, high_at(target_deg) > @last_mm ? :plate : :hip]

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
        return low_at(greatest_deg).clamp(0.0, @last_mm) if closed?

        off_the_plate? ? low_at(target_deg).clamp(0.0, @last_mm) : (low_mm + high_mm) / 2
      end

      # How deep the movement goes at a height of the heel: from the top downwards, until a limit comes. A Bottom; nil where not even
      # the top can be reached.
      def bottom(f_mm = heel_mm)
        top = ClosedLeg::TOP_BEND_DEG
        return unless stops(top, f_mm).nil?

        first_stopped = (1..((target_deg - top) / STEP_DEG).ceil).map { |step| [top + (step * STEP_DEG), target_deg].min }.find { |bend| stops(bend, f_mm) }
        return Bottom.new(leg.at_bend(target_deg, f_mm), :target) unless first_stopped

        bend = last_free(first_stopped - STEP_DEG, first_stopped, f_mm)
        Bottom.new(leg.at_bend(bend, f_mm), stops(first_stopped, f_mm))
      end

      private

      def toes_deg = { over: 0.0, up_to: leg.toes_bend_deg }[@limits.toes]
      def low_at(bend_deg) = leg.heel_at(bend_deg, leg.thigh_of_ankle(cap_deg, bend_deg))
      def high_at(bend_deg) = leg.heel_at(bend_deg, leg.thigh_of_hip(@limits.hip_bend_deg))
      def closed? = target_deg > greatest_deg + TOUCHES
      # A plate shorter than the foot leaves nothing either.
      def off_the_plate? = @room_mm.negative? || low_at(target_deg) > @last_mm || high_at(target_deg).negative?

      # The limit that a bend passes, or :reach where the leg has no such place; nil where it passes none.
      def stops(bend_deg, f_mm)
        state = leg.at_bend(bend_deg, f_mm) or return :reach
        return :hip if state.hip_bend_deg > @limits.hip_bend_deg + TOUCHES

        cap_by if state.ankle_bend_deg > cap_deg + TOUCHES
      end

      def last_free(free, stopped, f_mm)
        40.times do
          middle = (free + stopped) / 2.0
          stops(middle, f_mm) ? stopped = middle : free = middle
        end
        free
      end
    end
  end
end
