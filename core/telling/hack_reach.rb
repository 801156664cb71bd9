# frozen_string_literal: true

module Verglas
  module Telling
    # A hack squat that is faced: only the reach to its latch, as sentences (Says).
    class HackReach < Voice
      def short(decision)
        return if decision == :carriage_down_mm

        room = mechanics.latch_room_mm(place)
        Says.of(room.negative? ? "short.reach.short" : "short.reach.right", mm: room.abs.round)
      end

      def warnings = [Says.of("care.facing_the_pad")]

      # What was measured of joints of which no angle is claimed is a stop by eye.
      def ends
        family
          .joints
          .each_value
          .select(&:by_eye?)
          .filter_map do |joint|
            wishes
              .envelope
              .to(joint.motion)
              &.then { |deg| Says.of("allowed.by_eye.#{joint.motion}", deg: at_most(deg)) }
          end
      end

      private

      def says(finding)
        return Says.of("says.latch_room.out_of_reach", mm: finding.value.abs.ceil) if finding.fault

        Says.of(
          finding.severity.zero? ? "says.latch_room.right" : "says.latch_room.on_a_block",
          mm: finding.value.round
        )
      end
    end
  end
end
