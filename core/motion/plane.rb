# frozen_string_literal: true

module Verglas
  module Motion
    # What a phone's sensors send, in the plane of the movement, whichever way it lies: the arm turns about the axis
    # about which the phone turns most, and gravity at the start is the plane's first direction.
    module Plane
      # Of so many numbers a sample: time, three accelerations (m/s2, gravity included), three turn rates (deg/s).
      WHOLE = 7
      # Enough for the axis: the covariance of turning has one direction that is longer by far.
      STEPS = 50

      module_function

      # [[t, ax, ay, turn]] of samples that have WHOLE numbers, about an axis.
      def reduced(samples, axis)
        one = unit(square_to(mean(still(samples).map { |sample| sample[1..3] }), axis)) || across(axis)
        other = cross(axis, one)
        samples.map { |at, *sensed| [at, dot(sensed[0..2], one), dot(sensed[0..2], other), dot(sensed[3..5], axis)] }
      end

      # What is felt along the axis (m/s2): gravity's share, the same as long as the phone stays as it lies.
      def along(samples, axis) = samples.map { |sample| dot(sample[1..3], axis) }

      # Samples of the first seconds.
      def still(samples)
        ends = samples.first.first + Tables[:motion][:still][:seconds]
        samples.take_while { |sample| sample.first <= ends }
      end

      # Turn rates less what they are at rest.
      def without_error(samples)
        error = (4..6).map { |place| Plane.middle(still(samples).map { |sample| sample[place] }) }
        samples.map { |sample| sample[4..6].zip(error).map { |rate, off| rate - off } }
      end

      # The direction in which most turning lies, by the power method.
      def axis(samples)
        rates = without_error(samples)
        covariance = Array.new(3) { |row| Array.new(3) { |column| rates.sum { |rate| rate[row] * rate[column] } } }
        start = covariance.max_by { |row| dot(row, row) }
        STEPS
          .times
          .inject(unit(start) || [0.0, 0.0, 1.0]) do |so_far, _|
            unit(covariance.map { |row| dot(row, so_far) }) || so_far
          end
      end

      # The mean but for the outermost fifth, so that a spike does not count and a tremble evens out.
      def middle(numbers)
        cut = numbers.size / 10
        inner = numbers.sort[cut...(numbers.size - cut)]
        inner.sum.fdiv(inner.size)
      end

      # Standard deviation, spikes aside.
      def spread(numbers)
        middle = middle(numbers)
        Math.sqrt(middle(numbers.map { |number| (number - middle)**2 }))
      end

      def mean(vectors) = vectors.transpose.map { |entries| entries.sum.fdiv(entries.size) }
      def dot(one, other) = (one[0] * other[0]) + (one[1] * other[1]) + (one[2] * other[2])

      # nil of none.
      def unit(vector)
        length = Math.sqrt(dot(vector, vector))
        vector.map { |entry| entry / length } if length.positive?
      end

      def square_to(vector, axis)
        along = dot(vector, axis)
        vector.zip(axis).map { |entry, share| entry - (along * share) }
      end

      # Any direction square to an axis.
      def across(axis) = unit(square_to([1.0, 0.0, 0.0], axis)) || [0.0, 1.0, 0.0]

      def cross(one, other)
        [
          (one[1] * other[2]) - (one[2] * other[1]),
          (one[2] * other[0]) - (one[0] * other[2]),
          (one[0] * other[1]) - (one[1] * other[0])
        ]
      end
    end
  end
end
