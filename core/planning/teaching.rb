# frozen_string_literal: true

module Verglas
  module Planning
    # In which order somebody who was fitted nowhere is fitted: what is learned early helps with everything after it.
    # Within a rank the machine comes first whose check lets the variance of the settings that are still open fall most
    # for each second it takes; then the next, of what is known by then. What teaches nothing comes after what does, by
    # its id.
    module Teaching
      # id; rank; seconds it takes; lessons: [[row, sd in mm]] of the body, in the order in which they are read; asks:
      # slopes by parameter (mm per mm) of the places that it requires itself.
      Pupil = Value.define(:id, :rank, :seconds, :lessons, :asks)

      module_function

      # normal: of the body; pupils: [Pupil]. Their ids in order.
      def order(normal, pupils)
        pupils
          .group_by(&:rank)
          .sort
          .each_with_object([]) do |(_, alike), ids|
            left = alike.sort_by(&:id)
            until left.empty?
              open = pupils.reject { |one| ids.include?(one.id) }
              best = left.max_by.with_index { |one, index| [fall_a_second(normal, one, open), -index] }
              normal = taught(normal, best)
              ids << left.delete(best).id
            end
          end
      end

      # Of the variance (mm^2) of everything that the others require.
      def fall_mm2(normal, pupil, open)
        asks = (open - [pupil]).flat_map(&:asks)
        after = taught(normal, pupil)
        asks.sum { |gradient| normal.variance(gradient) - after.variance(gradient) }
      end

      def fall_a_second(normal, pupil, open) = fall_mm2(normal, pupil, open) / pupil.seconds

      # Whatever is read: the covariance does not depend on it.
      def taught(normal, pupil)
        pupil
          .lessons
          .inject(normal) { |so_far, (row, sd)| so_far.observe(row: row, value: so_far.expected(row), sd: sd) }
      end
      private_class_method :fall_a_second, :taught
    end
  end
end
