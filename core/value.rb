# frozen_string_literal: true

module Verglas
  # Frozen keyword values: built whole, checked at birth, never changed; `with` makes a changed copy.
  # A class that has something to check defines `check`, which raises Verglas::Invalid.
  module Value
    def self.define(*members, &block)
      Struct.new(*members) do
        # Written out for Ruby itself to see that none is missing and none too many: a value is made a thousand times an answer.
        class_eval(<<~RUBY, __FILE__, __LINE__ + 1)
          def initialize(#{members.map { |member| "#{member}:" }.join(", ")}) # (low:, high:)
            super(#{members.join(", ")})                                      # (low, high)
            check
            freeze
          end
        RUBY

        def with(**changes) = self.class.new(**to_h, **changes)
        def check = nil

        class_eval(&block) if block
      end
    end
  end
end
