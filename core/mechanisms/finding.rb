# frozen_string_literal: true

module Verglas
  module Mechanisms
    # One graded number of a fitting: value is what is told (mm or degrees), graded what the band was asked about,
    # severity 0 in line .. 3 fault, fault the reason of a 3, cost its share of the solver's sum.
    Finding =
      Struct.new(:code, :value, :graded, :severity, :cost, :fault) do
        def band = Machines::SEVERITIES[severity]

        # The same number, as bad as this.
        def with_severity(severity) = self.class.new(code, value, graded, severity, cost, fault).freeze

        # The same number, weighing no more than this.
        def softened(severity:, cost:)
          self.class.new(code, value, graded, [self.severity, severity].min, [self.cost, cost].min, fault).freeze
        end
      end
  end
end
