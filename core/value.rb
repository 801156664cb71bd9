# frozen_string_literal: true

module Verglas
  # Frozen keyword values: built whole, checked at birth, never changed; `with` makes a changed copy.
  # A class that has something to check defines `check`, which raises Verglas::Invalid.
  module Value
    def self.define(*members, &block)
      Struct.new(*members, keyword_init: true) do
        define_method(:initialize) do |**fields|
          missing = members - fields.keys
          raise ArgumentError, "missing #{missing.join(", ")}" unless missing.empty?

          super(**fields)
          check
          freeze
        end

        def with(**changes) = self.class.new(**to_h, **changes)
        def check = nil

        class_eval(&block) if block
      end
    end
  end
end
