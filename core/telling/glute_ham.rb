# frozen_string_literal: true

module Verglas
  module Telling
    # A glute-ham bench, as sentences (Says).
    class GluteHam < Voice
      def starts = bottom_deg.positive? ? Says.of("allowed.knees_bent_from", deg: at_least(bottom_deg)) : nil

      def ends
        [
          (Says.of("allowed.raised_to", deg: at_most(top_deg)) if top_deg < Mechanisms::GluteHam::UPRIGHT_DEG),
          Says.of(
            bottom_deg.positive? ? "allowed.body_straight_from" : "allowed.body_straight",
            deg: at_least(bottom_deg)
          )
        ].compact
      end

      def warnings = [Says.of("care.glute_ham")]

      def short(_decision)
        Says.of(
          "short.knee_place.#{Linkages::HingeEffort.knee_place(knee_over_pad_mm)}",
          mm: knee_over_pad_mm.abs.round
        )
      end

      def motion
        return unless family.told.include?(:joint)

        {
          ending:
            Says.of(
              bottom_deg.positive? ? "motion.glute_ham_from" : "motion.glute_ham",
              nm: mechanics.whole(mechanics.torque_nm(bottom_deg)),
              deg: at_least(bottom_deg)
            ),
          ratio:
            Says.of(
              mechanics.added? ? "motion.glute_ham_added" : "motion.glute_ham_plain",
              nm: mechanics.whole(mechanics.torque_nm(0.0, held: 0.0, band: 0.0))
            )
        }
      end

      def travel_words
        [bottom_deg.positive? ? :bottom : :level, top_deg < Mechanisms::GluteHam::UPRIGHT_DEG ? :top : :upright]
      end

      private

      def says(finding)
        word =
          (
            if finding.severity > 1
              { true => :wedged, false => :back_works }[finding.graded.positive?]
            else
              Linkages::HingeEffort.knee_place(knee_over_pad_mm)
            end
          )
        Says.of("says.knee_over_pad.#{word}", mm: knee_over_pad_mm.abs.round)
      end

      def bottom_deg = mechanics.bottom_deg
      def knee_over_pad_mm = mechanics.knee_over_pad_mm(place)
      def top_deg = mechanics.top_deg
    end
  end
end
