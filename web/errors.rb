# frozen_string_literal: true

require "json"

module Verglas
  module Web
    # Errors on their way out: {code, path, params, message}.
    module Errors
      STATUS = {
        sign_in_needed: 401,
        sign_in_refused: 401,
        tablet_locked: 401,
        pin_refused: 401,
        pin_locked: 401,
        pin_missing: 401,
        other_origin: 403,
        other_host: 403,
        lead_only: 403,
        role_refused: 403,
        not_found: 404,
        link_over: 404,
        own_card_over: 404,
        code_over: 404,
        reading_over: 404,
        method_not_allowed: 405,
        body_too_large: 413,
        wrong_content_type: 415,
        too_many_requests: 429,
        too_many_passwords: 429,
        too_many_tries: 429,
        not_json: 400,
        number_too_large: 400,
        key_missing: 400,
        busy: 503,
        database_away: 503,
        no_room: 503,
        import_held: 409,
        begun_already: 409,
        practice_went_on: 409,
        practice_over: 409
      }.freeze

      module_function

      def status(invalid) = STATUS.fetch(invalid.code, 422)

      def body(invalid, **extra)
        {
          code: invalid.code,
          path: invalid.path,
          params: invalid.params,
          message: Formats::Words.error(invalid.code, invalid.params),
          **extra
        }
      end

      # As a Rack answer, for what stands before the routes.
      def response(status, invalid, headers = {})
        [status, { "content-type" => "application/json", **headers }, [JSON.generate(body(invalid))]]
      end
    end
  end
end
