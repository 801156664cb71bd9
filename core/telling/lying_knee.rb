# frozen_string_literal: true

module Verglas
  module Telling
    # A bench one lies on: the kneecap beyond its end and the bend of the hips, as sentences (Says).
    class LyingKnee < PivotArm
      def short(decision)
        case decision
        when :bench_end
          Says.of("short.bench_end", mm: mechanics.kneecap_clear_mm(place).round)
        when :hips
          Says.of("short.hips", deg: mechanics.hip_bend_deg(place).round)
        else
          super
        end
      end

      private

      def says(finding)
        return super unless finding.code == :kneecap_clear
        return Says.of("says.kneecap_clear.right") if finding.severity.zero?

        Says.of(
          finding.value < mechanics.clear_target_mm ? "says.kneecap_clear.under" : "says.kneecap_clear.beyond",
          mm: (finding.value - mechanics.clear_target_mm).abs.round
        )
      end
    end
  end
end
