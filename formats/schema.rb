# frozen_string_literal: true

require "json"
require "json_schemer"

module Verglas
  module Formats
    # A JSON Schema document of docs/formats, and its complaints as our own kind of error.
    class Schema
      FOLDER = File.join(ROOT, "docs", "formats")

      # What json_schemer calls a failed keyword, and what we call it.
      CODES = {
        "required" => :missing,
        "enum" => :not_allowed,
        "const" => :not_allowed,
        "pattern" => :wrong_form,
        "format" => :wrong_form,
        "minLength" => :too_short,
        "maxLength" => :too_long,
        "minimum" => :too_small,
        "maximum" => :too_large,
        "exclusiveMinimum" => :too_small,
        "exclusiveMaximum" => :too_large,
        "minItems" => :too_few,
        "maxItems" => :too_many,
        "uniqueItems" => :repeated,
        "additionalProperties" => :unknown_field,
        "unevaluatedProperties" => :unknown_field,
        "schema" => :unknown_field
      }.freeze
      TYPES = %w[string number integer boolean object array null].freeze

      def initialize(name)
        @document = JSONSchemer.schema(JSON.parse(File.read(File.join(FOLDER, "#{name}.schema.json"))))
        @parts = {}
      end

      # Raises Invalid for the first complaint about data under #/$defs/definition.
      def check!(definition, data)
        part = @parts[definition] ||= @document.ref("#/$defs/#{definition}")
        # To say what is wrong takes half as long again as to see that nothing is.
        raise self.class.invalid(part.validate(data).first) unless part.valid?(data)
      end

      # One json_schemer complaint as Invalid: code, pointer to the offending place, what was expected.
      def self.invalid(complaint)
        type = complaint["type"]
        missing = complaint.dig("details", "missing_keys")&.first
        return Invalid.new(:missing, path: "#{complaint["data_pointer"]}/#{missing}", name: missing) if missing

        expected =
          (
            if TYPES.include?(type)
              complaint["schema"]["type"]
            else
              complaint["schema"].is_a?(Hash) && complaint["schema"][type]
            end
          )
        own = complaint["schema"]["x-code"] if type == "pattern"
        return Invalid.new(own.to_sym, path: complaint["data_pointer"]) if own

        code = CODES.fetch(type) { TYPES.include?(type) ? :wrong_type : :wrong_form }
        Invalid.new(code, path: complaint["data_pointer"], expected: plain(expected))
      end

      def self.plain(expected)
        case expected
        when Array
          expected.compact.join(", ")
        when Hash, nil, true, false
          ""
        else
          expected
        end
      end
      private_class_method :plain
    end
  end
end
