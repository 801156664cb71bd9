# frozen_string_literal: true

require_relative "../config/core"

module Verglas
  module Ops
    # A phone that lies on a machine's arm while somebody lifts, made up: what its sensors would send. Same seed, same
    # samples.
    class SimulatedArm
      # One repetition as it is done: low and top shares of the arc; seconds; whether it is let fall onto the stop.
      Done = Struct.new(:low, :top, :up, :hold, :down, :pause, :slam, keyword_init: true)

      # What a phone senses, and how:
      #   radius_m   of the phone from the pivot; noise: as a share of a usual sensor's
      #   bias       deg/s by which the turn rate is wrong; spikes, gaps: a second
      #   shaking    degrees by which a hand trembles, seven times a second
      #   even       whether the arm moves at one speed, and not ever faster and slower
      #   lies       whether the phone lies any way: three accelerations and three rates are sent
      #   slips      [[s, deg]]: it turns by so much within SLIP_S in the plane of the movement, and stays so
      SENSED = {
        radius_m: 0.4,
        noise: 1.0,
        bias: 1.5,
        spikes: 0.1,
        gaps: 0.05,
        shaking: 0.0,
        even: true,
        lies: false,
        slips: []
      }.freeze
      HZ = 50
      JITTER = 0.25
      GRAVITY_M_S2 = Tables[:motion][:gravity][:m_s2]
      # SDs, and the size of a spike.
      ACCELERATION = { sd: 0.25, spike: 15 }.freeze
      RATE = { sd: 0.8, spike: 150 }.freeze
      SLAM = { m_s2: 35.0, seconds: 0.06 }.freeze
      GAP_S = 0.2
      SLIP_S = 0.3
      TREMBLES_HZ = 7

      # done: [Done]; start, finish: degrees of the arm; sensed: of SENSED.
      def initialize(done, start:, finish:, seed:, **sensed)
        unknown = sensed.keys - SENSED.keys
        raise ArgumentError, "unknown #{unknown.join(", ")}" if unknown.any?

        @sensed = SENSED.merge(sensed)
        @done = Movement.new(done, even: @sensed[:even])
        @start = start
        @finish = finish
        @random = Random.new(seed)
        @way = way if @sensed[:lies]
      end

      # [[t, ax, ay, turn]], or [[t, ax, ay, az, turn_x, turn_y, turn_z]] of a phone that lies any way.
      def samples = @samples ||= without_gaps(times.map { |at| sample(at) })

      private

      def times
        @done.seconds.then do |ends|
          steps = Enumerator.produce(0.0) { |at| at + ((1 + (JITTER * ((2 * @random.rand) - 1))) / HZ) }
          steps.take_while { |at| at < ends }
        end
      end

      def deg(at)
        trembling = @sensed[:shaking] * Math.sin(2 * Math::PI * TREMBLES_HZ * at)
        @start + ((@finish - @start) * @done.share(at)) + trembling
      end

      def rate(at) = (deg(at + Movement::STEP_S) - deg(at - Movement::STEP_S)) / (2 * Movement::STEP_S)

      # How far the phone has slipped on the arm (degrees), and how fast it does.
      def slipped(at)
        @sensed[:slips].sum { |from, by| by * (1 - Math.cos(Math::PI * ((at - from) / SLIP_S).clamp(0.0, 1.0))) / 2 }
      end
      def slip_rate(at) = (slipped(at + Movement::STEP_S) - slipped(at - Movement::STEP_S)) / (2 * Movement::STEP_S)

      # Along the arm and across it: what holds the phone up, keeps it on its circle and turns it.
      def sample(at)
        angle, turn, earlier, later =
          [deg(at), rate(at), rate(at - Movement::STEP_S), rate(at + Movement::STEP_S)].map do |one|
            Geometry::Angle.radians(one)
          end
        gain = (later - earlier) / (2 * Movement::STEP_S)
        along = (GRAVITY_M_S2 * Math.sin(angle)) - (@sensed[:radius_m] * turn * turn)
        across = (GRAVITY_M_S2 * Math.cos(angle)) + (@sensed[:radius_m] * gain) + slammed(at)
        sent(at, Geometry::Point.new(along, across).turned(-slipped(at)))
      end

      def slammed(at) = @done.slams.any? { |hit| (at - hit).between?(0, SLAM[:seconds]) } ? SLAM[:m_s2] : 0.0

      # felt: Point, m/s2.
      def sent(at, felt)
        felt = felt.to_a.map { |one| one + spike(ACCELERATION) }
        rate = rate(at) + slip_rate(at) + spike(RATE)
        accelerations = @way ? turned([*felt, 0.0]) : felt
        rates = @way ? turned([0.0, 0.0, rate]) : [rate]
        [
          at,
          *accelerations.map { |one| one + noise(ACCELERATION) },
          *rates.map { |one| one + @sensed[:bias] + noise(RATE) }
        ]
      end

      def noise(sensor) = sensor[:sd] * @sensed[:noise] * normal
      def normal = Math.sqrt(-2 * Math.log(1 - @random.rand)) * Math.cos(2 * Math::PI * @random.rand)
      def often?(a_second) = @random.rand < a_second / HZ
      def spike(sensor) = often?(@sensed[:spikes]) ? sensor[:spike] * ((2 * @random.rand) - 1) : 0.0

      # As the phone has it.
      def turned(vector) = @way.map { |row| Motion::Plane.dot(row, vector) }

      # Three directions square to one another.
      def way
        plane = Motion::Plane
        first, any = Array.new(2) { Array.new(3) { normal } }
        first = plane.unit(first)
        second = plane.unit(plane.square_to(any, first))
        [first, second, plane.cross(first, second)].transpose
      end

      # Now and then samples are lost.
      def without_gaps(all)
        lost_until = 0.0
        all.reject do |at, *|
          lost_until = at + (GAP_S * @random.rand) if at > Movement::STILL_S && often?(@sensed[:gaps])
          at < lost_until
        end
      end

      # What the arm does: shares of the arc over time.
      class Movement
        STILL_S = Tables[:motion][:still][:seconds]
        STEP_S = 0.005
        # No movement has corners: so long its speed takes to change.
        ROUNDED_S = 0.12

        # Seconds at which the weight falls onto the stop.
        attr_reader :slams

        def initialize(done, even:)
          @even = even
          @slams = []
          @line = held(done.first.low, STILL_S)
          done.each_with_index { |one, index| repeat(one, (done[index + 1] || one).low) }
        end

        def seconds = (@line.size - 1) * STEP_S
        def share(at) = rounded[(at / STEP_S).round.clamp(0, rounded.size - 1)]

        private

        def repeat(one, next_low)
          @line += moved(one.low, one.top, one.up) + held(one.top, one.hold) + moved(one.top, next_low, one.down)
          @slams << (@line.size * STEP_S) if one.slam
          @line += held(next_low, one.pause)
        end

        def held(share, seconds) = Array.new((seconds / STEP_S).round, share)

        def moved(from, upto, seconds)
          steps = (seconds / STEP_S).round
          Array.new(steps) { |step| from + ((upto - from) * eased((step + 1).fdiv(steps))) }
        end

        def eased(share) = @even ? share : (1 - Math.cos(Math::PI * share)) / 2

        # The mean of what is around.
        def rounded
          @rounded ||=
            begin
              half = (ROUNDED_S / STEP_S / 2).round
              sums = @line.inject([0.0]) { |all, share| all << (all.last + share) }
              @line.each_index.map do |index|
                ends = [[index - half, 0].max, [index + half + 1, @line.size].min]
                (sums[ends.last] - sums[ends.first]) / (ends.last - ends.first)
              end
            end
        end
      end
    end
  end
end
