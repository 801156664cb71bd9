# frozen_string_literal: true

module Verglas
  module Loading
    # Kilograms inside; pounds only where they are printed.
    module Units
      KG_PER_LB = 0.45359237

      module_function

      def kg(value, unit) = unit == :lb ? value * KG_PER_LB : value.to_f
      def lb(kg) = kg / KG_PER_LB
    end
  end
end
