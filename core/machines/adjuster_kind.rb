# frozen_string_literal: true

module Verglas
  module Machines
    # What an adjuster moves, as somebody who enters a machine chooses it, and how that becomes `drives`.
    AdjusterKind = Value.define(:name, :unit, :drives) do
      def self.fetch(name)
        AdjusterKind::ALL.fetch(name.to_s.to_sym) { raise Invalid.new(:unknown_kind, path: "/kind", kind: name.to_s) }
      end

      # Those that move what a family has; `recorded` always.
      def self.of_family(family) = AdjusterKind::ALL.values.select { |kind| (kind.drives.keys - family.constants.keys).empty? }

      # The kind of an adjuster's drives and whether its marks count forwards; nil for drives of no kind, which nobody can
      # choose but a file can hold.
      def self.matching(drives)
        AdjusterKind::ALL.each_value do |kind|
          return [kind, true] if kind.drives == drives
          return [kind, false] if kind.drives == drives.transform_values(&:-@)
        end
        nil
      end

      # {constant => factor}
      def driven(forwards:) = drives.transform_values { |factor| forwards ? factor : -factor }
    end

    AdjusterKind::ALL = Tables[:adjusters][:kinds].to_h do |row|
      [row[:name].to_sym, AdjusterKind.new(name: row[:name].to_sym, unit: row[:unit].to_sym, drives: row[:drives])]
    end.freeze
  end
end
