# frozen_string_literal: true

module Verglas
  module Motion
    # How far an arm has turned since it lay at the start stop (degrees, of whichever sign the phone gives it): the turn
    # rate integrated less its error, drawn to where gravity points while that is all that is felt.
    class ArmAngle
      GRAVITY = Tables[:motion][:gravity]

      # samples: [[t s, ax, ay m/s2 in the plane of the movement, turn deg/s]], the first of them still.
      def initialize(samples)
        @samples = samples
        still = Plane.still(samples)
        @error = Plane.middle(still.map(&:last))
        @down = deg(*[1, 2].map { |place| Plane.middle(still.map { |sample| sample[place] }) })
      end

      # A number a sample.
      def degrees = @degrees ||= drawn
      def times = @samples.map(&:first)

      # m/s2 a sample: what is felt beside gravity.
      def beyond_gravity
        @samples
          .zip(degrees)
          .map do |(_, along, across, _), turned|
            down = Geometry::Angle.radians(@down + (way * turned))
            Math.hypot(along - (GRAVITY[:m_s2] * Math.cos(down)), across - (GRAVITY[:m_s2] * Math.sin(down)))
          end
      end

      # Deg/s a sample, less its error. What stands alone among its neighbours is a spike.
      def rates
        @rates ||=
          begin
            rates = @samples.map { |sample| sample.last - @error }
            [rates.first, *rates.each_cons(3).map { |three| three.sort[1] }, rates.last].first(rates.size)
          end
      end

      private

      def deg(along, across) = Geometry::Angle.degrees(Math.atan2(across, along))

      # Degrees from each sample to the next.
      def steps
        @steps ||=
          @samples
            .each_cons(2)
            .zip(rates.each_cons(2))
            .map { |((one, *), (other, *)), (before, after)| (other - one) * (before + after) / 2 }
      end

      # Whether gravity is all that is felt.
      def quiet?(sample) = (Math.hypot(sample[1], sample[2]) - GRAVITY[:m_s2]).abs < GRAVITY[:within_m_s2]

      # Where gravity points, as a turn since the start in (-180, 180].
      def swung(sample) = half_turn(deg(sample[1], sample[2]) - @down)
      def half_turn(deg) = deg - (360 * ((deg - 180) / 360.0).ceil)

      # Gravity swings in the phone the way the turn rate has it, or the other way, by how the phone lies.
      def way
        @way ||=
          begin
            turned = steps.inject([0.0]) { |all, step| all << (all.last + step) }
            quiet = @samples.zip(turned).select { |sample, _| quiet?(sample) }
            quiet.sum { |sample, deg| sine(swung(sample)) * sine(deg) }.negative? ? -1 : 1
          end
      end

      def sine(deg) = Math.sin(Geometry::Angle.radians(deg))

      def drawn
        @samples
          .each_cons(2)
          .zip(steps)
          .inject([0.0]) do |all, ((before, sample), step)|
            turned = all.last + step
            all << (turned + pull(sample, turned, sample.first - before.first))
          end
      end

      def pull(sample, turned, seconds)
        return 0 unless quiet?(sample)

        half_turn((way * swung(sample)) - turned) * (1 - Math.exp(-seconds / GRAVITY[:constant_s]))
      end
    end
  end
end
