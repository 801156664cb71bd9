# frozen_string_literal: true

module Verglas
  module Fitting
    # The signs that can be ticked on a machine, by name, in the table's order. core/data/signs.yml
    module Signs
      # What may be behind a sign. finding: the graded number that speaks for it, or quantity: a number beside zero (both nil:
      # no number does); over: on which side; families: on which it is meant.
      Cause = Value.define(:name, :finding, :quantity, :over, :families) do
        def measured? = !(finding || quantity).nil?
      end

      # never: nothing is accepted while it is seen; refer: where it stays, a clinician looks first.
      Sign = Value.define(:name, :families, :causes, :never, :refer)

      ALL = Tables[:signs][:signs].to_h do |row|
        families = row[:families].map(&:to_sym)
        causes = row[:causes].map do |cause|
          Cause.new(name: cause[:name].to_sym, finding: cause[:finding]&.to_sym, quantity: cause[:quantity]&.to_sym, over: cause[:over],
                    families: cause.fetch(:families, families).map(&:to_sym))
        end
        [row[:name].to_sym, Sign.new(name: row[:name].to_sym, families: families, causes: causes, never: row.fetch(:never, false), refer: row.fetch(:refer, false))]
      end.freeze

      # With which a fitting ends at once.
      STOPS = Tables[:signs][:stops].map { |row| row[:name].to_sym }.freeze

      def self.of(machine) = ALL.values.select { |sign| sign.families.include?(machine.family.id) }.map(&:name)

      # Those of the names (Symbols) with which nothing is accepted.
      def self.never(names) = names.select { |name| ALL[name]&.never }

      # The causes of a sign on a machine, the more likely first when no number speaks.
      def self.causes(machine, name)
        raise Invalid.new(:unknown_sign, path: "/signs", sign: name.to_s) unless of(machine).include?(name)

        ALL.fetch(name).causes.select { |cause| cause.families.include?(machine.family.id) }
      end
    end
  end
end
