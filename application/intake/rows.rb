# frozen_string_literal: true

module Verglas
  module Application
    class Intake
      # The rows of a table, from cells to what they would do.
      class Rows
        attr_reader :sheet

        # row: the import's, with its head.
        def initialize(sheet, row)
          @sheet = sheet
          @columns = Formats::Csv::Sheets.fetch(row[:kind])
          @places, = @columns.places(row[:head].to_h.fetch("header"))
          @units = row[:units].to_h
        end

        # rows: [[line, cells]]. [outcomes, keys by which a row that stands twice is found].
        def call(rows)
          outcomes = outcomes(rows)
          keys =
            outcomes
              .reject(&:refused?)
              .filter_map { |outcome| sheet.key(outcome.said)&.then { |key| [outcome.line, key, false] } }
          [outcomes, keys]
        end

        # aside: lines that are refused whatever they say.
        def outcomes(rows, aside = {})
          read, refused = rows.partition { |line, _| !aside.key?(line) }
          checked = sheet.check(read.map { |line, cells| [line, values(cells)] })
          read.zip(checked) { |(_, cells), outcome| outcome.said = called(cells) if outcome.said.empty? }
          [*checked, *refused.map { |line, _| Outcome.refuse(line, aside.fetch(line)) }]
        end

        private

        # Of a row that could not be read: what somebody finds it by.
        NAMES = %i[name client machine adjuster].freeze
        private_constant :NAMES

        def called(cells)
          @places
            .select { |place| NAMES.include?(place.column.name) }
            .to_h { |place| [place.column.name, cells[place.index].to_s.slice(0, 80)] }
        end

        def values(cells)
          @columns.values(@places, cells, @units)
        rescue Invalid => e
          e
        end
      end
    end
  end
end
