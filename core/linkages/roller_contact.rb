# frozen_string_literal: true

module Verglas
  module Linkages
    # A roller on an arm about the pivot touching a straight lower leg about the knee. Seat frame, origin at the pivot:
    # s along the seat to the feet, n upwards. side +1 roller in front of the leg, -1 behind. docs/model.md section 3.
    #   shin_deg      direction of the lower leg, 0 in line with the seat, 90 pointing down
    #   contact_mm    from the knee along the leg to where the roller touches; 0 when the roller's circle swallows the
    #                 knee
    #   lever_arm_mm  of the roller's force about the pivot (frictionless); contact_mm is its lever arm about the knee
    RollerContact =
      Struct.new(:shin_deg, :contact_mm, :lever_arm_mm, :roller) do
        # knee: Point relative to the pivot, mm. clearance_mm: roller radius and half the leg's thickness together.
        def self.at(knee:, reach_mm:, clearance_mm:, side:, arm_deg:)
          roller = Geometry::Point.towards(arm_deg) * reach_mm
          from_knee = roller - knee
          distance = from_knee.norm
          shin = from_knee.angle_deg + (side * Geometry::Angle.arcsine_deg(clearance_mm / distance))
          contact = Math.sqrt([(distance**2) - (clearance_mm**2), 0.0].max)
          new(shin, contact, contact + knee.dot(Geometry::Point.towards(shin)), roller)
        end

        # The arm's angle (degrees) at which the leg has a direction: where a line beside the leg, one clearance away,
        # meets the roller's circle.
        def self.arm_deg(knee:, reach_mm:, clearance_mm:, side:, shin_deg:)
          along = Geometry::Point.towards(shin_deg)
          foot_of_line = knee + (Geometry::Point.towards(shin_deg - (90 * side)) * clearance_mm)
          half = foot_of_line.dot(along)
          root = Math.sqrt([(half**2) - (foot_of_line.norm**2) + (reach_mm**2), 0.0].max)
          (foot_of_line + (along * (root - half))).angle_deg
        end

        # Knee torque over machine torque.
        def torque_ratio = contact_mm / lever_arm_mm

        # Roller force per machine torque, N per N m.
        def force_per_torque = 1000.0 / lever_arm_mm
      end
  end
end
