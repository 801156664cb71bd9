# frozen_string_literal: true

require "json"
require "yaml"

module Verglas
  module Ops
    # The schema of what a record keeps (docs/formats/record.schema.json), taken from what the interface promises of
    # one: a record that comes from elsewhere has to be answered like our own. Of its parts any may be missing, for what
    # is not kept is filled in when it is read.
    module RecordSchema
      FILE = File.join(ROOT, "docs", "formats", "record.schema.json")
      INTERFACE = File.join(ROOT, "web", "openapi.yaml")
      PARTS = {
        "result" => "Evaluation",
        "computed_from" => "ComputedFrom",
        "flow" => "Flow",
        "work" => "Work",
        "trail" => "Trail",
        "creep" => "Creep"
      }.freeze
      HEAD = {
        "$schema" => "https://json-schema.org/draft/2020-12/schema",
        "title" => "What a record of a fitting keeps",
        "description" => "Written by bin/record-schema."
      }.freeze
      NUMBER = { "type" => "number", "minimum" => -100_000, "maximum" => 100_000 }.freeze
      NUMBERS = { "type" => "object", "maxProperties" => 60, "additionalProperties" => NUMBER }.freeze
      JOINT = %w[s_mm n_mm sd_s_mm sd_n_mm covariance_mm2].freeze
      # Of the first format, the parts that are no more (docs/formats/records.md).
      FIRST = {
        "figure" => {
          "type" => %w[object null],
          "required" => %w[machine body],
          "properties" => {
            "machine" => NUMBERS,
            "body" => NUMBERS,
            "ending" => {
              "type" => %w[object null],
              "properties" => {
                "bend_deg" => NUMBER
              }
            }
          }
        },
        "joint" => {
          "type" => %w[object null],
          "required" => JOINT,
          "properties" => JOINT.to_h { |name| [name, NUMBER] }
        },
        "lens" => {
          "type" => "object",
          "additionalProperties" => {
            "type" => "array",
            "items" => {
              "type" => "object",
              "required" => %w[mark s_mm n_mm],
              "properties" => {
                "mark" => {
                  "type" => "string"
                },
                "s_mm" => NUMBER,
                "n_mm" => NUMBER
              }
            }
          }
        }
      }.freeze
      private_constant :NUMBER, :NUMBERS, :JOINT

      module_function

      def document
        components = YAML.safe_load_file(INTERFACE, aliases: true).fetch("components").fetch("schemas")
        parts = PARTS.transform_values { |name| components.fetch(name).except("required") }
        parts["computed_from"]["properties"]["cautions"] = {
          "type" => "array",
          "items" => {
            "$ref" => "#/components/schemas/CautionLine"
          }
        }
        first = {
          **parts["result"],
          "required" => %w[findings motion],
          "properties" => {
            **parts["result"]["properties"],
            **FIRST
          }
        }
        local({ **HEAD, "$defs" => { **parts, "result_1" => first, **used(parts, components) } })
      end

      # {name => schema} of all that these refer to, and what that refers to.
      def used(schemas, components, known = {})
        named(schemas).each do |name|
          next if known.key?(name)

          known[name] = components.fetch(name)
          used(known[name], components, known)
        end
        known
      end

      def named(schemas) = JSON.generate(schemas).scan(%r{#/components/schemas/(\w+)}).flatten.uniq
      def local(schema) = JSON.parse(JSON.generate(schema).gsub("#/components/schemas/", "#/$defs/"))
      private_class_method :used, :named, :local
    end
  end
end
