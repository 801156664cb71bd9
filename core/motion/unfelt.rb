# frozen_string_literal: true

module Verglas
  module Motion
    # How much of its turning a phone should have felt and did not. What turns with an arm is sped up along its circle
    # and held on it, by as much as it lies away from the pivot; a phone that slips turns where it lies. How far away it
    # lies is learned of the set itself. docs/model.md section 17
    class Unfelt
      FIGURES = Tables[:motion][:slip]

      # angle: ArmAngle, which says where gravity points and how fast it turns.
      def initialize(angle)
        @angle = angle
      end

      # rad/s2 a sample: above 0 where less was felt than a turn like this one brings elsewhere in the set.
      def to_a = @to_a ||= turned.zip(felt).map { |turned, felt| turned - (felt / radius_m) }

      private

      # Metres from the pivot.
      def radius_m
        @radius_m ||=
          begin
            turning = turned.zip(felt).select { |turned, _| turned > FIGURES[:turning_rad_s2] }
            turning.empty? ? Float::INFINITY : Plane.middle(turning.map { |turned, felt| felt / turned })
          end
      end

      # rad/s2 a sample: gain of the turn rate across the circle, its square along the radius.
      def turned
        @turned ||=
          rates.each_index.map do |index|
            before, after = [index - FIGURES[:gain_over], index + FIGURES[:gain_over]].map { |at| within(at) }
            Math.hypot((rates[after] - rates[before]) / (times[after] - times[before]), rates[index]**2)
          end
      end

      def felt = @felt ||= @angle.beyond_gravity
      def rates = @rates ||= @angle.rates.map { |deg_s| Geometry::Angle.radians(deg_s) }
      def times = @times ||= @angle.times
      def within(index) = index.clamp(0, rates.size - 1)
    end
  end
end
