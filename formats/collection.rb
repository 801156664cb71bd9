# frozen_string_literal: true

module Verglas
  module Formats
    # A file of named machines or bodies: {"machines": [{"id": ...}, ...]} or {"bodies": {"id": {...}}}, or just the inner part.
    module Collection
      def self.read(file, kind)
        data = JSON.parse(File.read(file))
        inner = data.is_a?(Hash) ? data.fetch(kind.to_s, data) : data
        inner.is_a?(Array) ? inner.to_h { |item| [item.fetch("id"), item] } : inner
      rescue SystemCallError, JSON::ParserError, KeyError, TypeError => e
        raise Invalid.new(:unreadable_file, path: file, reason: e.class.name)
      end
    end
  end
end
