# frozen_string_literal: true

module Verglas
  module Linkages
    # What a trunk that hinges over a pad asks of the hip, and a straight body that turns about its knees asks of those.
    # Torques in N m, both legs together; angles in degrees from horizontal, + above it; masses in kg. docs/model.md
    # section 6.
    module HingeEffort
      FIGURES = Tables[:hinge]
      TRUNK = FIGURES[:trunk]
      THIGHS = FIGURES[:thighs]

      module_function

      # About the hip, with a weight held at the chest.
      def hip_nm(body, mass_kg:, trunk_deg:, held_kg: 0.0)
        weighing(((TRUNK[:mass] * mass_kg * TRUNK[:centre]) + (held_kg * FIGURES[:held][:at])) * body.torso, trunk_deg)
      end

      # About the knee with a straight body: the worst case, before the pad bears on the thigh. band_n: of an elastic
      # band that helps, at its lever to the knee (mm).
      def knee_nm(body, mass_kg:, body_deg:, band_n: 0.0, band_lever_mm: 0.0)
        trunk = TRUNK[:mass] * (body.thigh + (TRUNK[:centre] * body.torso))
        thighs = THIGHS[:mass] * (1 - THIGHS[:centre]) * body.thigh
        weighing(mass_kg * (trunk + thighs), body_deg) - (band_n * band_lever_mm / 1000)
      end

      # How far the knee lies over the middle of a glute-ham pad (mm), and what that is called: :low, :level or :high.
      def knee_over_pad_mm(body, plate_to_pad_mm:, sole_mm:)
        body.ankle_height + sole_mm + body.shank - plate_to_pad_mm
      end

      def knee_place(over_mm)
        low, high = FIGURES[:knee_level].values_at(:low_mm, :high_mm)
        return :level if over_mm.between?(low, high)

        over_mm < low ? :low : :high
      end

      # moment: kg mm about the joint with the body level.
      def weighing(moment, deg) = moment / 1000 * STANDARD_GRAVITY * Math.cos(Geometry::Angle.radians(deg))
      private_class_method :weighing
    end
  end
end
