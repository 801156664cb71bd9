# frozen_string_literal: true

module Verglas
  module Guidance
    # The signs that can be ticked on a machine, by name, in the table's order. core/data/signs.yml
    module Signs
      # What may be behind a sign. finding: the graded number that speaks for it, or quantity: a number beside zero
      # (both nil: no number does); over: on which side; of: tags of the families on which it is meant. What mends it
      # where no adjuster's number speaks: choice: something that is laid or placed, kind: an adjuster that decides
      # this, each towards :less or :more (nil: either).
      Cause =
        Value.define(:name, :finding, :quantity, :over, :of, :choice, :kind, :towards) do
          def measured? = !(finding || quantity).nil?

          def meant_on?(family)
            family.all?(of) && (finding.nil? || family.findings.key?(finding)) &&
              (choice.nil? || family.choices.key?(choice) || measured?)
          end
        end

      # The number that a sign is a reading of (Mechanisms::Mechanism#shown), in mm or degrees as its name ends: seen
      # where it lies over `at` (side +1) or under it (-1), blurred by spread, an SD.
      Reading =
        Value.define(:number, :at, :side, :spread, :dressed) do
          def self.of(row)
            side = row[:over] ? 1 : -1
            new(**row.slice(:number, :spread, :dressed), side: side, at: (row[:over] || row[:under]).to_f)
          end

          # The same where clothes hide a mark on the skin.
          def over_clothes = dressed ? with(at: side * dressed[:at].to_f.abs, spread: dressed[:spread]) : self
        end

      # of: tags of the families on which it can be seen; never: nothing is accepted while it is seen; refer: where it
      # stays, a clinician looks first; shows: Reading, nil where no number shows it.
      Sign =
        Value.define(:name, :of, :shows, :causes, :never, :refer) do
          def self.of(row)
            new(
              **row,
              shows: row[:shows] && Reading.of(row[:shows]),
              causes: row[:causes].map { |cause| Cause.new(**cause) }
            )
          end
        end

      ALL = Tables[:signs][:signs].to_h { |row| [row[:name], Sign.of(row)] }.freeze

      # With which a fitting ends at once.
      STOPS = Tables[:signs][:stops].map { |row| row[:name] }.freeze

      def self.of(machine) = ALL.values.select { |sign| machine.family.all?(sign.of) }.map(&:name)

      # Those of the names (Symbols) with which nothing is accepted.
      def self.never(names) = names.select { |name| ALL[name]&.never }

      # The causes of a sign on a machine, the more likely first when no number speaks.
      def self.causes(machine, name)
        raise Invalid.new(:unknown_sign, path: "/signs", sign: name.to_s) unless of(machine).include?(name)

        ALL.fetch(name).causes.select { |cause| cause.meant_on?(machine.family) }
      end
    end
  end
end
