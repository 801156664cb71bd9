# frozen_string_literal: true

module Verglas
  module Formats
    module Csv
      # Finds out in which encoding bytes are text, as they come by: by their mark, else UTF-8, else Windows-1252. Bytes
      # of both kinds in one file are nobody's text, and what never ends a line is no table.
      class Sniffing
        # Of a line: more than a table's fields can hold, four bytes a letter.
        MOST_IN_LINE = 4 * 40 * MOST_IN_FIELD
        # None of them stands for anything in Windows-1252; nor does a zero in a text.
        NO_TEXT = /[\x00\x81\x8D\x8F\x90\x9D]/n
        # A letter whose bytes are not all there yet.
        BEGUN = /(?:[\xC2-\xDF]|[\xE0-\xEF][\x80-\xBF]?|[\xF0-\xF4][\x80-\xBF]{0,2})\z/n
        WIDE = /(?:[\xC3-\xDF][\x80-\xBF]|\xE2[\x80-\xBF]{2})/n

        def initialize
          @left = "".b
          @lines = @since = 0
          @utf8 = true
          @wide = @other = @zero = false
        end

        def <<(bytes)
          @mark ||= [Csv::BOMS.find { |mark, _| bytes.b.start_with?(mark) }&.last]
          count(bytes)
          look(@left + bytes) unless @mark.first&.start_with?("UTF-16")
        end

        def encoding
          marked = @mark&.first
          return marked if marked&.start_with?("UTF-16")
          raise Invalid.new(:not_text, path: "") if @zero
          return "UTF-8" if @utf8 && @left.empty?
          raise Invalid.new(:mixed_encodings, path: "") if @wide || marked
          raise Invalid.new(:not_text, path: "") if @other

          "Windows-1252"
        end

        private

        # Before a reader would hold it whole.
        def count(bytes)
          @lines += bytes.count("\n")
          @since = (last = bytes.rindex("\n")) ? bytes.bytesize - last : @since + bytes.bytesize
          raise Invalid.new(:not_a_table, path: "/#{@lines + 1}", line: @lines + 1) if @since > MOST_IN_LINE
        end

        # What may be the beginning of a letter waits for the next bytes.
        def look(bytes)
          cut = bytes.index(BEGUN, [bytes.bytesize - 3, 0].max) || bytes.bytesize
          whole = bytes[0...cut]
          @left = bytes[cut..]
          @zero = true if whole.include?("\0")
          @utf8 = false unless whole.dup.force_encoding(Encoding::UTF_8).valid_encoding?
          @wide = true if whole.match?(WIDE)
          @other = true if whole.match?(NO_TEXT)
        end
      end
    end
  end
end
