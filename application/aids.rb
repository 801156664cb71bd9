# frozen_string_literal: true

module Verglas
  module Application
    # Cushions and pads in use at a fitting, by size in mm; none where none is named.
    module Aids
      # Of every family.
      NAMES = Machines::Families.single.flat_map { |family| family.choices.keys.map(&:to_s) }.uniq.freeze

      # What a gym may own of them.
      KINDS = NAMES.map { |name| name.delete_suffix("_mm") }.freeze

      module_function

      # Whatever was kept, whole.
      def of(given) = NAMES.to_h { |name| [name, given.to_h.transform_keys(&:to_s).fetch(name, 0).to_f] }

      # The same of what was sent: raises Invalid for a name that nobody knows.
      def sent(given)
        unknown = given.to_h.keys.map(&:to_s) - NAMES
        raise Invalid.new(:unknown_field, path: "/aids/#{unknown.first}") if unknown.any?

        of(given)
      end

      # What a family can wish for of them.
      def wishes(family, given) = of(given).transform_keys(&:to_sym).slice(*family.choices.keys)
    end
  end
end
