# frozen_string_literal: true

module Verglas
  module Fitting
    # A knee machine on whose seat the client sits: back pad and seat decide where the knee is. Seat frame, n upwards.
    # docs/model.md section 3.
    class SeatedKnee < KneeOnPivot
      # The body's parameters that anything here depends on.
      BODY_PARAMETERS = %i[thigh shank hip_depth hip_rise knee_back knee_under thigh_depth calf_half].freeze
      # Which way +n points: up. What may be put under and behind a client, where the maker allows it. Whether the client
      # slides to the joint's place before any adjuster is set.
      UP = 1
      AIDS = %i[cushion_back_mm cushion_seat_mm].freeze
      SLIDES = false
      FIXED_SEAT = TABLE[:fixed_seat]
      BY_HAND = TABLE[:by_hand]

      # Which quantity's SD belongs to a finding's graded number.
      GRADED_QUANTITY = { offset: :offset_mm, crease_gap: :crease_gap_mm, contact: :above_ankle_mm, start: :knee_bend_start_deg, end: :knee_bend_end_deg,
                          kneecap_gap: :kneecap_gap_mm, thigh_press: :thigh_press_mm }.freeze

      RULES = {
        height: Rule.new(unit: :mm, constants: 1, position: ->(at) { at[:pivot_above_seat] },
                         required: ->(mechanics, _) { mechanics.body.knee_under + mechanics.wishes.cushion_seat_mm }),
        pivot: Rule.new(unit: :mm, constants: 1, position: ->(at) { at[:back_face] }, required: ->(mechanics, _) { -mechanics.seated_length_mm }),
        crease: Rule.new(unit: :mm, constants: 2, position: ->(at) { at[:back_face] - at[:seat_edge] },
                         required: ->(mechanics, _) { BANDS[:crease_gap].target + mechanics.body.knee_back - mechanics.seated_length_mm }),
        thigh_press: Rule.new(unit: :mm, constants: 1, position: ->(at) { at[:thigh_pad_height] },
                              required: ->(mechanics, _) { mechanics.body.thigh_depth + mechanics.wishes.cushion_seat_mm - mechanics.wishes.thigh_press_mm }),
        kneecap: Rule.new(unit: :mm, constants: 2, position: ->(at) { at[:thigh_pad_front] },
                          required: ->(mechanics, at) { mechanics.joint(at).s - KNEECAP_EDGE_MM - BANDS[:kneecap_gap].target }),
        **ARM_RULES
      }.freeze
      DECIDED_BY = { pivot_above_seat: :height, **ARM_DECIDED_BY, thigh_pad_height: :thigh_press, thigh_pad_front: :kneecap }.freeze

      # What would mend a number that is too small, and one that is too large.
      MENDS = { crease_gap: %i[cushion_behind_back longer_seat], contact: %i[shorter_roller_arm longer_roller_arm],
                start: %i[start_further_back start_nearer_straight], end: %i[end_further_bent end_nearer_straight], kneecap_gap: %i[seat_forward seat_back],
                thigh_press: %i[lower_thigh_pad raise_thigh_pad] }.freeze

      # What decides an adjuster, by what it drives; nil where no rule does. A back pad that slides on a sliding seat sets the
      # seat's length; alone, or as a whole seat, the pivot.
      def self.deciding(machine, adjuster)
        back, edge = %i[back_face seat_edge].map { |name| adjuster.drives.fetch(name, 0) }
        return DECIDED_BY.find { |name, _| adjuster.drives?(name) }&.last if back.zero? && edge.zero?

        back.zero? || (back != edge && whole_seat?(machine)) ? :crease : :pivot
      end

      def self.whole_seat?(machine)
        machine.adjusters.any? { |other| other.drives?(:back_face) && other.drives[:back_face] == other.drives[:seat_edge] }
      end
      private_class_method :whole_seat?

      # s + ahead of the pivot, n + above it: the larger of the two errors is the one to mend.
      def self.joint_mend(knee_s, knee_n)
        return [knee_s.negative? ? :cushion_behind_back : :back_pad_further_back, knee_s] if knee_s.abs >= knee_n.abs

        [knee_n.negative? ? :cushion_on_seat : :lower_seat, knee_n]
      end

      # Codes of findings that a body known this well cannot grade: the thigh pad is lowered until it is firm.
      def self.by_hand(estimate)
        estimate.sd[BY_HAND[:thigh_press][:body_parameter].to_sym] > BY_HAND[:thigh_press][:above_sd_mm] ? [:thigh_press] : []
      end

      # The thigh slopes: how far above the seat's line the hip lies than the knee, as an angle (degrees).
      def thigh_slope_deg = Geometry::Angle.arcsine_deg(hip_over_knee_mm / body.thigh)

      # The thigh's length along the seat (mm).
      def level_thigh_mm = Math.sqrt((body.thigh**2) - (hip_over_knee_mm**2))

      # From the back pad's face to the knee, along the seat (mm).
      def seated_length_mm = body.hip_depth + level_thigh_mm + wishes.cushion_back_mm

      # Places relative to the pivot (Point, mm).
      def hip(parameters)
        Geometry::Point.new(parameters[:back_face] + wishes.cushion_back_mm + body.hip_depth,
                            body.hip_rise + wishes.cushion_seat_mm - parameters[:pivot_above_seat])
      end

      def joint(parameters)
        Geometry::Point.new(parameters[:back_face] + seated_length_mm, body.knee_under + wishes.cushion_seat_mm - parameters[:pivot_above_seat])
      end

      def crease_gap_mm(joint, parameters) = joint.s - body.knee_back - parameters[:seat_edge]

      # From the pad's edge nearest the knee to the upper edge of the kneecap; how much the pad presses into the thigh.
      def kneecap_gap_mm(joint, parameters) = joint.s - KNEECAP_EDGE_MM - parameters[:thigh_pad_front]
      def thigh_press_mm(parameters) = body.thigh_depth + wishes.cushion_seat_mm - parameters[:thigh_pad_height]

      def findings(group, joint, parameters)
        group == :thigh_pad ? [kneecap_gap(joint, parameters), thigh_press(parameters)] : super
      end

      private

      def hip_over_knee_mm = body.hip_rise - body.knee_under
      def joint_findings(joint, parameters) = [offset(joint), crease_gap(joint, parameters)]

      def quantities_of(group, joint, parameters)
        return super unless group == :thigh_pad

        { kneecap_gap_mm: kneecap_gap_mm(joint, parameters), thigh_press_mm: thigh_press_mm(parameters) }
      end

      def joint_quantities(joint, parameters)
        { knee_s_mm: joint.s, knee_n_mm: joint.n, offset_mm: joint.norm, thigh_slope_deg: thigh_slope_deg, crease_gap_mm: crease_gap_mm(joint, parameters) }
      end

      # A pinch is always graded. A gap is told and not graded where the thigh is held from above; where nothing can mend
      # it, it weighs little.
      def crease_gap(joint, parameters)
        gap = crease_gap_mm(joint, parameters)
        finding = Finding.grade(:crease_gap, value: gap, graded: gap, band: BANDS[:crease_gap])
        return finding if gap <= BANDS[:crease_gap].in_line.max
        return finding.softened(severity: 0, cost: 0.0) unless family.gap_graded

        @seat_adjustable ? finding : finding.softened(severity: 1, cost: FIXED_SEAT[:cost_at_most])
      end

      def kneecap_gap(joint, parameters)
        gap = kneecap_gap_mm(joint, parameters)
        fault = :on_the_kneecap if gap < FAULTS[:on_the_kneecap][:kneecap_gap_below_mm]
        Finding.grade(:kneecap_gap, value: gap, graded: gap, band: BANDS[:kneecap_gap], fault: fault)
      end

      def thigh_press(parameters)
        press = thigh_press_mm(parameters)
        graded = press - wishes.thigh_press_mm + BANDS[:thigh_press].target # the band moves with what is wanted
        Finding.grade(:thigh_press, value: press, graded: graded, band: BANDS[:thigh_press])
      end
    end
  end
end
