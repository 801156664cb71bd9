# frozen_string_literal: true

module Verglas
  module Motion
    # Where the arm was over time, at even steps, few enough to keep.
    #   step_s   seconds from each to the next
    #   shares   of the arc, the first where the reading begins
    Curve =
      Value.define(:step_s, :shares) do
        # times: [s], rising; shares: at each.
        def self.of(times, shares)
          figures = Tables[:motion][:curve]
          seconds = times.last - times.first
          step = [figures[:step_s], seconds / (figures[:points] - 1)].max
          count = (seconds / step).floor + 1
          at = 0
          points =
            Array.new(count) do |index|
              now = times.first + (index * step)
              at += 1 while at < times.size - 2 && times[at + 1] <= now
              between(times, shares, at, now)
            end
          new(step_s: step, shares: points)
        end

        def self.between(times, shares, at, now)
          share = ((now - times[at]) / (times[at + 1] - times[at])).clamp(0.0, 1.0)
          shares[at] + (share * (shares[at + 1] - shares[at]))
        end
        private_class_method :between
      end
  end
end
