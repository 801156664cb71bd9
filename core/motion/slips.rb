# frozen_string_literal: true

module Verglas
  module Motion
    # A phone that slipped on what it lies on: it turned and did not feel what turning with the arm brings. From then on
    # all of the movement reads as much further along, lows and tops alike, which no repetition does that is only
    # shorter or does not come back; by that a phone is told which lies so near the pivot that it feels nothing of it.
    # docs/model.md section 17
    class Slips
      FIGURES = Tables[:motion][:slip]
      # One that was found.
      Found = Struct.new(:index, :share)

      # times: [s]; shares: of the arc at each, as they read; unfelt: rad/s2 at each, see Unfelt.
      def initialize(times, shares, unfelt)
        @times = times
        @shares = shares
        @unfelt = unfelt
        @found = []
        FIGURES[:most].times { (found = jumped || sought) ? take_out(found) : break }
      end

      # Without them; and whether there were any.
      attr_reader :shares

      def any? = @found.any?

      private

      # Below the start stop nothing goes; and nobody who never comes back to it goes past the end as well.
      def sought
        turns = Turns.of(@shares)
        lows, tops = [0, 1].map { |first| turns.drop(first).each_slice(2).map(&:first) }
        (1...lows.size).each do |first|
          by = shift(lows.drop(first), tops.drop(first)) or next

          return Found.new(moment(lows[first - 1], [lows[first] + (2 * half), @shares.size - 1].min, by), by)
        end
        nil
      end

      # By how much the lows from one on lie further along than the stop, to which most come back; nil where that can
      # have been done.
      def shift(later, tops)
        lows = later.map { |turn| @shares[turn] }.sort
        by = lows[(lows.size - 1) / 4]
        below = @shares[later.first] < -FIGURES[:over] && by < -FIGURES[:over]
        beyond =
          lows.size > 1 && lows.first > FIGURES[:over] && tops.any? { |turn| @shares[turn] > 1 + FIGURES[:apart] }
        by if below || beyond
      end

      # Between two lows, or as the later one turns, the index around which it is taken out with the least way that is
      # left to go, and where it moves most beyond what it does before and after without that being felt.
      def moment(from, upto, by)
        (from..upto).min_by do |index|
          added(index, by) - ((by <=> 0) * jump(index)) - (not_felt(index) / FIGURES[:unfelt_rad_s2])
        end
      end

      # What taking it out there adds to the way gone.
      def added(index, by)
        around = @shares[[index - half, 0].max..(index + half)]
        step = by / (2.0 * half)
        around.each_cons(2).sum { |one, other| (other - one - step).abs - (other - one).abs }
      end

      # Shares by which it moves on more than before and after.
      def jump(index)
        ends = [-3, -1, 1, 3].map { |steps| @shares[(index + (steps * half)).clamp(0, @shares.size - 1)] }
        (ends[2] - ends[1]) - ((ends[1] - ends[0] + ends[3] - ends[2]) / 2)
      end

      # Where it turned with least of it felt, and by how much: no low from then on lies below that, and most often one
      # of them is at the stop.
      def jumped
        index = untried.select { |one| jump(one).abs > FIGURES[:unfelt_over] }.max_by { |one| not_felt(one) }
        return unless index && not_felt(index) > FIGURES[:unfelt_rad_s2]

        low = later(index).min
        Found.new(index, low && low - jump(index) < FIGURES[:apart] ? low : jump(index))
      end

      # Where none was found yet.
      def untried
        inside = ((3 * half)...(@shares.size - (3 * half)))
        inside.reject { |index| @found.any? { |found| (found.index - index).abs < 4 * half } }
      end

      # rad/s2, on the mean while a slip lasts.
      def not_felt(index)
        around = @unfelt[[index - half, 0].max..(index + half)]
        around.sum / around.size
      end

      # Lows from there on, as they read.
      def later(index) = turned_low.select { |low| low > index + half }.map { |low| @shares[low] }
      def turned_low = Turns.of(@shares).each_slice(2).map(&:first)

      # Half of the time that a slip takes, in samples.
      def half
        @half ||= [(FIGURES[:seconds] * (@times.size - 1) / (@times.last - @times.first) / 2).round, 1].max
      end

      def take_out(found)
        @found << found
        @shares =
          @shares.each_with_index.map do |share, index|
            share - (found.share * ((index - found.index + half) / (2.0 * half)).clamp(0.0, 1.0))
          end
      end
    end
  end
end
