# frozen_string_literal: true

module Verglas
  module Guidance
    # The signs that can be ticked on a machine, by name, in the table's order. core/data/signs.yml
    module Signs
      # What may be behind a sign. finding: the graded number that speaks for it, or quantity: a number beside zero (both nil:
      # no number does); over: on which side; of: tags of the families on which it is meant.
      Cause = Value.define(:name, :finding, :quantity, :over, :of) do
        def measured? = !(finding || quantity).nil?
      end

      # of: tags of the families on which it can be seen; never: nothing is accepted while it is seen; refer: where it stays, a
      # clinician looks first.
      Sign = Value.define(:name, :of, :causes, :never, :refer)

      ALL = Tables[:signs][:signs].to_h do |row|
        tags = ->(given) { given.fetch(:of, []).map(&:to_sym) }
        causes = row[:causes].map do |cause|
          Cause.new(name: cause[:name].to_sym, finding: cause[:finding]&.to_sym, quantity: cause[:quantity]&.to_sym, over: cause[:over], of: tags[cause])
        end
        [row[:name].to_sym, Sign.new(name: row[:name].to_sym, of: tags[row], causes: causes, never: row.fetch(:never, false), refer: row.fetch(:refer, false))]
      end.freeze

      # With which a fitting ends at once.
      STOPS = Tables[:signs][:stops].map { |row| row[:name].to_sym }.freeze

      def self.of(machine) = ALL.values.select { |sign| machine.family.all?(sign.of) }.map(&:name)

      # Those of the names (Symbols) with which nothing is accepted.
      def self.never(names) = names.select { |name| ALL[name]&.never }

      # The causes of a sign on a machine, the more likely first when no number speaks.
      def self.causes(machine, name)
        raise Invalid.new(:unknown_sign, path: "/signs", sign: name.to_s) unless of(machine).include?(name)

        ALL.fetch(name).causes.select { |cause| machine.family.all?(cause.of) }
      end
    end
  end
end
