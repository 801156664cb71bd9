# frozen_string_literal: true

module Verglas
  module Telling
    # What a belt squat says of itself: how deep, with which lean, and of the chain.
    class BeltSquat < Voice
      def warnings = family.traits[:without] ? [Says.of("care.#{family.traits[:without]}")] : []

      # Told once the limits of the client say how deep; the trunk no further forward, else higher.
      def ends
        Says.of(
          mechanics.end_limited? ? "allowed.squat_to" : "allowed.squat_wanted",
          deg: at_most(deepest.knee_deg),
          lean: at_most(deepest.lean_deg)
        )
      end

      def starts
        wishes.envelope.from(:knee_flexion) &&
          Says.of("allowed.knees_never_straighter", deg: at_least(mechanics.top_deg))
      end
      def step_numbers = { target_deg: at_most(deepest.knee_deg), lean_deg: at_most(deepest.lean_deg) }

      def motion
        return unless mechanics.told?

        {
          ending:
            Says.of(
              "motion.squat",
              knee: at_most(deepest.knee_deg),
              hip: at_most(deepest.hip_deg),
              ankle: at_most(deepest.ankle_deg),
              lean: at_most(deepest.lean_deg)
            )
        }
      end

      def short(_decision) = Says.of("short.link", mm: mechanics.lift_mm(place).round)

      private

      def says(finding)
        return depth_says(finding) if finding.code == :squat_depth

        good = finding.severity.zero?
        Says.of("says.#{finding.code}.#{good ? "right" : finding.fault || "wrong"}", mm: finding.value.abs.round)
      end

      def deepest = mechanics.turning

      def depth_says(finding)
        word = finding.value.negative? ? :short : { true => :allowed, false => :wanted }[mechanics.end_limited?]
        Says.of("says.squat_depth.#{word}", bend: at_most(deepest.knee_deg), deg: [at_least(-finding.value), 1].max)
      end
    end
  end
end
