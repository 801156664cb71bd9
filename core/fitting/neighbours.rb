# frozen_string_literal: true

module Verglas
  module Fitting
    # What one step of one adjuster would do, and where every mark of an adjuster would put the joint: all else
    # standing.
    module Neighbours
      module_function

      # {label => [Evaluation one mark down or nil, one mark up or nil]}, down being the mark printed before.
      def steps(evaluation)
        evaluation.machine.adjusters.each_with_index.to_h do |adjuster, place|
          [adjuster.label, [-1, 1].map { |step| stepped(evaluation, place, evaluation.indices[place] + step) }]
        end
      end

      # An Evaluation at each mark of one adjuster, by its place in the machine.
      def along(evaluation, place)
        evaluation.machine.adjusters[place].marks.each_index.map { |index| stepped(evaluation, place, index) }
      end

      # {label => {mark => Point}}: the joint relative to the pivot (mm) at each mark, for adjusters that move it.
      def lens(evaluation)
        moving = evaluation.machine.leading.select { |place| evaluation.machine.group_of(place) == :joint }
        moving = moving.map { |place| evaluation.machine.adjusters[place] }
        moving.to_h { |adjuster| [adjuster.label, joints(evaluation, adjuster)] }
      end

      def joints(evaluation, adjuster)
        place = evaluation.machine.adjusters.index(adjuster)
        adjuster.marks.each_with_index.to_h do |mark, index|
          parameters = evaluation.machine.parameters(evaluation.machine.set(evaluation.indices, place, index))
          [mark, evaluation.mechanics.place(parameters).joint]
        end
      end

      def stepped(evaluation, place, index)
        return unless index.between?(0, evaluation.machine.adjusters[place].size - 1)
        evaluation.at(evaluation.machine.set(evaluation.indices, place, index))
      end
      private_class_method :joints, :stepped
    end
  end
end
