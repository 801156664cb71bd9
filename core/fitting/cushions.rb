# frozen_string_literal: true

module Verglas
  module Fitting
    # The cushions a gym owns and a machine's maker allows: sizes in mm behind the back and on the seat.
    Cushions = Value.define(:back_mm, :seat_mm) do
      def self.none = new(back_mm: [], seat_mm: [])

      def check
        return if [*back_mm, *seat_mm].all? { |size| size.is_a?(Numeric) && size.between?(1, 200) }

        raise Invalid.new(:cushion_out_of_range, path: "/options/cushions", low: 1, high: 200)
      end

      # Every single one and every pair of one behind and one below, thinnest total first, grouped by that total.
      def by_total
        pairs = [0, *back_mm].product([0, *seat_mm]).uniq - [[0, 0]]
        pairs.group_by(&:sum).sort_by(&:first).map(&:last)
      end
    end
  end
end
