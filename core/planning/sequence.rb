# frozen_string_literal: true

module Verglas
  module Planning
    # The order in which somebody wants exercises done, of any subset of them: what is not named comes last, by its id.
    # It answers as Orders does.
    class Sequence
      # exercises: [Exercise], numbered by their places; ids: those that are named, in their order; first: seconds of
      # beginning with each.
      def initialize(exercises, ids, first:)
        @first = first
        @exercises = exercises
        @places = exercises.each_index.sort_by { |index| [ids.index(exercises[index].id) || ids.size, index] }
      end

      def order(subset) = @places.select { |index| subset[index] == 1 }

      def cost(subset)
        there = order(subset)
        there.first(1).sum { |one| @first[one] } +
          there.each_cons(2).sum { |one, other| @exercises[one].hop_s(@exercises[other]) }
      end
    end
  end
end
