# frozen_string_literal: true

module Verglas
  module Formats
    module Csv
      # The tables as a JSON Schema: a row as an object of texts. docs/formats/tables.schema.json is written from it.
      module Described
        module_function

        def schema
          {
            "$schema" => "https://json-schema.org/draft/2020-12/schema",
            "$id" => "verglas.tables",
            "title" => "Rows of the tables, each cell a text",
            "$defs" => Sheets::ALL.to_h { |name, sheet| [name.to_s, table(sheet)] }
          }
        end

        def table(sheet)
          {
            "type" => "object",
            "required" => sheet.columns.select(&:needed).map(&:header),
            "additionalProperties" => true,
            "properties" => sheet.columns.to_h { |column| [column.header, cell(column)] }
          }
        end

        def cell(column)
          also = column.also.to_a.any? ? { "description" => "also: #{column.also.join(", ")}" } : {}
          { "type" => "string", **form(column.type), **also, **(column.written ? {} : { "writeOnly" => true }) }
        end

        def form(type)
          case type
          when Types::Text
            { "maxLength" => type.most }
          when Types::Choice
            { "enum" => type.known }
          when Types::Number
            {
              "$comment" =>
                "a number from #{type.write(type.range.min)} to " \
                  "#{type.write(type.range.max)}#{" #{type.per.key(1.0)}" if type.per}"
            }
          when Types::Count
            { "$comment" => "a whole number from #{type.range.min} to #{type.range.max}" }
          when Types::Pairs
            { "$comment" => "pairs: name=value; name=value" }
          else
            { "$comment" => type.name.split("::").last.downcase.sub("yesno", "yes or no").sub("data", "JSON") }
          end
        end
        private_class_method :table, :cell, :form
      end
    end
  end
end
