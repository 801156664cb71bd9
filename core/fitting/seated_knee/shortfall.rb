# frozen_string_literal: true

module Verglas
  module Fitting
    class SeatedKnee
      # What is missing where a finding is off or worse, and what would mend it: data for words.
      #   by      how far the graded number lies outside the close band (mm or degrees, see the band's unit)
      #   mend    what would bring it to its target; amount in the same unit
      Shortfall = Value.define(:code, :by, :mend, :amount) do
        # By finding: what mends a number that is too small, and one that is too large.
        const_set(:MENDS, { crease_gap: %i[cushion_behind_back longer_seat], contact: %i[shorter_roller_arm longer_roller_arm],
                            start: %i[start_further_back start_nearer_straight], kneecap_gap: %i[seat_forward seat_back],
                            thigh_press: %i[lower_thigh_pad raise_thigh_pad] }.freeze)

        # Worst first. quantities: as of Quantities.
        def self.all(findings, quantities)
          findings.select { |finding| finding.severity > 1 }
                  .sort_by { |finding| [-finding.severity, -finding.cost] }
                  .map { |finding| of(finding, quantities) }
        end

        def self.of(finding, quantities)
          mend, amount = mend(finding, quantities)
          new(code: finding.code, by: BANDS[finding.code].shortfall(finding.graded), mend: mend, amount: amount.abs)
        end

        def self.mend(finding, quantities)
          return offset_mend(quantities[:knee_s_mm], quantities[:knee_n_mm]) if finding.code == :offset

          missing = finding.graded - BANDS[finding.code].target
          too_small, too_large = self::MENDS.fetch(finding.code)
          [missing.negative? ? too_small : too_large, missing]
        end

        # s + ahead of the pivot, n + above it: the larger of the two errors is the one to mend.
        def self.offset_mend(knee_s, knee_n)
          return [knee_s.negative? ? :cushion_behind_back : :back_pad_further_back, knee_s] if knee_s.abs >= knee_n.abs

          [knee_n.negative? ? :cushion_on_seat : :lower_seat, knee_n]
        end
        private_class_method :of, :mend, :offset_mend
      end
    end
  end
end
