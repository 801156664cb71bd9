# frozen_string_literal: true

module Verglas
  module Planning
    # How long adjusters take to set in one gym, beside the working figures, by what they move: a back pad here may be
    # slower than a roller. Only whole change-overs are measured, so each of the kinds that were moved takes the
    # share of the time that the working figures give it.
    module SettingUp
      TIMES = Tables[:session][:times]
      AT_MACHINE = Tables[:session][:at_machine]
      # One that took longer, or less, than so many times what it should have says no more than that.
      FARTHEST = 4.0
      private_constant :FARTHEST

      module_function

      # What an adjuster is, wherever it stands: the lengths that it drives, or none where it is only recorded.
      def kind(adjuster) = adjuster.drives.keys.map(&:to_s).sort.join("+")

      # [seconds to loosen and fix one, seconds a mark that it goes], as working figures.
      def working = AT_MACHINE.values_at(:adjuster_s, :mark_s)

      # measured: [[{kind => working seconds of what was moved}, seconds that it took]].
      # {kind => Learned}, shares of the working figures; a kind that was never moved is not in it.
      def learned(measured)
        shares = measured.flat_map { |moved, taken_s| shares(moved, taken_s) }
        shares.group_by(&:first).transform_values { |rows| of(rows.map { |_, *row| row }) }
      end

      # Of a kind of which nothing was measured.
      def unmeasured = Learned.new(mean: 1.0, sd: TIMES[:once_sd_share])

      # [[kind, weight, how many times as long as it should have taken]]
      def shares(moved, taken_s)
        whole = moved.values.sum.to_f
        return [] unless whole.positive?

        times = (taken_s / whole).clamp(1 / FARTHEST, FARTHEST)
        moved.map { |kind, working_s| [kind, working_s / whole, times] }
      end

      # rows: [[weight, times]]
      def of(rows)
        count = rows.sum(&:first)
        mean = rows.sum { |weight, times| weight * times } / count
        square = rows.sum { |weight, times| weight * ((times - mean)**2) } / count
        Learned.of(unmeasured.mean, unmeasured.sd, count: count, mean: mean, sd: Math.sqrt(square))
      end
      private_class_method :shares, :of
    end
  end
end
