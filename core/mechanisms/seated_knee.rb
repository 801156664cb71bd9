# frozen_string_literal: true

module Verglas
  module Mechanisms
    # A knee machine on whose seat the client sits: back pad and seat decide where the knee is. Seat frame, n upwards.
    # docs/model.md section 3.
    class SeatedKnee < PivotArm
      TRAITS = [*PivotArm::TRAITS, :gap_graded].freeze
      BODY_PARAMETERS = %i[thigh shank hip_depth hip_rise knee_back knee_under thigh_depth calf_half].freeze
      FIXED_SEAT = TABLE[:fixed_seat]
      # Between the back pad and the seat's front edge at the first marks.
      SHORTEST_SEAT_MM = 200

      RULES = {
        height:
          Rule.of(:pivot_above_seat, follows: { knee_under: 1 }) do |seated, _|
            seated.body.knee_under + seated.wishes[:cushion_seat_mm]
          end,
        pivot: Rule.of(:back_face, follows: { hip_depth: 1, thigh: 1 }) { |seated, _| -seated.seated_length_mm },
        crease:
          Rule.new(
            unit: :mm,
            constants: 2,
            position: ->(at) { at[:back_face] - at[:seat_edge] },
            required: ->(seated, _) { seated.seat_length_mm },
            follows: {
              hip_depth: 1,
              thigh: 1,
              knee_back: -1
            }
          ),
        thigh_press:
          Rule.of(:thigh_pad_height, follows: { thigh_depth: 1 }) do |seated, _|
            seated.body.thigh_depth + seated.wishes[:cushion_seat_mm] - seated.wishes[:thigh_press_mm]
          end,
        kneecap:
          Rule.of(:thigh_pad_front, constants: 2) do |seated, at|
            at.joint.s - KNEECAP_EDGE_MM - seated.target(:kneecap_gap)
          end,
        **PivotArm::RULES
      }.freeze

      def self.disorder(machine)
        at = machine.constants
        short = at.key?(:seat_edge) && at[:seat_edge] - at[:back_face] < SHORTEST_SEAT_MM
        short ? [[:seat_behind_back, %i[back_face seat_edge]], *super] : super
      end

      def initialize(machine:, **given)
        super
        # Whether the seat's length is a choice: some adjuster moves the back pad against the seat's edge.
        @seat_adjustable =
          machine.adjusters.any? do |adjuster|
            adjuster.drives.fetch(:back_face, 0) != adjuster.drives.fetch(:seat_edge, 0)
          end
      end

      # The thigh slopes: how far above the seat's line the hip lies than the knee, as an angle (degrees).
      def thigh_slope_deg = @thigh_slope_deg ||= Geometry::Angle.arcsine_deg(hip_over_knee_mm / body.thigh)

      # The thigh's length along the seat (mm).
      def level_thigh_mm = Math.sqrt((body.thigh**2) - (hip_over_knee_mm**2))

      # From the back pad's face to the knee, along the seat (mm).
      def seated_length_mm = @seated_length_mm ||= body.hip_depth + level_thigh_mm + wishes[:cushion_back_mm]

      # Where the seat's edge wants to lie from the back pad's face, that with negative sign (mm).
      def seat_length_mm = target(:crease_gap) + body.knee_back - seated_length_mm

      # What a finding's number aims at.
      def target(code) = Machines::Declaration::BANDS.fetch(code).target

      # Places relative to the pivot (Point, mm).
      def hip(place)
        Geometry::Point.new(
          place[:back_face] + wishes[:cushion_back_mm] + body.hip_depth,
          body.hip_rise + wishes[:cushion_seat_mm] - place[:pivot_above_seat]
        )
      end

      def joint(parameters)
        Geometry::Point.new(
          parameters[:back_face] + seated_length_mm,
          body.knee_under + wishes[:cushion_seat_mm] - parameters[:pivot_above_seat]
        )
      end

      def crease_gap_mm(place) = place.joint.s - body.knee_back - place[:seat_edge]

      # From the pad's edge nearest the knee to the upper edge of the kneecap; how much the pad presses into the thigh.
      def kneecap_gap_mm(place) = place.joint.s - KNEECAP_EDGE_MM - place[:thigh_pad_front]
      def thigh_press_mm(place) = body.thigh_depth + wishes[:cushion_seat_mm] - place[:thigh_pad_height]

      def findings(group, place) = group == :thigh_pad ? [kneecap_gap(place), thigh_press(place)] : super

      def quantities_of(group, place)
        return super unless group == :thigh_pad

        { kneecap_gap_mm: kneecap_gap_mm(place), thigh_press_mm: thigh_press_mm(place) }
      end

      # Where the thigh is held from above a gap is told.
      def graded?(finding)
        return super unless finding.code == :crease_gap

        family.traits[:gap_graded] || finding.value <= band(:crease_gap).in_line.max
      end

      # A pinch is always graded. A gap is told and not graded where the thigh is held from above; where nothing can
      # mend it, it weighs little.
      def severity(code, graded)
        return super if code != :crease_gap || graded <= band(:crease_gap).in_line.max
        return 0 unless family.traits[:gap_graded]

        @seat_adjustable ? super : 1
      end

      def teaches? = true

      # The marks as lengths. pitch: {constant => mm} of the finest adjuster that moves it, where the marks now are.
      def lesson(place, machine:, pitch:, knee_off_mm:, roller_seen:)
        arm = roller_seen && family.told.include?(:arm)
        return unless family.told.include?(:joint) && (knee_off_mm || arm)

        Body::CheckedFitting.new(
          machine: machine,
          back_face_mm: knee_off_mm && (place[:back_face] + wishes[:cushion_back_mm]),
          pitch_back_mm: pitch.fetch(:back_face, 0.0),
          knee_off_mm: knee_off_mm,
          roller_reach_mm: arm ? place[:roller_reach] : nil,
          roller_radius_mm: place[:roller_radius],
          pitch_roller_mm: pitch.fetch(:roller_reach, 0.0),
          contact_above_ankle_mm: wishes[:contact_above_ankle_mm]
        )
      end

      private

      def hip_over_knee_mm = body.hip_rise - body.knee_under
      def joint_findings(place) = [offset(place), crease_gap(place)]

      def joint_quantities(place)
        {
          knee_s_mm: place.joint.s,
          knee_n_mm: place.joint.n,
          offset_mm: place.joint.norm,
          thigh_slope_deg: thigh_slope_deg,
          crease_gap_mm: crease_gap_mm(place)
        }
      end

      def crease_gap(place)
        finding = grade(:crease_gap, crease_gap_mm(place))
        graded = family.traits[:gap_graded]
        return finding if finding.value <= band(:crease_gap).in_line.max || (graded && @seat_adjustable)

        finding.softened(
          severity: severity(:crease_gap, finding.graded),
          cost: graded ? FIXED_SEAT[:cost_at_most] : 0.0
        )
      end

      def kneecap_gap(place)
        gap = kneecap_gap_mm(place)
        grade(:kneecap_gap, gap, gap, (:on_the_kneecap if gap < FAULTS[:on_the_kneecap][:kneecap_gap_below_mm]))
      end

      # The band moves with what is wanted.
      def thigh_press(place)
        press = thigh_press_mm(place)
        grade(:thigh_press, press, press - wishes[:thigh_press_mm] + band(:thigh_press).target)
      end
    end
  end
end
