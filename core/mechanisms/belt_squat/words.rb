# frozen_string_literal: true

module Verglas
  module Mechanisms
    class BeltSquat < Mechanism
      # What a belt squat says of itself: how deep, with which lean, and of the chain.
      module Words
        def warnings = family.traits[:without] ? [Says.of("care.#{family.traits[:without]}")] : []

        # Told once the limits of the client say how deep; the trunk no further forward, else higher.
        def ends_says = Says.of(end_limited? ? "allowed.squat_to" : "allowed.squat_wanted", deg: deepest.knee_deg.floor, lean: deepest.lean_deg.floor)
        def starts_says(envelope) = envelope.from(:knee_flexion) && Says.of("allowed.knees_never_straighter", deg: top_deg.ceil)
        def step_numbers = { target_deg: deepest.knee_deg.floor, lean_deg: deepest.lean_deg.floor }

        def motion(_place)
          return unless family.told.include?(:joint)

          { ending: Says.of("motion.squat", knee: deepest.knee_deg.floor, hip: deepest.hip_deg.floor, ankle: deepest.ankle_deg.floor, lean: deepest.lean_deg.floor) }
        end

        def says(finding, _place)
          return depth_says(finding) if finding.code == :squat_depth

          good = finding.severity.zero?
          Says.of("says.#{finding.code}.#{good ? "right" : finding.fault || "wrong"}", mm: finding.value.abs.round)
        end

        def short(_decision, place) = Says.of("short.link", mm: lift_mm(place).round)

        private

        def depth_says(finding)
          word = finding.value.negative? ? :short : { true => :allowed, false => :wanted }[end_limited?]
          Says.of("says.squat_depth.#{word}", bend: deepest.knee_deg.floor, deg: [-finding.value.round, 1].max)
        end
      end
    end
  end
end
