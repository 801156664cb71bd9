# frozen_string_literal: true

require "openapi_first"
require "uri"

module Verglas
  module Web
    # web/openapi.yaml, against which every request is checked before a route sees it (and every answer in the specs).
    class Contract
      FILE = File.join(__dir__, "openapi.yaml")
      FAILURES = {
        not_found: :not_found,
        method_not_allowed: :method_not_allowed,
        unsupported_media_type: :wrong_content_type,
        invalid_path: :not_found
      }.freeze

      # Paths and operations of a document, made once and not for each request, with the schemas that they hold: making
      # those took more of a small request than checking it.
      module Kept
        # Of one path, by method.
        module Operations
          def operation(method) = (@kept ||= {})[method] ||= super
        end

        private

        def path_items = @path_items ||= super.each { |item| item.extend(Operations) }
        def by_path = @by_path ||= path_items.to_h { |item| [item.path, item] }
        def find_path_item_and_params(path) = by_path.key?(path) ? [by_path[path], {}] : super
      end
      private_constant :Kept

      attr_reader :definition

      # Loaded once: reading the document takes a tenth of a second.
      def self.shared = @shared ||= new

      def initialize
        @definition = OpenapiFirst.load(FILE).extend(Kept)
      end

      # Raises Invalid for the first thing that does not agree. Yields the operation's name, where there is one, before
      # what was sent is looked at.
      def check_request!(request)
        asked = definition.request(request).operation
        yield asked["operationId"] if asked && block_given?
        raise Invalid, :wrong_content_type if request.media_type.nil? && asked&.request_body
        raise Invalid, :not_json unless text?(request.query_string)

        failure = definition.validate_request(request).error
        raise invalid(failure) if failure
      end

      # Names of all under a path.
      def operations(below)
        definition
          .operations
          .select { |operation| operation.path.start_with?(below) }
          .map { |operation| operation["operationId"] }
      end

      # The name of what is asked, as the audit trail has it: "save_fitting".
      def action(request)
        definition.request(request).operation["operationId"].gsub(/[A-Z]/) { |letter| "_#{letter.downcase}" }
      end

      private

      # Bytes that are no text match no pattern: whoever tries one on them fails.
      def text?(query) = URI::DEFAULT_PARSER.unescape(query).force_encoding(Encoding::UTF_8).valid_encoding?

      def invalid(failure)
        code = FAILURES[failure.type]
        return Invalid.new(code) if code

        complaint = failure.errors&.first
        return Invalid.new(:not_json) unless complaint
        return header(complaint) if failure.type == :invalid_header

        Formats::Schema.invalid(complaint.schemer_error)
      end

      def header(complaint)
        found = Formats::Schema.invalid(complaint.schemer_error)
        found.code == :missing ? Invalid.new(:key_missing, path: found.path) : found
      end
    end
  end
end
