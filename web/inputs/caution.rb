# frozen_string_literal: true

require "date"

module Verglas
  module Web
    module Inputs
      # A caution as typed, and as the core's value from its row.
      module Caution
        module_function

        def fields(input)
          since, cleared_on = %i[since cleared_on].map { |name| date(input[name], "/#{name}") }
          fields = { side: input.fetch(:side, ""), since: since, cleared_by: input.fetch(:cleared_by, "").strip, cleared_on: cleared_on,
                     **input.slice(:bend_from_deg, :bend_to_deg, :load_to_kg), note: input.fetch(:note, "").strip }
          check(fields)
          fields
        end

        # row: of store's cautions.
        def value(row)
          Fitting::Cautions::Caution.new(name: row[:caution].to_sym, cleared: !row[:cleared_on].nil?, bend_from_deg: row[:bend_from_deg]&.to_f, bend_to_deg: row[:bend_to_deg]&.to_f,
                                         load_to_kg: row[:load_to_kg]&.to_f)
        end

        def check(fields)
          from, upto = fields.values_at(:bend_from_deg, :bend_to_deg)
          raise Invalid.new(:clearance_unsigned, path: fields[:cleared_by].empty? ? "/cleared_by" : "/cleared_on") if fields[:cleared_by].empty? != fields[:cleared_on].nil?
          raise Invalid.new(:degrees_uncleared, path: "/cleared_by") if (from || upto || fields[:load_to_kg]) && fields[:cleared_on].nil?
          raise Invalid.new(:degrees_reversed, path: "/bend_from_deg") if from && upto && from > upto
        end

        def date(text, path)
          return unless text

          date = Date.iso8601(text)
          raise Invalid.new(:since_in_future, path: path) if date > Date.today

          date
        rescue Date::Error
          raise Invalid.new(:wrong_form, path: path)
        end
        private_class_method :check, :date
      end
    end
  end
end
