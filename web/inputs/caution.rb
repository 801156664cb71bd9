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
          fields = { side: input.fetch(:side, ""), since: since, cleared_by: input.fetch(:cleared_by, "").strip, cleared_on: cleared_on,
                     degrees: degrees(input.fetch(:degrees, {})), **input.slice(:load_to_kg), note: input.fetch(:note, "").strip }
          check(fields)
          fields
        end

        def check(fields)
          raise Invalid.new(:clearance_unsigned, path: fields[:cleared_by].empty? ? "/cleared_by" : "/cleared_on") if fields[:cleared_by].empty? != fields[:cleared_on].nil?
          raise Invalid.new(:degrees_uncleared, path: "/cleared_by") if (fields[:degrees].any? || fields[:load_to_kg]) && fields[:cleared_on].nil?
        end

        # {"motion" => [from, to]}, as far as an end is given.
        def degrees(given)
          ends = given.transform_values { |span| span.values_at("from", "to") }
          ends.each do |motion, (from, upto)|
            raise Invalid.new(:unknown_motion, path: "/degrees/#{motion}") unless Body::Envelope::MOTIONS.include?(motion.to_sym)
            raise Invalid.new(:degrees_reversed, path: "/degrees/#{motion}") if from && upto && from > upto
          end
          ends.reject { |_, span| span == Body::Envelope::OPEN }
        end

        def date(text, path)
          return unless text

          date = Date.iso8601(text)
          raise Invalid.new(:since_in_future, path: path) if date > Date.today

          date
        rescue Date::Error
          raise Invalid.new(:wrong_form, path: path)
        end
        private_class_method :check, :degrees, :date
      end
    end
  end
end
