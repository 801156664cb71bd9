# frozen_string_literal: true

module Verglas
  module Store
    # Somebody else changed the row since the writer last saw it: nothing was written; `current` is what stands there
    # now.
    class Stale < StandardError
      attr_reader :current

      def initialize(current)
        @current = current
        super("the row has changed")
      end
    end
  end
end
