# frozen_string_literal: true

module Verglas
  module Fitting
    # What a checked fitting teaches of the body: the marks, as lengths. Only where its
    # mechanism knows, and only what is taped.
    module Checked
      module_function

      # evaluation: at the accepted marks; machine: what tells machines apart; knee_off_mm: + ahead of the pivot, nil
      # when nobody looked; roller_seen: whether the roller was seen in place. nil where nothing can be learned.
      def of(evaluation, machine:, knee_off_mm: nil, roller_seen: false)
        pitch = evaluation.parameters.keys.to_h { |name| [name, pitch(evaluation, name)] }.compact
        evaluation.mechanics.lesson(
          evaluation.place,
          machine: machine,
          pitch: pitch,
          knee_off_mm: knee_off_mm,
          roller_seen: roller_seen
        )
      end

      # Of the finest adjuster that moves a parameter, where the marks now are; nil where none does.
      def pitch(evaluation, parameter)
        evaluation
          .machine
          .adjusters
          .zip(evaluation.indices)
          .filter_map do |adjuster, index|
            adjuster.pitch(index) * adjuster.drives[parameter].abs if adjuster.drives?(parameter)
          end
          .min
      end
      private_class_method :pitch
    end
  end
end
