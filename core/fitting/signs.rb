# frozen_string_literal: true

module Verglas
  module Fitting
    # The signs that can be ticked on a machine, by name, in the table's order.
    module Signs
      ALL = Tables[:signs][:signs].to_h { |row| [row[:name].to_sym, row[:mechanisms].map(&:to_sym)] }.freeze

      def self.of(machine) = ALL.select { |_, mechanisms| mechanisms.include?(machine.family.mechanism) }.keys
    end
  end
end
