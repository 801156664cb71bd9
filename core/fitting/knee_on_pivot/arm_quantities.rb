# frozen_string_literal: true

module Verglas
  module Fitting
    class KneeOnPivot
      # What the roller's arm does, by name, units in the names: creep_mm + is towards the foot; contacts are distances from
      # the knee along the lower leg.
      module ArmQuantities
        module_function

        # mechanics: a KneeOnPivot; joint: the knee (Point); parameters: the machine's constants at the marks.
        def of(mechanics, joint, parameters)
          first, middle, last = mechanics.contacts(joint, parameters)
          { clearance_mm: mechanics.clearance_mm(parameters), creep_mm: last.contact_mm - first.contact_mm,
            shin_start_deg: first.shin_deg, shin_end_deg: last.shin_deg,
            knee_bend_start_deg: mechanics.knee_bend_deg(first.shin_deg), knee_bend_end_deg: mechanics.knee_bend_deg(last.shin_deg),
            **ending(mechanics, joint, parameters), force_per_torque_n_per_nm: middle.force_per_torque, **at_each(first, middle, last), **place(mechanics, middle) }
        end

        def ending(mechanics, joint, parameters)
          arm_deg, missing = mechanics.turning(joint, parameters)
          { end_target_deg: mechanics.end_target_deg, end_arm_deg: arm_deg, end_missing_deg: missing }
        end

        def at_each(first, middle, last)
          { contact_start_mm: first.contact_mm, contact_middle_mm: middle.contact_mm, contact_end_mm: last.contact_mm,
            torque_ratio_start: first.torque_ratio, torque_ratio_middle: middle.torque_ratio, torque_ratio_end: last.torque_ratio }
        end

        def place(mechanics, middle)
          above_ankle = mechanics.body.shank - middle.contact_mm
          { above_ankle_mm: above_ankle, contact_error_mm: above_ankle - mechanics.wishes.contact_above_ankle_mm }
        end
        private_class_method :ending, :at_each, :place
      end
    end
  end
end
