# frozen_string_literal: true

require "json"

module Verglas
  module Web
    # Errors on their way out: {code, path, params, message}.
    module Errors
      STATUS = { sign_in_needed: 401, tablet_locked: 401, pin_refused: 401, pin_locked: 401, pin_missing: 401, not_found: 404, wrong_content_type: 415,
                 too_many_requests: 429, body_too_large: 413, not_json: 400, key_missing: 400, method_not_allowed: 405 }.freeze

      module_function

      def status(invalid) = STATUS.fetch(invalid.code, 422)

      def body(invalid, **extra)
        { code: invalid.code, path: invalid.path, params: invalid.params, message: Formats::Words.error(invalid.code, invalid.params), **extra }
      end

      # As a Rack answer, for what stands before the routes.
      def response(status, invalid) = [status, { "content-type" => "application/json" }, [JSON.generate(body(invalid))]]
    end
  end
end
