# frozen_string_literal: true

module Verglas
  module Fitting
    class SeatedKnee
      # Every number of a fitting by name, units in the names. knee_s_mm + is ahead of the pivot, knee_n_mm + above it;
      # creep_mm + is towards the foot; contacts are distances from the knee along the lower leg.
      module Quantities
        module_function

        # mechanics: SeatedKnee; parameters: the machine's constants at the marks.
        def of(mechanics, parameters)
          joint = mechanics.joint(parameters)
          first, middle, last = [parameters[:start_angle], mechanics.middle_deg(parameters), parameters[:end_angle]].map do |arm_deg|
            mechanics.contact(joint, parameters, arm_deg)
          end
          seat(mechanics, joint).merge(arm(mechanics, parameters, [first, middle, last]), thigh_pad(mechanics, joint, parameters))
        end

        def thigh_pad(mechanics, joint, parameters)
          return {} unless parameters.key?(:thigh_pad_front)

          { kneecap_gap_mm: mechanics.kneecap_gap_mm(joint, parameters), thigh_press_mm: mechanics.thigh_press_mm(parameters) }
        end

        def seat(mechanics, joint)
          { knee_s_mm: joint.knee.s, knee_n_mm: joint.knee.n, offset_mm: joint.knee.norm,
            thigh_slope_deg: mechanics.thigh_slope_deg, crease_gap_mm: joint.crease_gap_mm }
        end

        def arm(mechanics, parameters, contacts)
          first, middle, last = contacts
          above_ankle = mechanics.body.shank - middle.contact_mm
          { clearance_mm: mechanics.clearance_mm(parameters),
            contact_start_mm: first.contact_mm, contact_middle_mm: middle.contact_mm, contact_end_mm: last.contact_mm,
            creep_mm: last.contact_mm - first.contact_mm,
            torque_ratio_start: first.torque_ratio, torque_ratio_middle: middle.torque_ratio, torque_ratio_end: last.torque_ratio,
            shin_start_deg: first.shin_deg, shin_end_deg: last.shin_deg,
            knee_bend_start_deg: mechanics.knee_bend_deg(first.shin_deg), knee_bend_end_deg: mechanics.knee_bend_deg(last.shin_deg),
            above_ankle_mm: above_ankle, contact_error_mm: above_ankle - mechanics.wishes.contact_above_ankle_mm,
            force_per_torque_n_per_nm: middle.force_per_torque }
        end
        private_class_method :seat, :arm, :thigh_pad
      end
    end
  end
end
