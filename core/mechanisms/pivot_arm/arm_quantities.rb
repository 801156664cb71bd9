# frozen_string_literal: true

module Verglas
  module Mechanisms
    class PivotArm < Mechanism
      # What the roller's arm does, by name, units in the names: creep_mm + is towards the foot; contacts are distances
      # from the knee along the lower leg.
      module ArmQuantities
        module_function

        # arm: a PivotArm.
        def of(arm, place)
          first, middle, last = arm.contacts(place)
          {
            clearance_mm: arm.clearance_mm(place),
            creep_mm: last.contact_mm - first.contact_mm,
            shin_start_deg: first.shin_deg,
            shin_end_deg: last.shin_deg,
            knee_bend_start_deg: arm.knee_bend_deg(first.shin_deg),
            knee_bend_end_deg: arm.knee_bend_deg(last.shin_deg),
            range_left_deg: arm.range_left_deg(place),
            **ending(arm, place),
            force_per_torque_n_per_nm: middle.force_per_torque,
            **at_each(first, middle, last),
            **place(arm, middle)
          }
        end

        def ending(arm, place)
          arm_deg, missing = arm.turning(place)
          { end_target_deg: arm.end_target_deg, end_arm_deg: arm_deg, end_missing_deg: missing }
        end

        def at_each(first, middle, last)
          {
            contact_start_mm: first.contact_mm,
            contact_middle_mm: middle.contact_mm,
            contact_end_mm: last.contact_mm,
            torque_ratio_start: first.torque_ratio,
            torque_ratio_middle: middle.torque_ratio,
            torque_ratio_end: last.torque_ratio
          }
        end

        def place(arm, middle)
          above_ankle = arm.body.shank - middle.contact_mm
          { above_ankle_mm: above_ankle, contact_error_mm: above_ankle - arm.wishes[:contact_above_ankle_mm] }
        end
        private_class_method :ending, :at_each, :place
      end
    end
  end
end
