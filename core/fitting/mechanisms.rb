# frozen_string_literal: true

module Verglas
  module Fitting
    # The mechanics which families name.
    module Mechanisms
      ALL = { seated_knee: SeatedKnee }.freeze

      def self.fetch(name) = ALL.fetch(name)

      # One exact body on one machine.
      def self.for(machine, body, wishes) = fetch(machine.family.mechanism).new(machine: machine, body: body, wishes: wishes)
    end
  end
end
