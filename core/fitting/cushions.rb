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

      # Cushions are searched only if without one the worst severity is not 0, and proposed only where they lower it: then the
      # thinnest total that does. The block solves for cushions behind and below (mm): something comparable with a worst
      # severity. tries: how many ways to stand it compares each time; the thickest totals are left out where all of them
      # together would take too long. Answers [[behind, below], what the block said].
      def search(plain, tries: 1)
        return [[0, 0], plain] if plain.worst.zero?

        in_time(tries).each do |pairs|
          best = pairs.map { |pair| [pair, yield(*pair)] }.min_by(&:last)
          return best if best.last.worst < plain.worst
        end
        [[0, 0], plain]
      end

      private

      def in_time(tries)
        asked = 0
        by_total.take_while { |pairs| (asked += pairs.size * tries) <= Cushions::MOST_TRIES }
      end
    end

    # Some five seconds of the solver's time, at the worst.
    Cushions::MOST_TRIES = 100_000
  end
end
