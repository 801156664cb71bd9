# frozen_string_literal: true

require "date"

module Verglas
  module Web
    module Inputs
      # A caution as typed.
      module Caution
        module_function

        def fields(input)
          since, cleared_on = %i[since cleared_on].map { |name| date(input[name], "/#{name}") }
          fields = {
            side: input.fetch(:side, ""),
            joint: input.fetch(:joint, ""),
            named: input.fetch(:named, []).uniq,
            since: since,
            cleared_by: input.fetch(:cleared_by, "").strip,
            cleared_on: cleared_on,
            degrees: degrees(input.fetch(:degrees, {})),
            **input.slice(:load_to_kg),
            note: input.fetch(:note, "").strip
          }
          Verglas::Guidance::Cautions.check_word(
            load_to_kg: nil,
            **fields.slice(:cleared_by, :cleared_on, :degrees, :named, :load_to_kg)
          )
          fields
        end

        # {"motion" => [from, to]}, as far as an end is given.
        def degrees(given)
          given
            .transform_values { |span| span.values_at("from", "to") }
            .reject { |_, span| span == Body::Envelope::OPEN }
        end

        def date(text, path)
          return unless text

          date = Date.iso8601(text)
          raise Invalid.new(:since_in_future, path: path) if date > Date.today

          date
        rescue Date::Error
          raise Invalid.new(:wrong_form, path: path)
        end
        private_class_method :degrees, :date
      end
    end
  end
end
