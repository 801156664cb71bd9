# frozen_string_literal: true

require "yaml"

module Verglas
  # The tables of core/data, read once and frozen: the only place where the core touches a file.
  # Every row there names its source or says "working figure".
  module Tables
    FOLDER = File.join(__dir__, "data")

    def self.[](name)
      @tables ||= {}
      @tables[name] ||= deep_freeze(YAML.safe_load_file(File.join(FOLDER, "#{name}.yml"), symbolize_names: true, aliases: true))
    end

    def self.deep_freeze(node)
      case node
      when Hash then node.each_value { |child| deep_freeze(child) }
      when Array then node.each { |child| deep_freeze(child) }
      end
      node.freeze
    end
    private_class_method :deep_freeze
  end
end
