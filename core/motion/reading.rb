# frozen_string_literal: true

module Verglas
  module Motion
    # A set as a phone on the machine's arm read it: how far each repetition went of what was agreed, and its seconds.
    # docs/model.md section 17
    class Reading
      TURNS = Tables[:motion][:turns]
      SLAM = Tables[:motion][:slam]
      GRAVITY_M_S2 = Tables[:motion][:gravity][:m_s2]

      # samples: Samples; start_deg, end_deg: of the arm, the arc that was agreed, at whose start the first seconds were
      # still; slow_share: how much of it is to be slow at first, nil for none of it. Raises Invalid where there is no
      # arc.
      def initialize(samples, start_deg:, end_deg:, slow_share: nil)
        @arc_deg = (end_deg - start_deg).abs
        @slow_share = slow_share
        raise Invalid.new(:no_arc, path: "/end") if @arc_deg.zero?

        @samples = samples.plane
        @along = samples.along
      end

      # Where the arm is, a share of the arc a sample: 0 at the start stop, 1 at its end.
      def shares = slips.shares
      def times = @times ||= @samples.map(&:first)

      # Whether the phone slipped: what is read of it since is put right as far as that can be, and asks to be checked.
      def slipped? = slips.any? || twisted?

      # [Repetition]
      def repetitions
        @repetitions ||=
          lifts.each_with_index.map do |lift, index|
            following = lifts[index + 1]
            Repetition.new(
              low: lift.low,
              top: lift.top,
              up: lift.up_s,
              hold: lift.hold_s,
              down: lift.down_s,
              pause: following && lift.pause_s(following),
              first_s: @slow_share && lift.until_s(@slow_share)
            )
          end
      end

      # What is kept of it.
      def curve = Curve.of(times, shares)

      # Whether the weight was let fall onto the start stop.
      def slam? = lifts.any? { |lift| struck?(lift) }

      private

      def slips = @slips ||= Slips.new(times, turned_shares, Unfelt.new(angle).to_a)
      def angle = @angle ||= ArmAngle.new(@samples)

      def turned_shares
        turned = angle.degrees.map { |deg| deg / @arc_deg }
        # Away from the stop is towards the end.
        (turned.find { |share| share.abs >= TURNS[:rise] } || 0).negative? ? turned.map(&:-@) : turned
      end

      # Whether gravity points elsewhere out of the plane in one repetition than in another or at the start.
      def twisted?
        return false unless @along

        low, high =
          [0...Plane.still(@samples).size, *lifts.map(&:span)].map { |range| Plane.middle(@along[range]) }.minmax
        high - low > Slips::FIGURES[:along_m_s2]
      end

      def lifts
        @lifts ||=
          Turns
            .of(shares)
            .each_cons(3)
            .select
            .with_index { |(low, high, _), index| index.even? && shares[high] - shares[low] >= TURNS[:rise] }
            .map { |turns| Lift.new(times, shares, *turns) }
      end

      # Where it came back, so many samples far from gravity.
      def struck?(lift)
        return false unless lift.came_back?

        near = Range.new(lift.back_s.min - SLAM[:within_s], lift.back_s.max + SLAM[:within_s])
        @samples.count { |sample| near.cover?(sample.first) && jolted?(sample) } >= SLAM[:samples]
      end

      def jolted?(sample) = (Math.hypot(sample[1], sample[2]) - GRAVITY_M_S2).abs > SLAM[:over_m_s2]
    end
  end
end
