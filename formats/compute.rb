# frozen_string_literal: true

module Verglas
  module Formats
    # The command-line door to the core: one JSON request in, one JSON answer out. docs/formats/compute.md
    class Compute
      OPERATIONS = %w[
        body
        parameters
        contact
        evaluate
        advise
        probability
        hip_pad
        effort
        session
        pair
        circuit
        strength
        factor
        bias
        scale
        signs
        movement
      ].freeze

      # machines, bodies: {id => plain data} which requests may name.
      def initialize(machines: {}, bodies: {})
        @schema = Schema.new("compute")
        @subjects = Subjects.new(machines: machines, bodies: bodies, schema: @schema)
      end

      # Never raises for what stands in the line: an answer to bad input is {"error": {code, path, message}}.
      def answer(line)
        request = parse(line)
        JSON.generate(carry_out(request))
      rescue Invalid => e
        answer_error(e)
      rescue StandardError, SystemStackError, NoMemoryError
        # Numbers within all limits that make no geometry: nothing can be told of them.
        answer_error(Invalid.new(:not_computable))
      end

      private

      def answer_error(e)
        JSON.generate({ error: { code: e.code, path: e.path, message: e.message } })
      end

      def parse(line)
        request = JSON.parse(line)
        raise Invalid.new(:wrong_type, expected: "object") unless request.is_a?(Hash)
        raise Invalid.new(:missing, path: "/op", name: "op") unless request.key?("op")
        raise Invalid.new(:unknown_operation, path: "/op", known: OPERATIONS) unless OPERATIONS.include?(request["op"])

        request
      rescue JSON::ParserError, EncodingError
        raise Invalid, :not_json
      end

      def carry_out(request)
        @schema.check!("#{request["op"]}_request", request)
        Operations.public_send(request["op"], request, @subjects)
      end
    end
  end
end
