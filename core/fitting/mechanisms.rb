# frozen_string_literal: true

module Verglas
  module Fitting
    # The mechanics which families name.
    module Mechanisms
      ALL = { seated_knee: SeatedKnee, lying_knee: LyingKnee }.freeze

      def self.fetch(name) = ALL.fetch(name)
      def self.of(machine) = fetch(machine.family.mechanism)

      # One exact body on one machine.
      def self.for(machine, body, wishes) = of(machine).new(machine: machine, body: body, wishes: wishes)
    end
  end
end
