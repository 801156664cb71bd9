# frozen_string_literal: true

module Verglas
  module Application
    # What is told of a fitting, as plain data with its words: shown on a screen as it stands, and kept so by a record.
    module Told
      # Hundredths are finer than anything that is taped; rounding happens only here, after every decision.
      def self.rounded(value)
        case value
        when Float
          value.round(3)
        when Hash
          value.transform_values { |inner| rounded(inner) }
        when Array
          value.map { |inner| rounded(inner) }
        else
          value
        end
      end

      def self.time(value) = value&.utc&.iso8601
    end
  end
end
