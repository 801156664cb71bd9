# frozen_string_literal: true

module Verglas
  module Fitting
    # What a checked fitting teaches of the body: the marks, as lengths. Only of seated knee machines, and only what is taped.
    module Checked
      module_function

      # evaluation: at the accepted marks; machine: what tells machines apart; knee_off_mm: + ahead of the pivot, nil when nobody
      # looked; roller_seen: whether the roller was seen in place. nil where nothing can be learned.
      def of(evaluation, machine:, knee_off_mm: nil, roller_seen: false)
        return unless evaluation.machine.family.mechanism == :seated_knee && evaluation.machine.family.told.include?(:joint)

        arm = roller_seen && evaluation.machine.family.told.include?(:arm)
        return unless knee_off_mm || arm

        parameters = evaluation.parameters
        wishes = evaluation.wishes
        Body::CheckedFitting.new(machine: machine, back_face_mm: knee_off_mm && (parameters[:back_face] + wishes.cushion_back_mm),
                                 pitch_back_mm: pitch(evaluation, :back_face), knee_off_mm: knee_off_mm,
                                 roller_reach_mm: arm ? parameters[:roller_reach] : nil, roller_radius_mm: parameters[:roller_radius],
                                 pitch_roller_mm: pitch(evaluation, :roller_reach), contact_above_ankle_mm: wishes.contact_above_ankle_mm)
      end

      # Of the finest adjuster that moves a parameter, where the marks now are.
      def pitch(evaluation, parameter)
        evaluation.machine.adjusters.zip(evaluation.indices).filter_map do |adjuster, index|
          adjuster.pitch(index) * adjuster.drives[parameter].abs if adjuster.drives?(parameter)
        end.min || 0.0
      end
      private_class_method :pitch
    end
  end
end
