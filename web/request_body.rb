# frozen_string_literal: true

module Verglas
  module Web
    # A request's body as text, read once; refuses what no route can use before anything parses it.
    module RequestBody
      MOST_BYTES = 64 * 1024
      # A scaled photograph as text.
      MOST_PICTURE_BYTES = 1000 * 1024

      # PostgreSQL's text cannot hold a NUL, nor anything that is not UTF-8.
      NUL = '\u0000'

      def self.read(request)
        most = most_bytes(request)
        raise Invalid, :body_too_large if request.content_length.to_i > most

        request.body&.rewind if request.body.respond_to?(:rewind)
        text = request.body&.read(most + 1).to_s.dup.force_encoding(Encoding::UTF_8)
        request.body&.rewind if request.body.respond_to?(:rewind)
        raise Invalid, :body_too_large if text.bytesize > most
        raise Invalid, :not_json if text.include?(NUL) || !text.valid_encoding?

        text
      end

      def self.most_bytes(request) = request.path_info.end_with?("/photographs") ? MOST_PICTURE_BYTES : MOST_BYTES
      private_class_method :most_bytes
    end
  end
end
