# frozen_string_literal: true

module Verglas
  module Formats
    # A file of named machines or bodies: {"machines": [{"id": ...}, ...]} or {"bodies": {"id": {...}}}, or just the
    # inner part.
    module Collection
      # {id => what the file has under it}: what is no machine and no body is told to who asks for it, and the others
      # are served. Raises Invalid for a file that cannot be read or is no collection at all.
      def self.read(file, kind)
        data = JSON.parse(File.read(file))
        inner = data.is_a?(Hash) ? data.fetch(kind.to_s, data) : data
        case inner
        when Hash
          inner
        when Array
          inner.grep(Hash).select { |item| item.key?("id") }.to_h { |item| [item["id"], item] }
        else
          raise Invalid.new(:not_a_collection, path: file, kind: kind.to_s)
        end
      rescue SystemCallError, JSON::ParserError, EncodingError => e
        raise Invalid.new(:unreadable_file, path: file, reason: e.class.name)
      end
    end
  end
end
