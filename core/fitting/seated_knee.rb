# frozen_string_literal: true

module Verglas
  module Fitting
    # One exact body on a seated knee machine. Seat frame: origin at the pivot, s along the seat to the feet, n up;
    # mm and degrees, flexion 0 straight. Parameters are the machine's constants at some marks. docs/model.md section 3.
    class SeatedKnee
      BANDS = Band.table(:seated_knee)
      FAULTS = Tables[:seated_knee][:faults]
      FIXED_SEAT = Tables[:seated_knee][:fixed_seat]
      # The body's parameters that anything here depends on.
      BODY_PARAMETERS = %i[thigh shank hip_depth hip_rise knee_back knee_under thigh_depth calf_half].freeze
      KNEECAP_EDGE_MM = Tables[:seated_knee][:kneecap_edge][:behind_knee_mm]

      # What is known once the seat is set: the knee relative to the pivot (Point, mm) and the gap behind it.
      Joint = Struct.new(:knee, :crease_gap_mm)

      # machine: for its family and whether its seat's length is a choice; body: Body::Dimensions; wishes: Wishes.
      def initialize(machine:, body:, wishes:)
        @family = machine.family
        @seat_adjustable = machine.seat_length_adjustable?
        @body = body
        @wishes = wishes
      end

      attr_reader :body, :wishes

      # The thigh slopes: how far above the seat's line the hip lies than the knee, as an angle (degrees).
      def thigh_slope_deg = Geometry::Angle.arcsine_deg(hip_over_knee_mm / @body.thigh)

      # The thigh's length along the seat (mm).
      def level_thigh_mm = Math.sqrt((@body.thigh**2) - (hip_over_knee_mm**2))

      def hip(parameters)
        Geometry::Point.new(hip_s_mm(parameters), @body.hip_rise + @wishes.cushion_seat_mm - parameters[:pivot_above_seat])
      end

      def joint(parameters)
        knee_s = hip_s_mm(parameters) + level_thigh_mm
        knee_n = @body.knee_under + @wishes.cushion_seat_mm - parameters[:pivot_above_seat]
        Joint.new(Geometry::Point.new(knee_s, knee_n), knee_s - @body.knee_back - parameters[:seat_edge])
      end

      def contact(joint, parameters, arm_deg)
        RollerContact.at(knee: joint.knee, reach_mm: parameters[:roller_reach], clearance_mm: clearance_mm(parameters),
                         side: @family.side, arm_deg: arm_deg)
      end

      def middle_deg(parameters) = (parameters[:start_angle] + parameters[:end_angle]) / 2.0
      def clearance_mm(parameters) = parameters[:roller_radius] + @body.calf_half

      # Flexion of the knee for a direction of the shin.
      def knee_bend_deg(shin_deg) = shin_deg - thigh_slope_deg

      # From the pad's edge nearest the knee to the upper edge of the kneecap; how much the pad presses into the thigh.
      def kneecap_gap_mm(joint, parameters) = joint.knee.s - KNEECAP_EDGE_MM - parameters[:thigh_pad_front]
      def thigh_press_mm(parameters) = @body.thigh_depth + @wishes.cushion_seat_mm - parameters[:thigh_pad_height]

      # The findings of one group of adjusters (:joint, :arm, :thigh_pad).
      def findings(group, joint, parameters)
        case group
        when :joint then [offset(joint), crease_gap(joint)]
        when :arm then arm_findings(joint, parameters)
        when :thigh_pad then [kneecap_gap(joint, parameters), thigh_press(parameters)]
        end
      end

      # All of them, in the family's order.
      def all_findings(parameters)
        joint = joint(parameters)
        [:joint, *@family.groups.keys].flat_map { |group| findings(group, joint, parameters) }
                                      .sort_by { |finding| @family.findings.index(finding.code) }
      end

      private

      def hip_over_knee_mm = @body.hip_rise - @body.knee_under
      def hip_s_mm(parameters) = parameters[:back_face] + @wishes.cushion_back_mm + @body.hip_depth

      def offset(joint)
        size = joint.knee.norm
        Finding.grade(:offset, value: size, graded: size, band: BANDS[:offset])
      end

      # A pinch is always graded. A gap is told and not graded where the thigh is held from above; where nothing can mend
      # it, it weighs little.
      def crease_gap(joint)
        gap = joint.crease_gap_mm
        finding = Finding.grade(:crease_gap, value: gap, graded: gap, band: BANDS[:crease_gap])
        return finding if gap <= BANDS[:crease_gap].in_line.max
        return finding.softened(severity: 0, cost: 0.0) unless @family.gap_graded

        @seat_adjustable ? finding : finding.softened(severity: 1, cost: FIXED_SEAT[:cost_at_most])
      end

      def kneecap_gap(joint, parameters)
        gap = kneecap_gap_mm(joint, parameters)
        fault = :on_the_kneecap if gap < FAULTS[:on_the_kneecap][:kneecap_gap_below_mm]
        Finding.grade(:kneecap_gap, value: gap, graded: gap, band: BANDS[:kneecap_gap], fault: fault)
      end

      def thigh_press(parameters)
        press = thigh_press_mm(parameters)
        Finding.grade(:thigh_press, value: press, graded: press, band: BANDS[:thigh_press])
      end

      def arm_findings(joint, parameters)
        first, middle, last = [parameters[:start_angle], middle_deg(parameters), parameters[:end_angle]].map do |arm_deg|
          contact(joint, parameters, arm_deg)
        end
        [contact_place(middle), start(knee_bend_deg(first.shin_deg), knee_bend_deg(last.shin_deg))]
      end

      def contact_place(middle)
        above_ankle = @body.shank - middle.contact_mm
        Finding.grade(:contact, value: above_ankle, graded: above_ankle - @wishes.contact_above_ankle_mm,
                                band: BANDS[:contact], fault: contact_fault(above_ankle))
      end

      def contact_fault(above_ankle_mm)
        return :on_the_foot if above_ankle_mm < FAULTS[:on_the_foot][:above_ankle_below_mm]

        :on_the_calf if above_ankle_mm > FAULTS[:on_the_calf][:above_ankle_over_share_of_shank] * @body.shank
      end

      def start(bend_start_deg, bend_end_deg)
        Finding.grade(:start, value: bend_start_deg, graded: bend_start_deg - @wishes.start_bend_deg, band: BANDS[:start],
                              fault: range_fault({ start: bend_start_deg, end: bend_end_deg }))
      end

      def range_fault(bends_deg)
        return :forced_straight if bends_deg[@family.straight[:at]] < @family.straight[:least_bend_deg]

        limit = @wishes.knee_bend_limit_deg
        :past_knee_bend_limit if limit && bends_deg.values.max > limit
      end
    end
  end
end
