# frozen_string_literal: true

module Verglas
  module Geometry
    # Where a continuous function, negative at one end and positive at the other, is zero: false position in the form called Illinois,
    # which halves the value kept at an end that stays twice.
    module Root
      TRIES = 60

      module_function

      # from, upto: ends at which the block's values are negative and positive; close: how near to zero it has to come.
      def between(from, upto, close:)
        under = [from, yield(from)]
        over = [upto, yield(upto)]
        stays = nil
        TRIES.times do
          at = crossing(*under, *over)
          value = yield(at)
          return at if value.abs < close

          moves, other = value.negative? ? [under, over] : [over, under]
          moves.replace([at, value])
          other[1] /= 2 if other.equal?(stays)
          stays = other
        end
        under.first
      end

      def crossing(from, low, upto, high) = upto - (high * (upto - from) / (high - low))
      private_class_method :crossing
    end
  end
end
