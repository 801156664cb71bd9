# frozen_string_literal: true

module Verglas
  module Loading
    # Plates on both sides of a bare arm or sled: equal sides, the fewest plates, then the heavier first. kg.
    # docs/model.md section 11.
    class Plates
      # pairs: {mass of a plate in kg => how many pairs are at hand}; bare_kg: of the arm or sled itself.
      def initialize(pairs:, bare_kg: 0)
        @grams = pairs.flat_map { |kg, count| [grams(kg)] * count }.sort.reverse
        @bare = grams(bare_kg)
        raise Invalid.new(:mass_not_positive, path: "/pairs") unless @grams.all?(&:positive?) && !@bare.negative?
      end

      # The heaviest total.
      def max_kg = kilograms(@bare + (2 * @grams.sum))

      # One side's plates for a total, heaviest first; nil where no choice of plates makes it.
      def side(total_kg)
        rest = grams(total_kg) - @bare
        rest.even? && !rest.negative? ? sides[rest / 2]&.map { |plate| kilograms(plate) } : nil
      end

      # Every total that can be made, ascending.
      def totals_kg = sides.keys.sort.map { |side| kilograms(@bare + (2 * side)) }

      def at_most(total_kg) = totals_kg.reverse.find { |total| total <= total_kg + Stack::ROUNDING_KG }
      def next_up(total_kg) = totals_kg.find { |total| total > total_kg + Stack::ROUNDING_KG }
      def next_down(total_kg) = totals_kg.reverse.find { |total| total < total_kg - Stack::ROUNDING_KG }

      private

      # {grams on one side => its plates}, the best choice of each.
      def sides
        @sides ||= @grams.inject({ 0 => [] }) do |found, plate|
          added = found.to_h { |mass, plates| [mass + plate, [*plates, plate]] }
          found.merge(added) { |_, old, new| better(old, new) }
        end
      end

      def better(one, other) = [one, other].min_by { |plates| [plates.size, plates.map(&:-@)] }
      def grams(kg) = (kg * 1000).round
      def kilograms(grams) = grams / 1000.0
    end
  end
end
