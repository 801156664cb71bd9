# frozen_string_literal: true

module Verglas
  module Mechanisms
    # A knee machine on which the client lies face down and slides along the bench until the knee is level with the
    # pivot. Bench frame: s along the leg part to the feet, n square to it, **downwards** (from the client's back to the
    # front), so that the arm's angle grows as the roller rises. docs/model.md section 4.
    class LyingKnee < PivotArm
      BODY_PARAMETERS = %i[thigh shank knee_front torso calf_half].freeze

      RULES = {
        height: Rule.of(:pivot_above_bench, follows: { knee_front: 1 }) { |lying, _| lying.body.knee_front },
        bench_end: Rule.of(:bench_end) { |lying, at| at.joint.s - KNEECAP_EDGE_MM - lying.clear_target_mm },
        hips: Rule.of(:hinge_angle, unit: :deg) { |_, _| Linkages::HipPad::BEND_DEG },
        **PivotArm::RULES
      }.freeze

      # Whether the bench bends at the hip, at some mark or always.
      def self.hinged?(machine) = machine.constants.key?(:hinge_angle) && machine.reach(:hinge_angle).max.positive?

      # A hinge bends the hips by itself.
      def self.takes?(machine, _choice) = !hinged?(machine)

      def initialize(machine:, **given)
        super
        @hinged = self.class.hinged?(machine)
      end

      def hinged? = @hinged
      def up = -1

      # A hinged bench keeps the thigh along its leg part; on a flat one the pad under the hips lifts its upper end.
      def thigh_slope_deg = hinged? ? 0.0 : -Geometry::Angle.arcsine_deg(wishes[:hip_pad_mm] / body.thigh)

      def joint(parameters)
        Geometry::Point.new(wishes[:knee_laid_mm], parameters[:pivot_above_bench] - body.knee_front)
      end

      # How far the kneecap's upper edge lies beyond the pad's end, and how far it wants to.
      def kneecap_clear_mm(place) = place.joint.s - KNEECAP_EDGE_MM - place[:bench_end]
      def clear_target_mm = Machines::Declaration::BANDS.fetch(:kneecap_clear).target

      def hip(place)
        slope = Geometry::Angle.radians(thigh_slope_deg)
        place.joint + (Geometry::Point.new(-Math.cos(slope), Math.sin(slope)) * body.thigh)
      end

      # The pad under the hips that bends them best.
      def choose(_choice, sizes_mm) = Linkages::HipPad.nearest(body, sizes_mm).to_f

      # The hips' bend is told, not graded.
      def findings(group, place) = group == :hips ? [] : super
      def quantities_of(group, place) = group == :hips ? { hip_bend_deg: hip_bend_deg(place) } : super
      def hip_bend_deg(place) = hinged? ? place[:hinge_angle] : Linkages::HipPad.bend_deg(body, wishes[:hip_pad_mm])

      private

      def joint_findings(place) = [offset(place), grade(:kneecap_clear, kneecap_clear_mm(place))]

      def joint_quantities(place)
        {
          knee_s_mm: place.joint.s,
          knee_n_mm: place.joint.n,
          offset_mm: place.joint.norm,
          thigh_slope_deg: thigh_slope_deg,
          kneecap_clear_mm: kneecap_clear_mm(place)
        }
      end
    end
  end
end
