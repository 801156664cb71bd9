# frozen_string_literal: true

module Verglas
  module Body
    # One exact body: every parameter of docs/model.md section 1, each in millimetres.
    class Dimensions < Struct.new(*PARAMETERS) # rubocop:disable Style/StructInheritance -- positional and checked at birth, made thousands of times a solve
      def self.from(values)
        missing = PARAMETERS - values.keys
        raise Invalid.new(:body_parameter_missing, path: "/#{missing.first}", name: missing.first) unless missing.empty?

        new(*values.values_at(*PARAMETERS))
      end

      def initialize(*values)
        super
        wrong = find_index { |value| !length?(value) }
        refuse(PARAMETERS[wrong], self[wrong]) if wrong
        raise Invalid.new(:thigh_too_short, path: "/thigh", value: thigh) unless thigh > (hip_rise - knee_under).abs

        freeze
      end

      private

      def length?(value) = value.is_a?(Numeric) && value.finite? && value.positive?

      def refuse(name, value)
        raise(Invalid.new(:body_parameter_not_positive, path: "/#{name}", name: name, value: value))
      end
    end
  end
end
