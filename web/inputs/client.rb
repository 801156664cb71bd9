# frozen_string_literal: true

require "date"

module Verglas
  module Web
    module Inputs
      # What was typed of a client. Only what was sent is answered: a correction may leave fields out.
      module Client
        module_function

        def fields(input)
          fields = input.slice(:name, :detail, :sex, :birth_date, :body_mass_kg)
          fields[:name] = Name.tidy(fields[:name], "/name") if fields.key?(:name)
          fields[:detail] = fields[:detail].strip.gsub(/\s+/, " ") if fields.key?(:detail)
          fields[:birth_date] = birth_date(fields[:birth_date]) if fields[:birth_date]
          fields
        end

        def birth_date(text)
          date = Date.iso8601(text)
          raise Invalid.new(:birth_date_in_future, path: "/birth_date") if date > Date.today

          date
        rescue Date::Error
          raise Invalid.new(:wrong_form, path: "/birth_date")
        end
        private_class_method :birth_date
      end
    end
  end
end
