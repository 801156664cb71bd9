# frozen_string_literal: true

module Verglas
  module Motion
    # A rise from a low turn to a high one and the way back down, as times of a trace. Seconds are counted between two
    # shares of its own range, where a movement is as good as even, and taken for the whole.
    class Lift
      FROM, UPTO = Tables[:motion][:counted].values_at(:from, :upto)

      # So near the turn it stands.
      STANDS = 0.02

      attr_reader :low, :top

      # times: [s]; shares: of the arc at each; from, high, back: indices of the turns.
      def initialize(times, shares, from, high, back)
        @times = times
        @shares = shares
        @from = from
        @high = high
        @back = back
        @low, @top, @next_low = shares.values_at(from, high, back)
      end

      # Indices from where it rises to where it is back.
      def span = @from..@back

      # Whether it came back to the start.
      def came_back? = @next_low <= Tables[:motion][:back][:share]

      def up_s = (risen_s - rising_s) / (UPTO - FROM)
      # From where it leaves the start until it has come so far of the arc; nil where it does not.
      def until_s(share)
        level = @low + share
        return if level >= @top

        index = (@from..@high).find { |one| @shares[one] >= level }
        crossing(index, level) - last_below(index, @low + STANDS)
      end

      def down_s = (fallen_s - falling_s) / (UPTO - FROM)

      # Above the upper share, less what of the two ways is.
      def hold_s = [left_s - risen_s - ((1 - UPTO) * (up_s + down_s)), 0.0].max

      # Below the lower share, less what of the two ways is.
      def pause_s(following) = [following.rising_s - fallen_s - (FROM * (down_s + following.up_s)), 0.0].max

      # When it is back, from and up to: at the earliest as evenly as it came, at the latest when it stands.
      def back_s
        even = fallen_s + (FROM * down_s)
        stands = (fallen..@back).find { |index| @shares[index] <= @next_low + STANDS } || @back
        Range.new(*[even, @times[stands]].minmax)
      end

      # When it comes past the lower share of its range.
      def rising_s = @rising_s ||= last_below(risen, up(FROM))

      protected

      def risen = @risen ||= (@from..@high).find { |index| @shares[index] >= up(UPTO) }
      def risen_s = @risen_s ||= crossing(risen, up(UPTO))

      private

      def up(share) = @low + (share * (@top - @low))
      def down(share) = @next_low + (share * (@top - @next_low))

      # When it leaves the upper share of the rise's range again.
      def left_s = crossing((@high..@back).find { |index| @shares[index] < up(UPTO) } || @back, up(UPTO))

      def fallen = @fallen ||= (@high..@back).find { |index| @shares[index] <= down(FROM) }
      def fallen_s = @fallen_s ||= crossing(fallen, down(FROM))

      def falling_s
        @falling_s ||=
          begin
            before = fallen.downto(@high).find { |index| @shares[index] >= down(UPTO) }
            crossing(before + 1, down(UPTO))
          end
      end

      # The last time it was below a level before an index.
      def last_below(index, level)
        before = index.downto(@from).find { |one| @shares[one] <= level }
        crossing(before + 1, level)
      end

      # When a level is passed between an index and the one before it.
      def crossing(index, level)
        return @times[index] if index.zero?

        before, after = @shares.values_at(index - 1, index)
        share = before == after ? 1.0 : ((level - before) / (after - before)).clamp(0.0, 1.0)
        @times[index - 1] + (share * (@times[index] - @times[index - 1]))
      end
    end
  end
end
