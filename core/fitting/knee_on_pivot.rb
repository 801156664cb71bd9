# frozen_string_literal: true

module Verglas
  module Fitting
    # What every knee machine has in common, for one exact body on one machine: a knee somewhere near the pivot, and a roller
    # on an arm about that pivot which meets the lower leg. Machine frame: origin at the pivot, s along seat or bench to the
    # feet, n square to it; mm and degrees, flexion 0 straight. Parameters are the machine's constants at some marks.
    # docs/model.md section 3. A subclass says where the knee is (`joint`), how the thigh slopes (`thigh_slope_deg`), what
    # else it finds (`joint_findings`, ...), and holds BANDS, GRADED_QUANTITY, BODY_PARAMETERS, RULES and MENDS.
    class KneeOnPivot
      TABLE = Tables[:knee]
      BANDS = Band.table(TABLE[:bands])
      FAULTS = TABLE[:faults]
      KNEECAP_EDGE_MM = TABLE[:kneecap_edge][:behind_knee_mm]
      ARM_RULES = {
        contact: Rule.new(unit: :mm, constants: 2, position: ->(at) { at[:roller_reach] }, required: ->(mechanics, at) { mechanics.wanted_reach_mm(at) }),
        start: Rule.new(unit: :deg, constants: 1, position: ->(at) { at[:start_angle] }, required: ->(mechanics, at) { mechanics.wanted_start_deg(at) }),
        end: Rule.new(unit: :deg, constants: 1, position: ->(at) { at[:end_angle] }, required: ->(mechanics, at) { mechanics.wanted_end_deg(at) })
      }.freeze
      ARM_DECIDED_BY = { roller_reach: :contact, roller_radius: :contact, start_angle: :start, end_angle: :end }.freeze
      # Before what goes slack (degrees of knee bend).
      CLEAR_OF_SLACK_DEG = TABLE[:ends][:clear_of_slack_deg]

      # machine: for its family and whether its seat's length is a choice; body: Body::Dimensions; wishes: Wishes.
      def initialize(machine:, body:, wishes:)
        @family = machine.family
        @seat_adjustable = machine.seat_length_adjustable?
        @end_adjustable = machine.end_adjustable?
        @envelope = wishes.envelope
        @body = body
        @wishes = wishes
      end

      attr_reader :family, :body, :wishes

      def contact(joint, parameters, arm_deg)
        RollerContact.at(knee: joint, reach_mm: parameters[:roller_reach], clearance_mm: clearance_mm(parameters),
                         side: family.side, arm_deg: arm_deg)
      end

      # At the start, in the middle and at the end of the arc.
      def contacts(joint, parameters)
        [parameters[:start_angle], middle_deg(parameters), parameters[:end_angle]].map { |arm_deg| contact(joint, parameters, arm_deg) }
      end

      def middle_deg(parameters) = (parameters[:start_angle] + parameters[:end_angle]) / 2.0
      def clearance_mm(parameters) = parameters[:roller_radius] + body.calf_half

      # Flexion of the knee for a direction of the shin.
      def knee_bend_deg(shin_deg) = shin_deg - thigh_slope_deg

      # The findings of one group of adjusters.
      def findings(group, joint, parameters)
        group == :arm ? arm_findings(joint, parameters) : joint_findings(joint, parameters)
      end

      # All that can be told, in the family's order.
      def all_findings(parameters)
        return [] if family.findings.empty?

        joint = joint(parameters)
        order = family.findings.keys
        family.told.flat_map { |group| findings(group, joint, parameters) }.sort_by { |finding| order.index(finding.code) }
      end

      # Every number that can be told, by name.
      def quantities(parameters)
        return {} if family.findings.empty?

        joint = joint(parameters)
        family.told.map { |group| quantities_of(group, joint, parameters) }.inject({}, :merge)
      end

      # The reach with which the roller touches at the wanted place in the middle of the arc, the knee where it now is.
      def wanted_reach_mm(parameters)
        knee = joint(parameters)
        contact = body.shank - wishes.contact_above_ankle_mm
        along_arm = knee.dot(Geometry::Point.towards(middle_deg(parameters)))
        along_arm + Math.sqrt([(along_arm**2) - (knee.norm**2) + (contact**2) + (clearance_mm(parameters)**2), 0.0].max)
      end

      # What is aimed at, cut to what the client's knee may do: the bend at the start, and at the end (degrees).
      def start_target_deg = @start_target_deg ||= @envelope.clamp(:knee_flexion, wishes.start_bend_deg)
      def end_target_deg = @end_target_deg ||= @envelope.clamp(:knee_flexion, clear_of_slack(wishes.end_bend_deg))

      # Whether it is the client's own range, and not the house rule, that ends the movement.
      def end_limited? = end_target_deg != clear_of_slack(wishes.end_bend_deg)

      # The arm's angles with the knee so bent, the knee where it now is.
      def wanted_start_deg(parameters) = arm_at(start_target_deg, joint(parameters), parameters)
      def wanted_end_deg(parameters) = arm_at(end_target_deg, joint(parameters), parameters)

      # Where the client turns back: the arm's angle at the end that is aimed at (degrees), and the knee bend that is missing
      # because the arc ends before. Where a stop ends the arc, this is it.
      def turning(joint, parameters)
        wanted = arm_at(end_target_deg, joint, parameters)
        first, last = parameters.values_at(:start_angle, :end_angle)
        return [last, (end_target_deg - knee_bend_deg(contact(joint, parameters, last).shin_deg)).abs] if ((wanted - last) * family.side).negative?

        [((wanted - first) * family.side).positive? ? first : wanted, 0.0]
      end

      private

      # Of a movement that bends; one that straightens ends where nothing goes slack.
      def clear_of_slack(bend_deg)
        slack = wishes.slack_from_deg
        slack && family.side.negative? ? [bend_deg, slack - CLEAR_OF_SLACK_DEG].min : bend_deg
      end

      # Where a line beside the shin, one clearance away, meets the roller's circle.
      def arm_at(bend_deg, joint, parameters)
        shin = bend_deg + thigh_slope_deg
        along = Geometry::Point.towards(shin)
        foot_of_line = joint + (Geometry::Point.towards(shin - (90 * family.side)) * clearance_mm(parameters))
        half = foot_of_line.dot(along)
        root = Math.sqrt([(half**2) - (foot_of_line.norm**2) + (parameters[:roller_reach]**2), 0.0].max)
        (foot_of_line + (along * (root - half))).angle_deg
      end

      def quantities_of(group, joint, parameters)
        group == :arm ? ArmQuantities.of(self, joint, parameters) : joint_quantities(joint, parameters)
      end

      def offset(joint)
        Finding.grade(:offset, value: joint.norm, graded: joint.norm, band: BANDS[:offset])
      end

      def arm_findings(joint, parameters)
        first, middle, last = contacts(joint, parameters)
        bends = { start: knee_bend_deg(first.shin_deg), end: knee_bend_deg(last.shin_deg) }
        [contact_place(middle), start(bends), (ending(bends[:end]) if @end_adjustable)].compact
      end

      def contact_place(middle)
        above_ankle = body.shank - middle.contact_mm
        Finding.grade(:contact, value: above_ankle, graded: above_ankle - wishes.contact_above_ankle_mm,
                                band: BANDS[:contact], fault: contact_fault(above_ankle))
      end

      def contact_fault(above_ankle_mm)
        return :on_the_foot if above_ankle_mm < FAULTS[:on_the_foot][:above_ankle_below_mm]

        :on_the_calf if above_ankle_mm > FAULTS[:on_the_calf][:above_ankle_over_share_of_shank] * body.shank
      end

      # The machine forces the start: outside the client's range it is a fault.
      def start(bends)
        straight = :forced_straight if bends[family.straight[:at]] < family.straight[:least_bend_deg]
        Finding.grade(:start, value: bends[:start], graded: bends[:start] - start_target_deg, band: BANDS[:start], fault: straight || range_fault(bends[:start]))
      end

      # Where a stop ends the movement, the machine forces that too.
      def ending(bend_deg)
        Finding.grade(:end, value: bend_deg, graded: bend_deg - end_target_deg, band: BANDS[:end], fault: range_fault(bend_deg))
      end

      def range_fault(bend_deg)
        return if @envelope.cover?(:knee_flexion, bend_deg)

        bend_deg > end_of_range ? :past_knee_bend_limit : :past_straight_limit
      end

      def end_of_range = @envelope.to(:knee_flexion) || Float::INFINITY
    end
  end
end
