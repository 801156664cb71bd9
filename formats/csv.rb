# frozen_string_literal: true

require "csv"
require "delegate"

module Verglas
  module Formats
    # Tables as text (RFC 4180): written with commas, CRLF and a header; read with whatever a spreadsheet makes of them
    # (a byte order mark, semicolons or tabs, Windows-1252, UTF-16). docs/formats/csv.md
    module Csv
      SEPARATORS = [",", ";", "\t"].freeze
      BOMS = { "\xEF\xBB\xBF".b => "UTF-8", "\xFF\xFE".b => "UTF-16LE", "\xFE\xFF".b => "UTF-16BE" }.freeze
      # Of a field, in characters; of a file, in rows.
      MOST_IN_FIELD = 20_000
      MOST_ROWS = 100_000
      # Lines, empty ones too, and cells of a line.
      MOST_LINES = 2 * MOST_ROWS
      MOST_CELLS = 5000
      # A spreadsheet takes what begins so for a formula.
      HOSTILE = /\A'*[=+\-@\t\r]/
      NEUTRALISED = /\A'+[=+\-@\t\r]/

      module_function

      def line(values) = CSV.generate_line(values.map { |text| text unless text.to_s.empty? }, row_sep: "\r\n")

      # A text so that no spreadsheet runs it; and what stood there before.
      def neutral(text) = text.match?(HOSTILE) ? "'#{text}" : text
      def plain(text) = text.match?(NEUTRALISED) ? text[1..] : text

      # The encoding in which a file's bytes are text. pieces: strings of bytes, one after the other. Raises Invalid
      # where they are none.
      def encoding(pieces)
        sniffing = Sniffing.new
        pieces.each { |bytes| sniffing << bytes }
        sniffing.encoding
      end

      # Yields each row's cells as text and its line, the header first; nothing is kept of those before. io: of UTF-8.
      # Lines end as the header's does. Raises Invalid for what is no table.
      def each_row(io, &block)
        head = io.gets("\n", MOST_IN_FIELD).to_s
        raise Invalid.new(:no_header, path: "") if head.strip.empty?

        form = { col_sep: SEPARATORS.max_by { |one| head.count(one) }, row_sep: head.end_with?("\r\n") ? "\r\n" : "\n" }
        within(0) { yield CSV.parse_line(head.chomp, col_sep: form[:col_sep]), 1 }
        within(1) { read(CSV.new(Narrow.new(io, form[:col_sep]), **form, max_field_size: MOST_IN_FIELD), &block) }
      end

      def read(csv)
        rows = lines = 0
        while (cells = csv.shift)
          rows += 1 unless cells.empty?
          raise Invalid.new(:too_many_rows, path: "", most: MOST_ROWS) if rows > MOST_ROWS || (lines += 1) > MOST_LINES

          yield cells, csv.lineno + 1 unless cells.empty?
        end
      end

      # A stream of lines that have no more cells than any of our tables: a reader of tables holds a line whole.
      class Narrow < SimpleDelegator
        def initialize(io, separator)
          super(io)
          @separator = separator
          @cells = 0
          @line = 1
        end

        def gets(...)
          text = super or return
          @cells += text.count(@separator)
          raise Invalid.new(:too_many_cells, path: "/#{@line}", line: @line) if @cells > MOST_CELLS

          return text unless text.end_with?("\n")

          @cells = 0
          @line += 1
          text
        end
      end
      private_constant :Narrow

      # What the reader complains of, by the line of the file. before: lines that it has not seen.
      def within(before)
        yield
      rescue CSV::MalformedCSVError => e
        line = e.line_number + before
        raise Invalid.new(:not_a_table, path: "/#{line}", line: line)
      end
      private_class_method :read, :within
    end
  end
end
