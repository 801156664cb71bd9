# frozen_string_literal: true

module Verglas
  module Fitting
    # How a client would sit at some marks, as far as Knowledge goes: how bad that is to be expected, and how likely
    # the joint is where it should be. Findings are drawn together, as they hang together; docs/model.md section 18.
    class Outlook
      # Of one finding: its code, its place among all numbers, how many of them tell it (two where it lies in a plane).
      Told = Struct.new(:code, :at, :numbers)
      private_constant :Told

      # standing: indices of the marks at which the client sits: how the numbers vary is asked there.
      def initialize(knowledge, standing)
        @knowledge = knowledge
        base = knowledge.evaluation(standing)
        @findings = weighed(base)
        _, rows = knowledge.slopes(standing) { |mechanics, place| numbers(mechanics, place) }
        covariance = rows.map { |one| rows.map { |other| knowledge.normal.covariance_of(one, other) } }
        @draws = rows.empty? ? [] : Statistics::Draws.of(covariance)
      end

      # The sum of all findings' severities that is to be expected, 0 where everything is in line.
      def severity(indices) = of(indices).sum(&:sum).fdiv(Statistics::Draws::COUNT)

      # P(every finding of the joint's group is in line); 0 where none is told.
      def in_line(indices)
        joint = @findings.each_index.select { |index| kind(@findings[index].code).group == :joint }
        return 0.0 if joint.empty?

        of(indices).count { |severities| severities.values_at(*joint).all?(&:zero?) }.fdiv(Statistics::Draws::COUNT)
      end

      private

      def kind(code) = @knowledge.machine.family.findings.fetch(code)

      # Those that are a reason to choose a mark, and that a body known this well can be graded by.
      def weighed(base)
        codes = base.findings.map(&:code).select { |code| kind(code).weighs } - base.by_hand
        codes.each_with_object([]) { |code, all| all << Told.new(code, all.sum(&:numbers), kind(code).plane? ? 2 : 1) }
      end

      def numbers(mechanics, place)
        found = mechanics.all_findings(place).to_h { |finding| [finding.code, finding] }
        quantities = mechanics.quantities(place)
        @findings.flat_map do |told|
          kind(told.code).plane? ? quantities.values_at(*kind(told.code).plane) : [found[told.code]&.graded.to_f]
        end
      end

      # [[severity of each finding]], a draw each.
      def of(indices)
        (@of ||= {})[indices] ||= begin
          here = @knowledge.evaluation(indices)
          middle = numbers(here.mechanics, here.place)
          faults = here.findings.select(&:fault).map(&:code)
          @draws.map { |draw| @findings.map { |told| severity_of(told, middle, draw, here.mechanics, faults) } }
        end
      end

      # What is a fault on the whole stays one.
      def severity_of(told, middle, draw, mechanics, faults)
        return 3 if faults.include?(told.code)

        at = told.at
        return mechanics.severity(told.code, middle[at] + draw[at]) if told.numbers == 1

        mechanics.severity(told.code, Math.hypot(middle[at] + draw[at], middle[at + 1] + draw[at + 1]))
      end
    end
  end
end
