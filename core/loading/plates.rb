# frozen_string_literal: true

module Verglas
  module Loading
    # Plates on both sides of a bare arm or sled: equal sides, the fewest plates, then the heavier first; or on a single
    # horn in the middle, one plate at a time. kg. docs/model.md section 11.
    class Plates
      include Choices

      # A total, and the plates of one side (of the only horn), heaviest first.
      Plated = Struct.new(:mass_kg, :side_kg)

      attr_reader :horns

      # pairs: {mass of a plate in kg => how many pairs are at hand}; bare_kg: of the arm or sled itself; horns: 1 or 2.
      def initialize(pairs:, bare_kg: 0, horns: 2)
        @horns = horns
        @grams = pairs.flat_map { |kg, count| [grams(kg)] * (count * 2 / horns) }.sort.reverse
        @bare = grams(bare_kg)
        raise Invalid.new(:mass_not_positive, path: "/pairs") unless @grams.all?(&:positive?) && !@bare.negative?
      end

      # Every total that can be made, ascending.
      def choices
        @choices ||=
          sides.sort.map do |side, plates|
            Plated.new(kilograms(@bare + (horns * side)), plates.map { |plate| kilograms(plate) })
          end
      end

      # One side's plates for a total; nil where no choice of plates makes it.
      def side(total_kg) = choices.find { |plated| grams(plated.mass_kg) == grams(total_kg) }&.side_kg

      private

      # {grams on one side => its plates}, the best choice of each.
      def sides
        @grams.inject({ 0 => [] }) do |found, plate|
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
