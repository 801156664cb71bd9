# frozen_string_literal: true

module Verglas
  module Motion
    # A phone that slipped on what it lies on. From then on all of the movement reads as much further along: lows and
    # tops alike, which no repetition does that is only shorter or does not come back. Or it turned at once by more than
    # an arm can without being felt to speed up, and never came back. docs/model.md section 17
    class Slips
      FIGURES = Tables[:motion][:slip]
      GRAVITY_M_S2 = Tables[:motion][:gravity][:m_s2]
      # One that was found.
      Found = Struct.new(:index, :share)

      # times: [s]; shares: of the arc at each, as they read; felt: m/s2 at each, of whichever direction.
      def initialize(times, shares, felt)
        @times = times
        @shares = shares
        @felt = felt
        @count = 0
        FIGURES[:most].times { (found = sought) ? take_out(found) : break }
        unfelt&.then { |found| take_out(found) } unless any?
      end

      # Without them; and whether there were any.
      attr_reader :shares

      def any? = @count.positive?

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
      # left to go, and where it moves most beyond what it does before and after.
      def moment(from, upto, by)
        (from..upto).min_by { |index| added(index, by) - ((by <=> 0) * jump(index)) }
      end

      # What taking it out there adds to the way gone.
      def added(index, by)
        around = @shares[[index - half, 0].max..(index + half)]
        step = by / (2.0 * half)
        around.each_cons(2).sum { |one, other| (other - one - step).abs - (other - one).abs }
      end

      def jump(index)
        ends = [-3, -1, 1, 3].map { |steps| @shares[(index + (steps * half)).clamp(0, @shares.size - 1)] }
        (ends[2] - ends[1]) - ((ends[1] - ends[0] + ends[3] - ends[2]) / 2)
      end

      # Where it turned most without its being felt, and by how much: as the nearest low from then on says.
      def unfelt
        inside = ((3 * half)...(@shares.size - (3 * half)))
        found = inside.select { |index| unfelt?(index) }.max_by { |index| jump(index) }
        return unless found

        low = later(found).min_by { |share| (share - jump(found)).abs }
        Found.new(found, (low - jump(found)).abs < FIGURES[:apart] ? low : jump(found))
      end

      # Whether it turned there by so much that was not felt, and no low from then on lies below that.
      def unfelt?(index)
        by = jump(index)
        by > FIGURES[:unfelt_over] && felt_at(index) < FIGURES[:unfelt_m_s2] &&
          later(index).min.to_f >= by - FIGURES[:unfelt_short]
      end

      # Lows from there on, as they read.
      def later(index) = turned_low.select { |low| low > index + half }.map { |low| @shares[low] }
      def turned_low = @turned_low ||= Turns.of(@shares).each_slice(2).map(&:first)

      # How far from gravity alone, on the mean while a slip lasts.
      def felt_at(index)
        around = @felt[[index - half, 0].max..(index + half)]
        around.sum { |felt| (felt - GRAVITY_M_S2).abs } / around.size
      end

      # Half of the time that a slip takes, in samples.
      def half
        @half ||= [(FIGURES[:seconds] * (@times.size - 1) / (@times.last - @times.first) / 2).round, 1].max
      end

      def take_out(found)
        @count += 1
        @shares =
          @shares.each_with_index.map do |share, index|
            share - (found.share * ((index - found.index + half) / (2.0 * half)).clamp(0.0, 1.0))
          end
      end
    end
  end
end
