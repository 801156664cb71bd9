# frozen_string_literal: true

module Verglas
  module Mechanisms
    # Seated hip abduction and adduction, for one exact body: two arms about pivots at the hips, a pad of each on one
    # side of a thigh. Seen from above, one leg: origin at the pivot, s forward, n towards the body's middle; angles
    # each side from straight ahead, + outwards, so that a pad meets a thigh as a roller meets a shin. mm, degrees.
    # docs/model.md section 7.
    class SeatedHip < Mechanism
      FIGURES = Tables[:spread]
      TRAITS = %i[side].freeze
      BODY_PARAMETERS = %i[stature hip_depth hip_rise thigh thigh_depth ankle_height shank].freeze
      RULES = {
        hip_pivot:
          Rule.of(:back_face, constants: 2, follows: { hip_depth: 1 }) do |seat, at|
            at[:pivot_depth] - seat.body.hip_depth
          end,
        spread_start: Rule.of(:start_angle, unit: :deg) { |seat, at| seat.arm_at(seat.start_target_deg, at) },
        thigh_level:
          Rule.of(:seat_over_rest, follows: { ankle_height: 1, shank: 1, hip_rise: -1 }) do |seat, _|
            seat.level_seat_mm
          end
      }.freeze

      # Arms which open for one that closes, and the other way round.
      def self.disorder(machine)
        at = machine.constants
        backwards =
          at.key?(:start_angle) && !((at[:start_angle] - at[:end_angle]) * machine.family.traits[:side]).positive?
        backwards ? [[:arc_backwards, %i[start_angle end_angle]]] : []
      end

      # -1 where the pads lie outside the thighs and those move apart, +1 inside and together.
      def side = family.traits[:side]
      def opens? = side.negative?

      # n points to the middle, which on the side that is magnified is down.
      def up = -1

      # The hip's joint from the pivot.
      def joint(parameters)
        Geometry::Point.new(
          parameters[:back_face] + body.hip_depth - parameters[:pivot_depth],
          parameters[:pivot_half_width] - half_hips_mm
        )
      end

      def half_hips_mm = FIGURES[:hips][:half_width_share] * body.stature

      # From the middle of the pad to that of the thigh.
      def clearance_mm(place) = place[:pad_half] + (body.thigh_depth / 2.0)

      def contact(place, arm_deg)
        Linkages::RollerContact.at(
          knee: place.joint,
          reach_mm: place[:pad_reach],
          clearance_mm: clearance_mm(place),
          side: side,
          arm_deg: arm_deg
        )
      end

      # At the start and at the end of the arc.
      def contacts(place)
        place.once(:contacts) { %i[start_angle end_angle].map { |name| contact(place, place[name]) } }
      end

      # The arm's angle with the thigh so far out (degrees).
      def arm_at(thigh_deg, place)
        Linkages::RollerContact.arm_deg(
          knee: place.joint,
          reach_mm: place[:pad_reach],
          clearance_mm: clearance_mm(place),
          side: side,
          shin_deg: thigh_deg
        )
      end

      # Where the thighs should start: together, or apart as far as is comfortable less a little; and where the client
      # turns back: each within their own range (degrees, + outwards).
      def whole_start_deg
        @whole_start_deg ||= own(opens? ? 0.0 : outmost_deg - Body::Margins.short_deg(:adduction_start))
      end
      def whole_end_deg = @whole_end_deg ||= own(opens? ? outmost_deg : -wishes[:past_middle_deg])

      # The same today: where the thighs close they start less far apart, where they open they turn back before.
      def start_target_deg = opens? ? whole_start_deg : today_deg(whole_end_deg, whole_start_deg)
      def end_target_deg = opens? ? today_deg(whole_start_deg, whole_end_deg) : whole_end_deg

      # How far out a thigh may go, and how far in (degrees out; less than nothing past the middle): abduction and
      # adduction are one motion's two ways.
      def outmost_deg
        [spread_limit_deg, wishes.envelope.to(:hip_abduction), wishes.envelope.from(:hip_adduction)&.-@].compact.min
      end
      def inmost_deg
        [wishes.envelope.from(:hip_abduction), wishes.envelope.to(:hip_adduction)&.-@].compact.max || -Float::INFINITY
      end

      # From where the machine puts the thighs to where the client turns back.
      def range_left_deg(place)
        (contact(place, turning(place).first).shin_deg - contacts(place).first.shin_deg) * -side
      end
      def spread_limit_deg = wishes[:spread_limit_deg]

      # How far the machine may put somebody's thighs apart at the start.
      def spread_at_most_deg = [opens? ? nil : most_deg, outmost_deg].compact.min

      # Where the arm is when the client turns back, and by how much the arc ends before (degrees).
      def turning(place)
        wanted = arm_at(end_target_deg, place)
        first, last = place.parameters.values_at(:start_angle, :end_angle)
        return last, (end_target_deg - contact(place, last).shin_deg).abs if ((wanted - last) * side).negative?

        [((wanted - first) * side).positive? ? first : wanted, 0.0]
      end

      # How far the knee lies higher than the hip, as the thigh's slope (degrees).
      def thigh_slope_deg(place)
        Geometry::Angle.arcsine_deg(
          (
            feet_to_knee_mm + wishes[:foot_rest_mm] - place[:seat_over_rest] - wishes[:cushion_seat_mm] - body.hip_rise
          ) / body.thigh
        )
      end

      # The seat over the foot rest with which the thighs lie level.
      def level_seat_mm = feet_to_knee_mm + wishes[:foot_rest_mm] - wishes[:cushion_seat_mm] - body.hip_rise
      def feet_to_knee_mm = body.ankle_height + wishes[:sole_mm] + body.shank

      def findings(group, place)
        case group
        when :joint
          [grade(:hip_offset, place.joint.norm)]
        when :arm
          [start(place), range_left(place)]
        else
          [grade(:thigh_slope, thigh_slope_deg(place))]
        end
      end

      def quantities_of(group, place)
        case group
        when :joint
          { hip_s_mm: place.joint.s, hip_n_mm: place.joint.n, hip_offset_mm: place.joint.norm }
        when :arm
          arm_quantities(place)
        else
          { thigh_slope_deg: thigh_slope_deg(place) }
        end
      end

      # An adduction's start is one that is allowed before anything else.
      def precedence(place)
        return [] if opens? || !arms?

        [over?(place) ? 1 : 0]
      end

      # {motion => [Reached]}: the machine forces the start, the client ends.
      def ranges(place)
        first = contacts(place).first.shin_deg
        last = contact(place, turning(place).first).shin_deg
        out =
          Reached.new(
            at: opens? ? :end : :start,
            deg: opens? ? last : first,
            forced: !opens?,
            target_deg: opens? ? end_target_deg : start_target_deg
          )
        together =
          Reached.new(
            at: opens? ? :start : :end,
            deg: -(opens? ? first : last),
            forced: opens?,
            target_deg: -(opens? ? start_target_deg : end_target_deg)
          )
        { hip_abduction: [out], hip_adduction: [together] }
      end

      # Outwards and the other way, where somebody sees either reached.
      def limits_at(place, share)
        return {} unless arms?

        deg = contact(place, arm_along(place, share)).shin_deg
        opens? ? { abduction: deg } : { abduction: deg, adduction: -deg }
      end

      def arm_along(place, share) = place[:start_angle] + ((turning(place).first - place[:start_angle]) * share)

      # How far the thighs are apart.
      def lead(place)
        return unless arms?

        from, upto = [0, 1].map { |share| contact(place, arm_along(place, share)).shin_deg }
        Lead.new(motion: :hip_abduction, from_deg: from, upto_deg: upto)
      end

      def share_at(place, deg)
        from = place[:start_angle]
        (arm_at(deg, place) - from) / (turning(place).first - from)
      end

      # From where the machine begins to where its arc ends.
      def efforts(place)
        return unless arms?

        first, last = place.parameters.values_at(:start_angle, :end_angle)
        way = turning(place).first - first
        return if way.zero?

        told =
          Array.new(EFFORTS) do |index|
            off = (last - first) * index / (EFFORTS - 1.0)
            [off / way, contact(place, first + off).torque_ratio / middle_ratio(place)]
          end
        { hip: told }
      end

      # Whether an abduction ends where the client's own range does.
      def end_limited? = opens? && end_target_deg < family.wishes.fetch(:spread_limit_deg).default

      private

      # Within the client's own; where its two ends have passed one another, the outer one.
      def own(thigh_deg) = outmost_deg < inmost_deg ? outmost_deg : thigh_deg.clamp(inmost_deg, outmost_deg)

      def arms? = family.told.include?(:arm)

      # In the middle of the arc.
      def middle_ratio(place)
        place.once(:middle_ratio) do
          contact(place, place.parameters.values_at(:start_angle, :end_angle).sum / 2.0).torque_ratio
        end
      end

      def arm_quantities(place)
        first, last = contacts(place)
        arm, missing = turning(place)
        {
          contact_start_mm: first.contact_mm,
          contact_end_mm: last.contact_mm,
          creep_mm: last.contact_mm - first.contact_mm,
          torque_ratio_start: first.torque_ratio,
          torque_ratio_middle: middle_ratio(place),
          torque_ratio_end: last.torque_ratio,
          thigh_start_deg: first.shin_deg,
          thigh_end_deg: last.shin_deg,
          above_knee_mm: body.thigh - first.contact_mm,
          end_target_deg: end_target_deg,
          end_arm_deg: arm,
          end_missing_deg: missing,
          range_left_deg: range_left_deg(place)
        }
      end

      # Past where the client may start at all: today's share is aimed at, and keeps nobody from a mark.
      def over?(place) = contacts(place).first.shin_deg > whole_start_deg

      # The machine forces it: past the client's own it is a fault; an adduction's nearer to it than wanted is off, and
      # so is one that leaves no movement where less than the whole range is gone through today. Between today's start
      # and that of the whole range no mark is a bad one.
      def start(place)
        deg = contacts(place).first.shin_deg
        found = grade(:spread_start, deg, deg - start_target_deg, start_fault(deg))
        return found if opens? || found.fault
        return found.with_severity([found.severity, 2].max) if over?(place) || too_little?(place)

        deg > start_target_deg ? found.softened(severity: 0, cost: found.cost) : found
      end

      def too_little?(place) = !grown? && range_left_deg(place) < band(:range_left).close.min

      # Until it was measured, what holds is the wish's own figure.
      def start_fault(deg)
        return :past_own_spread if spread_at_most_deg && deg > spread_at_most_deg + ROUNDING_DEG

        :past_middle if deg < inmost_deg - ROUNDING_DEG
      end

      def most_deg
        spread_limit_deg == family.wishes.fetch(:spread_limit_deg).default ? whole_start_deg : spread_limit_deg
      end

      # Of sums of angles.
      ROUNDING_DEG = 1e-9
      private_constant :ROUNDING_DEG
    end
  end
end
