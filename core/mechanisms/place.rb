# frozen_string_literal: true

module Verglas
  module Mechanisms
    # A machine at some marks with a body on it: the parameters there ({constant => mm or degrees}), where the joint is
    # (a Point of the machine's own frame; nil where a mechanism has none), and what was worked out of them once.
    class Place
      attr_reader :parameters, :joint

      def initialize(parameters, joint)
        @parameters = parameters
        @joint = joint
      end

      def [](name) = parameters[name]

      def once(name)
        known = @known ||= {}
        known.fetch(name) { known[name] = yield }
      end
    end
  end
end
