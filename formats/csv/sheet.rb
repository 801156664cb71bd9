# frozen_string_literal: true

module Verglas
  module Formats
    module Csv
      # A kind of table: its columns in the order in which they are written. Read, they may stand in any order and be
      # called in other ways.
      class Sheet
        # also: what else a header calls it; needed: whether a table without it is none; written: whether it is written
        # out, or only read.
        Column =
          Struct.new(:name, :type, :also, :needed, :written, keyword_init: true) do
            # How its header stands in a table that is written: numbers with their unit.
            def unit = type.respond_to?(:per) && type.per ? type.per.key(1.0) : nil
            def header = unit ? "#{name}_#{unit}" : name.to_s
            def called = [name.to_s, *also]
          end

        # Where a column of a file stands, as which of ours, in which unit (nil: the file's).
        Place = Struct.new(:index, :column, :unit)

        attr_reader :name, :columns

        def initialize(name)
          @name = name
          @columns = []
          yield self
          @columns.freeze
        end

        def column(name, type, also: [], needed: false, written: true)
          @columns << Column.new(name: name, type: type, also: also, needed: needed, written: written)
        end

        def written = @written ||= columns.select(&:written)
        def header = Csv.line(written.map(&:header))

        # values: {name => value}.
        def line(values) = Csv.line(written.map { |column| column.type.write(values[column.name]) })

        # [places, headers that are none of ours]. Raises Invalid where a needed one is missing, or one stands twice.
        def places(header)
          unknown = []
          found =
            header.each_with_index.filter_map do |text, index|
              column, unit = match(text.to_s)
              column ? Place.new(index, column, unit) : (unknown << text.to_s.strip.slice(0, 40)).then { nil }
            end
          check(found)
          [found, unknown.reject(&:empty?)]
        end

        # A row's cells to values; empty ones are left out. units: of the file, {"length" => "cm", "mass" => "kg"}.
        # Raises Invalid with the column.
        def values(places, cells, units)
          values =
            places.each_with_object({}) do |place, read|
              value(place, cells[place.index], units).then { |value| read[place.column.name] = value unless value.nil? }
            end
          missing = columns.find { |column| column.needed && !values.key?(column.name) }
          missing ? raise(Invalid.new(:missing, path: "/#{missing.name}", name: missing.name)) : values
        end

        private

        # nil where nothing stands.
        def value(place, text, units)
          return if text.nil? || text.strip.empty?

          place.column.type.read(Csv.plain(text), place.unit || unit_of(place.column, units))
        rescue Invalid => e
          raise e.below("/#{place.column.name}")
        end

        UNIT = /_(mm|cm|m|in|kg|lb)\z/
        private_constant :UNIT

        # A header's words, without what stands between them: "Body mass (kg)" is body_mass_kg.
        def match(text)
          word = text.strip.downcase.gsub(/[^\p{Alnum}]+/, "_").gsub(/\A_|_\z/, "")
          exact = columns.find { |column| column.called.include?(word) }
          return exact, nil if exact

          unit = word[UNIT, 1]
          measured =
            unit &&
              columns.find do |column|
                column.unit && column.type.per.key?(unit) && column.called.include?(word.sub(UNIT, ""))
              end
          [measured, unit] if measured
        end

        def check(found)
          missing = columns.select(&:needed) - found.map(&:column)
          if missing.any?
            raise Invalid.new(
                    :column_missing,
                    path: "/1",
                    column: missing.first.header,
                    known: columns.map(&:header).join(", ")
                  )
          end

          twice = found.map(&:column).tally.find { |_, count| count > 1 }
          raise Invalid.new(:column_twice, path: "/1", column: twice.first.header) if twice
        end

        def unit_of(column, units) = column.unit && units[column.type.per.key?("kg") ? "mass" : "length"]
      end
    end
  end
end
