# frozen_string_literal: true

module Verglas
  module Mechanisms
    # A glute-ham raise, for one exact body: where the knees lie against the middle of the pad, and what a straight body
    # asks of them between level and upright: the worst case, before the pad bears on the thigh. Frame: origin at the
    # sole on the foot plate, x forward, y up, the lower legs level; mm, degrees of knee bend (0 with the body level), N
    # m. docs/model.md section 6.
    class GluteHam < Mechanism
      include Carried
      include Rungs

      TRAITS = [].freeze
      BODY_PARAMETERS = %i[stature ankle_height shank thigh torso].freeze
      RULES = {
        knee_place:
          Rule.of(:plate_to_pad, follows: { ankle_height: 1, shank: 1 }) do |bench, _|
            bench.leg_mm - bench.wishes[:knee_over_mm]
          end
      }.freeze
      UPRIGHT_DEG = 90.0

      # From the sole to the knee.
      def leg_mm = body.ankle_height + wishes[:sole_mm] + body.shank

      # The knee over the middle of the pad, and over where it is wanted (mm, + further from the plate).
      def knee_over_pad_mm(place)
        Linkages::HingeEffort.knee_over_pad_mm(body, plate_to_pad_mm: place[:plate_to_pad], sole_mm: wishes[:sole_mm])
      end
      def knee_off_mm(place) = knee_over_pad_mm(place) - wishes[:knee_over_mm]

      # Knee bends with the body lowest and highest, within the client's own.
      def bottom_deg = today_deg(top_deg, whole_bottom_deg)
      def whole_bottom_deg = wishes.clamp(:knee_flexion, 0.0)
      def top_deg = wishes.clamp(:knee_flexion, UPRIGHT_DEG)

      def range_left_deg(_place) = top_deg - bottom_deg

      # About the knee with the body so far above level.
      def torque_nm(body_deg, held: held_kg, band: band_n)
        Linkages::HingeEffort.knee_nm(
          body,
          mass_kg: mass_kg,
          body_deg: body_deg,
          band_n: band,
          band_lever_mm: FIGURES[:band][:knee_lever_mm]
        ) + held_nm(held, body_deg)
      end

      def lead(_place) = Lead.new(motion: :knee_flexion, from_deg: bottom_deg, upto_deg: top_deg)

      # On the chest: the body turns in one piece about the knees, from upright.
      def laid(_place) = Motion::Laid.new(on: :chest, from_deg: top_deg, upto_deg: bottom_deg, lowers_first: true)

      def findings(_group, place) = [grade(:knee_over_pad, knee_off_mm(place)), range_left(place)]

      def quantities_of(_group, place)
        {
          knee_over_pad_mm: knee_over_pad_mm(place),
          knee_off_mm: knee_off_mm(place),
          range_left_deg: range_left_deg(place),
          most_nm: torque_nm(bottom_deg),
          top_nm: torque_nm(bottom_deg)
        }
      end

      def ranges(_place)
        {
          knee_flexion:
            { bottom: bottom_deg, top: top_deg }.map do |at, deg|
              Reached.new(at: at, deg: deg, forced: false, target_deg: deg)
            end
        }
      end

      def end_limited? = top_deg < UPRIGHT_DEG || whole_bottom_deg.positive?

      # Less and less help, body weight, then what is held.
      def rungs(bands_n = [])
        [*banded(rung_nm(nil, 0, 0), FIGURES[:band][:knee_lever_mm], bands_n), rung, *weighted]
      end

      private

      def rung_nm(_deg, held, band) = torque_nm(bottom_deg, held: held, band: band)

      # A weight at the chest, from the knee.
      def held_nm(held, body_deg)
        held * Linkages::STANDARD_GRAVITY * (body.thigh + (FIGURES[:held][:at] * body.torso)) / 1000 *
          Math.cos(Geometry::Angle.radians(body_deg))
      end
    end
  end
end
