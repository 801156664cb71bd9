# frozen_string_literal: true

module Verglas
  module Mechanisms
    # A bench over whose pad the trunk hinges, for one exact body: how far the crease of the hip stands above the pad's
    # edge, where the movement turns at the bottom and ends at the top, and what it asks of the hip in between. Frame:
    # origin at the sole, x forward, y up, the legs rising from it at the bench's angle; mm, degrees, N m of both legs
    # together. docs/model.md section 6.
    class HingeBench < Mechanism
      include Carried
      include Rungs

      TRAITS = %i[level].freeze
      BODY_PARAMETERS = %i[stature ankle_height shank thigh torso].freeze
      RULES = {
        hip_pad:
          Rule.of(:pad_top, follows: { ankle_height: 1, shank: 1, thigh: 1 }) do |bench, at|
            bench.crease_mm(at) - bench.least_gap_mm - (bench.pitch_mm / 2.0)
          end,
        bench_angle: Rule.of(:bench_angle, unit: :deg)
      }.freeze

      def initialize(machine:, **given)
        super
        @pad = machine.adjusters.find { |adjuster| adjuster.drives?(:pad_top) }
      end

      # Between the marks of what moves the pad (mm); of the pad's marks each serves all creases up to the next one.
      def pitch_mm
        @pitch_mm ||= @pad && @pad.size > 1 ? mean_travel_mm(@pad) * @pad.drives[:pad_top].abs : 0.0
      end

      def mean_travel_mm(adjuster) = adjuster.travel.minmax.then { |low, high| (high - low) / (adjuster.size - 1) }

      # The gap that the next mark would leave (mm); nil where none comes nearer.
      def next_gap_mm(place)
        pads = @pad ? @pad.travel.map { |travel| @machine.constants[:pad_top] + (travel * @pad.drives[:pad_top]) } : []
        nearer = pads.select { |pad| pad > place[:pad_top] + TOUCHES }.min
        nearer && (gap_mm(place) - (nearer - place[:pad_top]))
      end

      def level? = family.traits[:level]

      # From the foot plate, or from a roller that holds the heels, to the crease of the hip (mm).
      def crease_mm(place)
        body.ankle_height + wishes[:sole_mm] + body.shank + body.thigh - (place.parameters[:heel_roller] || 0.0)
      end
      def gap_mm(place) = crease_mm(place) - place[:pad_top]

      # The least gap that is wanted.
      def least_gap_mm = wishes[:gap_mm]

      # The bench's angle: how far the legs rise from level (degrees).
      def bench_deg(place) = place.parameters[:bench_angle] || 0.0

      # Bends of the hip where the movement turns and where it ends, each within the client's own (degrees, 0 straight).
      def bottom_deg(place)
        [wishes[:bottom_deg] || today_deg(top_deg, whole_bottom_deg(place)), own_bottom_deg(place)].min
      end
      def whole_bottom_deg(place) = [wishes[:bottom_bend_deg], own_bottom_deg(place)].min
      def top_deg = @top_deg ||= [0.0, -extension_deg, *BENDS.filter_map { |motion| wishes.envelope.from(motion) }].max
      def extension_deg = @extension_deg ||= wishes.clamp(:hip_extension, 0.0)

      # Whether the hips keep the bend of the bottom, and the spine moves: then no angle of the movement is told.
      def held? = wishes[:hips_held].positive?

      # Where the hips end (degrees).
      def end_deg(place) = held? ? bottom_deg(place) : top_deg

      def range_left_deg(place) = held? ? nil : bottom_deg(place) - top_deg

      # As far as this client may be let down: hinge and hip, and not past hanging.
      def own_bottom_deg(place) = [*own_bends_deg, bench_deg(place) + FIGURES[:bottom][:steepest_deg]].min
      def own_bends_deg
        @own_bends_deg ||= [
          *BENDS.filter_map { |motion| wishes.envelope.to(motion) },
          *wishes.envelope.from(:hip_extension)&.-@
        ]
      end

      # The hip's bend by two names: with soft knees, and with bent ones.
      BENDS = %i[hip_hinge hip_flexion].freeze

      # Where the bend that was placed could not be kept to (degrees; less than nothing is what is missing).
      def bottom_room_deg(place) = own_bottom_deg(place) - asked_deg(place)
      def asked_deg(place) = wishes[:bottom_deg] || bottom_deg(place)

      # The trunk above level at a bend of the hip (degrees).
      def trunk_deg(place, bend_deg) = bench_deg(place) - bend_deg

      # About the hip with the trunk so far above level.
      def torque_nm(trunk_deg, held: held_kg, band: band_n)
        Linkages::HingeEffort.hip_nm(body, mass_kg: mass_kg, held_kg: held, trunk_deg: trunk_deg) -
          (band * FIGURES[:band][:hip_lever_mm] / 1000)
      end

      def top_nm(place) = torque_nm(trunk_deg(place, end_deg(place)))
      def bottom_nm(place) = torque_nm(trunk_deg(place, bottom_deg(place)))

      # The most over the range: with the trunk level, where the range passes it.
      def most_nm(place)
        ends = [bottom_deg(place), end_deg(place)].map { |bend| trunk_deg(place, bend) }
        ends.min.negative? && ends.max.positive? ? torque_nm(0.0) : ends.map { |deg| torque_nm(deg) }.max
      end

      # Benches that are compared: none flatter than this client may be on (degrees).
      def compared_deg
        FIGURES[:compared][:bench_deg].select do |deg|
          deg >= (family.wishes.key?(:least_angle_deg) ? wishes[:least_angle_deg] : 0)
        end
      end

      def findings(_group, place)
        [hip_gap(place), (slope(place) unless level?), bottom(place), (range_left(place) unless held?)].compact
      end

      def quantities_of(_group, place)
        {
          hip_crease_mm: crease_mm(place),
          gap_mm: gap_mm(place),
          bench_angle_deg: bench_deg(place),
          slope_room_deg: slope_room_deg(place),
          bottom_deg: bottom_deg(place),
          **(held? ? {} : { range_left_deg: range_left_deg(place) }),
          bottom_room_deg: bottom_room_deg(place),
          top_deg: end_deg(place),
          bottom_nm: bottom_nm(place),
          top_nm: top_nm(place),
          most_nm: most_nm(place)
        }
      end

      # Between two holes the one that leaves the hip freer: the smallest gap that is not too small; where all are, the
      # largest. One so large that the thighs carry it all comes after a small one. A client who has to be on a steep
      # bench is on one.
      def precedence(place)
        gap = gap_mm(place)
        [slope_room_deg(place).negative? ? 1 : 0, *(gap < least_gap_mm ? small(gap) : wide(gap))]
      end

      def preference(place) = level? ? [] : [(bench_deg(place) - wishes[:angle_deg]).abs]

      def settled(place) = wishes[:bottom_deg] ? {} : { bottom_deg: bottom_deg(place) }

      def ranges(place)
        reached = ->(motion, at, deg) do
          Reached.new(at: at, deg: deg, forced: false, target_deg: wishes.clamp(motion, deg))
        end
        bends =
          BENDS.to_h do |motion|
            [motion, [reached[motion, :bottom, bottom_deg(place)], reached[motion, :top, end_deg(place)]]]
          end
        {
          **bends,
          hip_extension: [
            reached[:hip_extension, :bottom, -bottom_deg(place)],
            reached[:hip_extension, :top, -end_deg(place)]
          ]
        }
      end

      def limits_at(place, share) = { hinge: bend_at(place, share) }

      # The hip's bend at a share of the movement: 0 where it turns, 1 at its top.
      def bend_at(place, share) = bottom_deg(place) + ((end_deg(place) - bottom_deg(place)) * share)

      def lead(place)
        held? ? nil : Lead.new(motion: :hip_flexion, from_deg: bottom_deg(place), upto_deg: top_deg)
      end

      # On the chest, from the top; where the hips are held the spine moves, and no angle of it is told.
      def laid(place)
        return if held?

        Motion::Laid.new(
          on: :chest,
          from_deg: trunk_deg(place, top_deg),
          upto_deg: trunk_deg(place, bottom_deg(place)),
          lowers_first: true
        )
      end

      # Whether it is the client's own bend, and not the house rule, that ends it.
      def end_limited? = own_bends_deg.any? { |deg| deg < wishes[:bottom_bend_deg] }

      # Each angle of the bench that is steep enough, steepest first; then what is held.
      def rungs(_bands_n = [])
        return rung, *weighted if level?

        angles = bench_angles.select { |deg| deg >= wishes[:least_angle_deg] }.sort.reverse
        angles.empty? ? [] : [*angles.map { |deg| rung(deg: deg) }, *weighted(deg: angles.last)]
      end

      def bottom(place)
        bottom_room_deg(place).then { |room| grade(:hinge_bottom, room, room, (:past_own_bend if room < -TOUCHES)) }
      end

      private

      def rung_nm(deg, held, band) = torque_nm((deg || 0.0) - top_deg, held: held, band: band)

      # At every mark of what turns the bench.
      def bench_angles
        turning = @machine.adjusters.find { |adjuster| adjuster.drives?(:bench_angle) }
        if turning
          turning.travel.map { |travel| @machine.constants[:bench_angle] + (travel * turning.drives[:bench_angle]) }
        else
          [@machine.constants[:bench_angle]]
        end
      end

      def span_of(_choice, place) = [FIGURES[:bottom][:least_deg], own_bottom_deg(place)].sort
      def small(gap) = gap.negative? ? [3, -gap] : [1, -gap]
      def wide(gap) = gap > FIGURES[:gap][:thighs_carry_over_mm] ? [2, gap] : [0, gap]

      # The band moves with what is wanted.
      def hip_gap(place)
        gap = gap_mm(place)
        grade(:hip_gap, gap, gap + band(:hip_gap).target - least_gap_mm, gap_fault(gap))
      end

      def gap_fault(gap)
        return :pad_blocks_hip if gap.negative?

        :thighs_carry_all if gap > FIGURES[:gap][:thighs_carry_over_mm]
      end

      def slope_room_deg(place) = level? ? 0.0 : bench_deg(place) - wishes[:least_angle_deg]
      def slope(place)
        slope_room_deg(place).then { |room| grade(:bench_slope, room, room, (:too_flat if room.negative?)) }
      end

      # Two bends, or two marks, are told apart from here (degrees, mm): what is placed is placed in whole ones.
      TOUCHES = 0.5
      private_constant :TOUCHES
    end
  end
end
