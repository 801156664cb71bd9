# frozen_string_literal: true

module Verglas
  module Web
    # A request's body as text, read once; refuses what no route can use before anything parses it.
    module RequestBody
      MOST_BYTES = 64 * 1024
      # A scaled photograph, or a part of a file, as text.
      MOST_FILE_BYTES = 1000 * 1024
      FILES = %w[/photographs /chunks].freeze

      # PostgreSQL's text cannot hold a NUL, nor anything that is not UTF-8.
      NUL = '\u0000'
      # Digits or an exponent that may be too many: only then the text is parsed here.
      HUGE = /\d{18}|[eE][+-]?\d{3}/
      MOST_BITS = 53

      def self.read(request)
        most = most_bytes(request)
        text = text_of(request, most)
        raise Invalid, :body_too_large if text.bytesize > most
        raise Invalid, :not_json if text.include?(NUL) || !text.valid_encoding?
        raise Invalid, :wrong_content_type if !text.empty? && request.media_type.nil?

        check_numbers!(text)
        text
      end

      # A byte more than may be, so that it is seen; rewound, because others read it too.
      def self.text_of(request, most)
        raise Invalid, :body_too_large if request.content_length.to_i > most

        body = request.body
        return "" unless body

        body.rewind if body.respond_to?(:rewind)
        text = body.read(most + 1).to_s.dup.force_encoding(Encoding::UTF_8)
        body.rewind if body.respond_to?(:rewind)
        text
      end

      # Numbers are written by hand or read off a scale: those that are past what a float holds are none.
      def self.check_numbers!(text)
        raise Invalid, :number_too_large if text.match?(HUGE) && beyond?(JSON.parse(text))
      rescue JSON::ParserError
        raise Invalid, :not_json
      end

      def self.beyond?(value)
        case value
        when Hash
          value.each_value.any? { |one| beyond?(one) }
        when Array
          value.any? { |one| beyond?(one) }
        when Float
          !value.finite?
        when Integer
          value.bit_length > MOST_BITS
        end
      end

      def self.most_bytes(request) = request.path_info.end_with?(*FILES) ? MOST_FILE_BYTES : MOST_BYTES
      private_class_method :text_of, :most_bytes, :check_numbers!, :beyond?
    end
  end
end
