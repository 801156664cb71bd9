# frozen_string_literal: true

module Verglas
  module Fitting
    # A knee machine on which the client lies face down and slides along the bench until the knee is level with the pivot.
    # Bench frame: s along the leg part to the feet, n square to it, **downwards** (from the client's back to the front), so
    # that the arm's angle grows as the roller rises. docs/model.md section 4.
    class LyingKnee < KneeOnPivot
      BODY_PARAMETERS = %i[thigh shank knee_front torso calf_half].freeze
      # As on a seat (SeatedKnee): n points down, a pad goes under the hips, the client slides.
      UP = -1
      AIDS = %i[hip_pad_mm].freeze
      SLIDES = true
      GRADED_QUANTITY = { offset: :offset_mm, contact: :above_ankle_mm, kneecap_clear: :kneecap_clear_mm, start: :knee_bend_start_deg, end: :knee_bend_end_deg }.freeze

      RULES = {
        height: Rule.new(unit: :mm, constants: 1, position: ->(at) { at[:pivot_above_bench] }, required: ->(mechanics, _) { mechanics.body.knee_front }),
        bench_end: Rule.new(unit: :mm, constants: 1, position: ->(at) { at[:bench_end] },
                            required: ->(mechanics, at) { mechanics.joint(at).s - KNEECAP_EDGE_MM - BANDS[:kneecap_clear].target }),
        hips: Rule.new(unit: :deg, constants: 1, position: ->(at) { at[:hinge_angle] }, required: ->(_, _) { HipPad::BEND_DEG }),
        **ARM_RULES
      }.freeze
      DECIDED_BY = { pivot_above_bench: :height, bench_end: :bench_end, hinge_angle: :hips, **ARM_DECIDED_BY }.freeze
      MENDS = { contact: SeatedKnee::MENDS[:contact], start: SeatedKnee::MENDS[:start], end: SeatedKnee::MENDS[:end], kneecap_clear: %i[shorter_bench longer_bench] }.freeze

      def self.deciding(_machine, adjuster) = DECIDED_BY.find { |name, _| adjuster.drives?(name) }&.last

      # n + is below the pivot here.
      def self.joint_mend(knee_s, knee_n)
        return [:slide_along_bench, knee_s] if knee_s.abs > knee_n.abs

        [knee_n.positive? ? :pad_under_thighs : :lower_bench, knee_n]
      end

      def self.by_hand(_estimate) = []

      def initialize(machine:, **given)
        super
        @hinged = machine.hinged?
      end

      # A hinged bench keeps the thigh along its leg part; on a flat one the pad under the hips lifts its upper end.
      def thigh_slope_deg = hinged? ? 0.0 : -Geometry::Angle.arcsine_deg(wishes.hip_pad_mm / body.thigh)

      def joint(parameters)
        Geometry::Point.new(wishes.knee_laid_mm, parameters[:pivot_above_bench] - body.knee_front)
      end

      # How far the kneecap's upper edge lies beyond the pad's end.
      def kneecap_clear_mm(joint, parameters) = joint.s - KNEECAP_EDGE_MM - parameters[:bench_end]

      def hip(parameters)
        slope = Geometry::Angle.radians(thigh_slope_deg)
        joint(parameters) + (Geometry::Point.new(-Math.cos(slope), Math.sin(slope)) * body.thigh)
      end

      # The hips' bend is told, not graded.
      def findings(group, joint, parameters) = group == :hips ? [] : super

      def hip_bend_deg(parameters) = hinged? ? parameters[:hinge_angle] : HipPad.bend_deg(body, wishes.hip_pad_mm)

      private

      def hinged? = @hinged

      def joint_findings(joint, parameters)
        clear = kneecap_clear_mm(joint, parameters)
        [offset(joint), Finding.grade(:kneecap_clear, value: clear, graded: clear, band: BANDS[:kneecap_clear])]
      end

      def joint_quantities(joint, parameters)
        { knee_s_mm: joint.s, knee_n_mm: joint.n, offset_mm: joint.norm, thigh_slope_deg: thigh_slope_deg,
          kneecap_clear_mm: kneecap_clear_mm(joint, parameters) }
      end

      def quantities_of(group, joint, parameters)
        group == :hips ? { hip_bend_deg: hip_bend_deg(parameters) } : super
      end
    end
  end
end
