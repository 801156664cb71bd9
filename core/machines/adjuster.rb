# frozen_string_literal: true

module Verglas
  module Machines
    # One adjuster: its marks exactly as printed, the travel of each from the first (mm or degrees), and which of the
    # machine's parameters it moves, with which factor. One that drives nothing known is recorded only: it needs no
    # travel. same_as: the label of another of its machine whose mark it always takes, counted from the first; nil where
    # it stands by itself.
    Adjuster =
      Value.define(:label, :marks, :travel, :drives, :same_as) do
        def check
          raise Invalid.new(:no_marks, path: "/marks", adjuster: label) if marks.empty?
          raise Invalid.new(:marks_repeated, path: "/marks", adjuster: label) unless marks.uniq.size == marks.size

          check_travel unless recorded_only?
        end

        def recorded_only? = drives.empty?
        def size = marks.size
        def follows? = !same_as.nil?

        def index(mark)
          marks.index(mark) ||
            raise(Invalid.new(:unknown_mark, path: "/#{label}", adjuster: label, mark: mark, marks: marks))
        end

        def drives?(parameter) = drives.fetch(parameter, 0).nonzero? ? true : false

        # Mean distance to the neighbouring marks (mm or degrees); one neighbour at an end, 0 when alone.
        def pitch(index)
          neighbours = [index - 1, index + 1].grep(0..(size - 1))
          return 0.0 if neighbours.empty? || recorded_only?

          neighbours.sum { |other| (travel[other] - travel[index]).abs }.fdiv(neighbours.size)
        end

        private

        def check_travel
          raise Invalid.new(:travel_per_mark, path: "/travel", adjuster: label) unless travel.size == marks.size
          raise Invalid.new(:travel_not_finite, path: "/travel", adjuster: label) unless travel.all?(&:finite?)
          raise Invalid.new(:travel_repeated, path: "/travel", adjuster: label) unless travel.uniq.size == travel.size
        end
      end
  end
end
