# frozen_string_literal: true

module Verglas
  # Frozen keyword values: built whole, checked at birth, never changed; `with` makes a changed copy.
  # A class that has something to check defines `check`, which raises Verglas::Invalid.
  module Value
    def self.define(*members, &block)
      Struct.new(*members) do
        define_method(:initialize) do |**fields|
          raise ArgumentError, "unknown #{(fields.keys - members).join(", ")}" if fields.size > members.size

          super(*fields.fetch_values(*members) { |missing| raise ArgumentError, "missing #{missing}" })
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
