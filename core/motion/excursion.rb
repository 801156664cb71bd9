# frozen_string_literal: true

module Verglas
  module Motion
    # How far a limb has turned since it lay still, where a joint's limit is read and no arc was agreed.
    class Excursion
      HELD_S = Tables[:motion][:held][:seconds]

      # samples: Samples.
      def initialize(samples)
        @times = samples.times
        degrees = ArmAngle.new(samples.plane).degrees
        # Whichever way it went furthest is the way it goes.
        @degrees = degrees.max_by(&:abs).negative? ? degrees.map(&:-@) : degrees
      end

      # Degrees now, and the most at which it stayed for HELD_S or went beyond; 0 at the least.
      def now_deg = @degrees.last
      def furthest_deg
        low = 0
        @times
          .each_index
          .inject(0.0) do |most, high|
            low += 1 while @times[high] - @times[low + 1].to_f >= HELD_S && low + 1 < high
            next most if @times[high] - @times[low] < HELD_S

            [most, @degrees[low..high].min].max
          end
      end
    end
  end
end
