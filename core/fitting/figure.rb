# frozen_string_literal: true

module Verglas
  module Fitting
    # What a side view needs, to scale: points {s, n} in mm in the machine's own frame (origin at the pivot), lengths in mm,
    # angles of the arm in degrees (0 along seat or bench to the feet, growing from +s towards -n). In the seat's frame n
    # points up, in the bench's down: up says which.
    module Figure
      module_function

      # evaluation: Evaluation at the marks to be drawn; the body is its mean. nil where the arm is not taped.
      def of(evaluation)
        return unless evaluation.machine.family.told.include?(:arm)

        mechanics = evaluation.mechanics
        parameters = evaluation.parameters
        { kind: mechanics.family.mechanism, side: mechanics.family.side, up: mechanics.class::UP, machine: machine(parameters, mechanics.wishes),
          body: mechanics.body.to_h, hip: mechanics.hip(parameters).to_h, ending: ending(mechanics, parameters), poses: poses(mechanics, parameters) }
      end

      def machine(parameters, wishes)
        parameters.merge(cushion_back: wishes.cushion_back_mm, cushion_seat: wishes.cushion_seat_mm, hip_pad: wishes.hip_pad_mm, wanted_above_ankle: wishes.contact_above_ankle_mm)
      end

      # Where the client turns back, and what is missing of it because the arc ends before.
      def ending(mechanics, parameters)
        arm_deg, missing_deg = mechanics.turning(mechanics.joint(parameters), parameters)
        { bend_deg: mechanics.end_target_deg, arm_deg: arm_deg, missing_deg: missing_deg }
      end

      # The start, the middle of the arc, and where the client turns back: nobody is drawn past what is asked of them.
      def poses(mechanics, parameters)
        joint = mechanics.joint(parameters)
        arms = { start: parameters[:start_angle], middle: mechanics.middle_deg(parameters), end: mechanics.turning(joint, parameters).first }
        arms.transform_values { |arm_deg| pose(mechanics, joint, parameters, arm_deg) }
      end

      # contact: the point on the leg's own line; the pad touches half the leg's thickness beside it.
      def pose(mechanics, joint, parameters, arm_deg)
        contact = mechanics.contact(joint, parameters, arm_deg)
        shin = Geometry::Point.towards(contact.shin_deg)
        { arm_deg: arm_deg, shin_deg: contact.shin_deg, knee: joint.to_h, ankle: (joint + (shin * mechanics.body.shank)).to_h,
          contact: (joint + (shin * contact.contact_mm)).to_h, roller: contact.roller.to_h }
      end
      private_class_method :machine, :ending, :poses, :pose
    end
  end
end
