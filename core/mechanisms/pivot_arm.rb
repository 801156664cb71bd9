# frozen_string_literal: true

module Verglas
  module Mechanisms
    # What every knee machine has in common, for one exact body on one machine: a knee somewhere near the pivot, and a
    # roller on an arm about that pivot which meets the lower leg. Machine frame: origin at the pivot, s along seat or
    # bench to the feet, n square to it; mm and degrees, flexion 0 straight. docs/model.md section 3. A subclass says
    # where the knee is (`joint`), how the thigh slopes (`thigh_slope_deg`), where the hip is (`hip`), and what else it
    # finds.
    class PivotArm < Mechanism
      include PivotArm::Ends

      TABLE = Tables[:knee]
      FAULTS = TABLE[:faults]
      KNEECAP_EDGE_MM = TABLE[:kneecap_edge][:behind_knee_mm]
      TRAITS = %i[side straight].freeze
      RULES = {
        contact: Rule.of(:roller_reach, constants: 2, follows: { shank: 1 }) { |arm, at| arm.wanted_reach_mm(at) },
        start: Rule.of(:start_angle, unit: :deg) { |arm, at| arm.arm_at(arm.start_target_deg, at) },
        end: Rule.of(:end_angle, unit: :deg) { |arm, at| arm.arm_at(arm.end_target_deg, at) }
      }.freeze
      # How far the roller comes towards the knee while the leg straightens, and the other way round (mm), times the
      # arm's side.
      CLIMBS = { climb_mm: -1, slide_mm: 1 }.freeze
      # Before what goes slack (degrees of knee bend).
      CLEAR_OF_SLACK_DEG = TABLE[:ends][:clear_of_slack_deg]

      # Ends on the wrong side of one another.
      def self.disorder(machine)
        at = machine.constants
        backwards =
          at.key?(:start_angle) && !((at[:start_angle] - at[:end_angle]) * machine.family.traits[:side]).positive?
        backwards ? [[:arc_backwards, %i[start_angle end_angle]]] : []
      end

      def initialize(machine:, **given)
        super
        @end_adjustable = machine.driven?(:end_angle)
        @side = family.traits[:side]
        @straight = family.traits[:straight]
        @wanted_above_ankle_mm = wishes[:contact_above_ankle_mm]
      end

      # side: +1 where the pad lies in front of the lower leg, -1 behind it; wanted_above_ankle_mm: where the roller
      # wants to touch.
      attr_reader :side, :wanted_above_ankle_mm

      # Whether the movement straightens the knee; else it bends it.
      def straightens? = side.positive?

      def contact(place, arm_deg)
        Linkages::RollerContact.at(
          knee: place.joint,
          reach_mm: place[:roller_reach],
          clearance_mm: clearance_mm(place),
          side: side,
          arm_deg: arm_deg
        )
      end

      # At the start, in the middle and at the end of the arc.
      def contacts(place)
        place.once(:contacts) do
          [place[:start_angle], middle_deg(place), place[:end_angle]].map { |arm_deg| contact(place, arm_deg) }
        end
      end

      def shown(number, place, agreed)
        return super unless CLIMBS.key?(number)
        return unless family.told.include?(:arm)

        first, _, last = contacts(place)
        CLIMBS[number] * side * (last.contact_mm - first.contact_mm)
      end

      def lever_mm(place) = (contacts(place)[1].contact_mm if family.told.include?(:arm))

      def middle_deg(place) = (place[:start_angle] + place[:end_angle]) / 2.0
      def clearance_mm(place) = place[:roller_radius] + body.calf_half

      # Flexion of the knee for a direction of the shin.
      def knee_bend_deg(shin_deg) = shin_deg - thigh_slope_deg

      def graded?(finding) = finding.code != :contact || !by_comfort? || !finding.fault.nil?

      def severity(code, graded) = code == :contact && by_comfort? ? 0 : super

      # The findings of one group of adjusters.
      def findings(group, place)
        case group
        when :arm
          arm_findings(place)
        when :joint
          joint_findings(place)
        else
          []
        end
      end

      # Every number of one group.
      def quantities_of(group, place)
        case group
        when :arm
          ArmQuantities.of(self, place)
        when :joint
          joint_quantities(place)
        else
          {}
        end
      end

      # A limit is not met by leaving the pivot: where a caution's or a clinician's word on the knee stands, the knee
      # comes first.
      def precedence(place)
        wishes.hard[:knee_flexion] == Body::Envelope::OPEN ? [] : [[band(:offset).severity(place.joint.norm), 1].max]
      end

      # The knee at both ends of the arc: at the start the machine forces it; at the end only where a stop can be set.
      def ranges(place)
        first, _, last = contacts(place)
        {
          knee_flexion: [
            Reached.new(at: :start, deg: knee_bend_deg(first.shin_deg), forced: true, target_deg: start_target_deg),
            Reached.new(
              at: :end,
              deg: @end_adjustable ? knee_bend_deg(last.shin_deg) : turning_bend_deg(place),
              forced: @end_adjustable,
              target_deg: end_target_deg
            )
          ]
        }
      end

      # From where the machine begins to where the client turns back.
      def range_left_deg(place) = (turning_bend_deg(place) - knee_bend_deg(contacts(place).first.shin_deg)) * -side

      # The knee where the client turns back (degrees of bend).
      def turning_bend_deg(place) = knee_bend_deg(contact(place, turning(place).first).shin_deg)

      # The reach with which the roller touches at the wanted place in the middle of the arc, the knee where it now is.
      def wanted_reach_mm(place)
        knee = place.joint
        contact = body.shank - @wanted_above_ankle_mm
        along_arm = knee.dot(Geometry::Point.towards(middle_deg(place)))
        along_arm + Math.sqrt([(along_arm**2) - (knee.norm**2) + (contact**2) + (clearance_mm(place)**2), 0.0].max)
      end

      # Whether it is the client's own range, and not the house rule, that ends the movement.
      def end_limited? = whole_end_deg != clear_of_slack(wishes[:end_bend_deg])

      # Where the client turns back: the arm's angle at the end that is aimed at (degrees), and the knee bend that is
      # missing because the arc ends before. Where a stop ends the arc, this is it.
      def turning(place)
        wanted = arm_at(end_target_deg, place)
        first = place[:start_angle]
        last = place[:end_angle]
        if ((wanted - last) * side).negative?
          return last, (end_target_deg - knee_bend_deg(contact(place, last).shin_deg)).abs
        end

        [((wanted - first) * side).positive? ? first : wanted, 0.0]
      end

      # The knee, from where the machine begins to where the client turns back.
      def lead(place)
        return unless family.told.include?(:arm)

        from, upto =
          [place[:start_angle], turning(place).first].map { |arm_deg| knee_bend_deg(contact(place, arm_deg).shin_deg) }
        Lead.new(motion: :knee_flexion, from_deg: from, upto_deg: upto)
      end

      # On the arm, from the start stop to where the client turns back.
      def laid(place)
        return unless family.told.include?(:arm)

        Motion::Laid.new(on: :arm, from_deg: place[:start_angle], upto_deg: turning(place).first, lowers_first: false)
      end

      # The arm's angle with the knee bent so far, the knee where it now is (degrees).
      def arm_at(bend_deg, place)
        Linkages::RollerContact.arm_deg(
          knee: place.joint,
          reach_mm: place[:roller_reach],
          clearance_mm: clearance_mm(place),
          side: side,
          shin_deg: bend_deg + thigh_slope_deg
        )
      end

      # How a creep test on this arm is read (Fitting::CreepTest): reach and clearance in mm, and the side; nil where it
      # is not taped.
      def creep_geometry(place)
        { reach_mm: place[:roller_reach], clearance_mm: clearance_mm(place), side: side } if family.told.include?(:arm)
      end

      # Where comfort says where the roller lies its place is told, not graded; not where a caution wants it higher.
      def by_comfort?
        wishes.values.fetch(:contact_by_comfort, 0).positive? &&
          wishes[:contact_above_ankle_mm] <= family.wishes[:contact_above_ankle_mm].default
      end

      private

      def offset(place)
        place.joint.norm.then do |off|
          grade(:offset, off, off, (:far_from_pivot if off > FAULTS[:far_from_pivot][:offset_over_mm]))
        end
      end

      def arm_findings(place)
        first, middle, last = contacts(place)
        bends = { start: knee_bend_deg(first.shin_deg), end: knee_bend_deg(last.shin_deg) }
        [contact_place(middle), start(bends), (ending(bends[:end]) if @end_adjustable), range_left(place)].compact
      end

      def contact_place(middle)
        above_ankle = body.shank - middle.contact_mm
        found = grade(:contact, above_ankle, above_ankle - @wanted_above_ankle_mm, contact_fault(above_ankle))
        by_comfort? && !found.fault ? found.softened(severity: 0, cost: found.cost) : found
      end

      def contact_fault(above_ankle_mm)
        return :on_the_foot if above_ankle_mm < FAULTS[:on_the_foot][:above_ankle_below_mm]

        :on_the_calf if above_ankle_mm > FAULTS[:on_the_calf][:above_ankle_over_share_of_shank] * body.shank
      end

      # The machine forces the start: outside the client's range it is a fault.
      def start(bends)
        forced = :forced_straight if bends[@straight[:at]] < @straight[:least_bend_deg]
        grade(:start, bends[:start], bends[:start] - start_target_deg, forced || range_fault(bends[:start]))
      end

      # Where a stop ends the movement, the machine forces that too.
      def ending(bend_deg) = grade(:end, bend_deg, bend_deg - end_target_deg, range_fault(bend_deg))

      def range_fault(bend_deg)
        return if wishes.envelope.cover?(:knee_flexion, bend_deg)

        bend_deg > (wishes.envelope.to(:knee_flexion) || Float::INFINITY) ? :past_knee_bend_limit : :past_straight_limit
      end
    end
  end
end
