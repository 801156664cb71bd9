# frozen_string_literal: true

require "json"
require "oj"

module Verglas
  module Formats
    # Reads a gym's archive (docs/formats/gym.md) as it comes by, one record at a time, however it is laid out; nothing
    # is held but the record.
    module GymArchive
      NESTED = 40
      # Values of one record: a fitting with its picture has some thousands.
      MOST_VALUES = 100_000
      MOST_BITS = 53

      module_function

      # Yields the name of each member with its value, or with each record where it is a list; answers the names of the
      # lists, empty ones too. io: JSON in UTF-8. Raises Invalid for what is none.
      def each(io, &)
        handler = Handler.new(&)
        Oj.sc_parse(handler, io, bigdecimal_load: :bigdecimal)
        raise Invalid.new(:not_json, path: "") unless handler.whole?

        handler.lists
      rescue Oj::ParseError, EncodingError
        raise Invalid.new(:not_json, path: "")
      end

      # Builds values as the parser meets them; a list of the document itself is told record by record and never built.
      class Handler < Oj::ScHandler
        STREAM = Object.new.freeze
        ROOT = Object.new.freeze

        def initialize(&told)
          super()
          @told = told
          @depth = 0
          @whole = false
          @values = 0
          @lists = []
        end

        attr_reader :lists

        def whole? = @whole

        def hash_start
          deeper
          @depth == 1 ? ROOT : {}
        end

        def hash_end = @depth -= 1

        def hash_key(key)
          @member = checked(key) if @depth == 1
          key
        end

        def array_start
          deeper
          @depth == 2 ? STREAM : []
        end

        def array_end = @depth -= 1

        def array_append(list, value)
          return list << counted(value) unless STREAM.equal?(list)

          @values = 0
          @told.call(@member, value)
        end

        def hash_set(hash, key, value)
          return hash[checked(key)] = counted(value) unless ROOT.equal?(hash)

          STREAM.equal?(value) ? @lists << key : @told.call(checked(key), checked(value))
        end

        # The document itself: an object, once.
        def add_value(value, _key = nil)
          raise Invalid.new(:not_json, path: "") if @whole || !ROOT.equal?(value)

          @whole = true
        end

        private

        def counted(value)
          raise Invalid.new(:record_too_large, path: "/#{@member.to_s[0, 40]}") if (@values += 1) > MOST_VALUES

          checked(value)
        end

        # Text that is text, numbers that a float holds, to the last digit.
        def checked(value)
          value = value.to_f if value.is_a?(BigDecimal)
          value = value.dup.force_encoding(Encoding::UTF_8) if value.is_a?(String) && value.encoding != Encoding::UTF_8
          wrong =
            case value
            when String
              !value.valid_encoding? || value.include?("\0")
            when Float
              !value.finite?
            when Integer
              value.bit_length > MOST_BITS
            end
          wrong ? raise(Invalid.new(:not_json, path: "")) : value
        end

        def deeper
          raise Invalid.new(:not_json, path: "") if (@depth += 1) > NESTED
        end
      end
    end
  end
end
