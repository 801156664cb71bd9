# frozen_string_literal: true

require "json"

module Verglas
  module Application
    class Intake
      # From the bytes of a file to pieces of rows, as they come by: neither the file nor its rows are ever held whole.
      class Parsing
        # How long a file may be read.
        SECONDS = 240
        private_constant :SECONDS

        attr_reader :rows, :pieces, :head

        def initialize(imports, row)
          @imports = imports
          @row = row
          @size = PIECES.fetch(row[:kind].to_sym, PIECE)
          @rows = @pieces = 0
          @head = {}
          @waiting = []
        end

        # Raises Invalid for what is no such file, or takes longer than anybody waits.
        def call
          @ends = now + SECONDS
          @row[:kind].to_sym == GYM ? archive : table
          pass_on
        end

        private

        def table
          sheet = Formats::Csv::Sheets.fetch(@row[:kind])
          encoding = Formats::Csv.encoding(chunks)
          flowing(encoding) do |io|
            Formats::Csv.each_row(io) do |cells, line|
              @head.empty? ? header(sheet, cells, encoding) : add([line, cells])
            end
          end
          raise Invalid.new(:too_many_rows, path: "", most: @size) if @pieces > 1 && PIECES.key?(@row[:kind].to_sym)
        end

        def header(sheet, cells, encoding)
          _, unknown = sheet.places(cells)
          @head = { "header" => cells, "unknown" => unknown, "encoding" => encoding }
        end

        # One section a piece; records are numbered through.
        def archive
          lists =
            flowing("UTF-8") do |io|
              Formats::GymArchive.each(io) do |member, value|
                Store::Archive::SECTIONS.key?(member.to_sym) ? record(member, value) : single(member, value)
              end
            end
          unless @head["format"] == Store::Archive::FORMAT &&
                   (1..Store::Archive::VERSION).to_a.include?(@head["version"])
            raise Invalid.new(:no_archive, path: "/format")
          end

          SCHEMA.check!("gym", @head["gym"])
          unless [true, false].include?(@head["health_notes"])
            raise Invalid.new(:missing, path: "/health_notes", name: "health_notes")
          end

          check_whole(lists)
        end

        # What is missing is not none: least of all cautions. An older archive has only what there was then.
        def check_whole(lists)
          later = Store::Archive::SINCE.select { |_, version| version > @head["version"] }.keys
          withheld = @head["health_notes"] ? [] : Store::Archive::Health::SECTIONS
          missing = SECTIONS - lists - [*later, *withheld].map(&:to_s)
          raise Invalid.new(:missing, path: "/#{missing.first}", name: missing.first) if missing.any?
        end

        MEMBERS = %w[format version health_notes gym].freeze
        SCHEMA = Formats::Schema.new("gym")
        private_constant :MEMBERS, :SCHEMA

        def single(member, value)
          raise Invalid.new(:unknown_field, path: "/#{member.to_s[0, 40]}") unless MEMBERS.include?(member)

          @head[member] = value
        end

        # Those that are referred to come first: as the archive is written.
        def record(member, value)
          raise Invalid.new(:wrong_type, path: "/#{member}", expected: "object") unless value.is_a?(Hash)

          unless member == @member
            if SECTIONS.index(member) < SECTIONS.index(@member).to_i
              raise Invalid.new(:section_out_of_order, path: "/#{member}")
            end

            pass_on
            @member = member
          end
          add([@rows + 1, member, value])
        end

        SECTIONS = Store::Archive::SECTIONS.keys.map(&:to_s).freeze
        private_constant :SECTIONS

        def add(row)
          @waiting << row
          @rows += 1
          pass_on if @waiting.size == @size
        end

        def pass_on
          raise Invalid.new(:too_slow, path: "") if now > @ends
          return if @waiting.empty?

          @imports.add_piece(@row[:id], @pieces += 1, @waiting)
          @waiting = []
        end

        def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        def chunks = Enumerator.new { |each| @imports.each_chunk(@row[:id]) { |bytes| each << bytes } }

        # The bytes as a stream of UTF-8 text: they are put in at one end while they are read at the other.
        def flowing(encoding)
          reader, writer = IO.pipe(binmode: true)
          encoding == "UTF-8" ? reader.set_encoding("UTF-8") : reader.set_encoding(encoding, "UTF-8")
          feeding = Thread.new { feed(writer) }
          yield skip_mark(reader)
        rescue EncodingError
          raise Invalid.new(:not_text, path: "")
        ensure
          reader&.close
          feeding&.join
        end

        def feed(writer)
          chunks.each { |bytes| writer.write(bytes) }
        rescue Errno::EPIPE, IOError
          nil # whoever read it has seen enough
        ensure
          writer.close
        end

        # A mark at the beginning is no letter.
        def skip_mark(reader)
          first = reader.getc
          reader.ungetc(first) if first && first != "\uFEFF"
          reader
        end
      end
    end
  end
end
