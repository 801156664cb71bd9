# frozen_string_literal: true

require "yaml"

module Verglas
  module Tables
    # A table's text: its plain data, and on which line each part of them stands.
    class Source
      # references: names in it that stand elsewhere (Reference).
      attr_reader :name, :references

      # name: as it is told where something is wrong; text: YAML.
      def initialize(name, text)
        @name = name
        @references = []
        @root = Psych.parse(text, filename: name).root
        refuse_doubles(@root)
      end

      # Hashes with Symbols for keys, arrays and scalars.
      def data = @data ||= @root.to_ruby(symbolize_names: true)

      # The line of what a path of keys and indices leads to, or of the last there is on the way.
      def line(path)
        path.inject(@root) { |node, step| child(node, step) || (break node) }.start_line + 1
      end

      private

      def child(node, step)
        case node
        when Psych::Nodes::Mapping
          node.children.each_slice(2).find { |key, _| key.value == step.to_s }&.last
        when Psych::Nodes::Sequence
          node.children[step]
        end
      end

      # YAML keeps the later of two equal keys; here nothing is said twice.
      def refuse_doubles(node)
        if node.is_a?(Psych::Nodes::Mapping)
          keys = node.children.each_slice(2).map(&:first)
          twice = keys.find { |key| keys.any? { |other| !other.equal?(key) && other.value == key.value } }
          raise Misspelt, "#{@name}:#{twice.start_line + 1}: #{twice.value} is said twice" if twice
        end
        node.children&.each { |child| refuse_doubles(child) }
      end
    end
  end
end
