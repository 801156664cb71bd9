# frozen_string_literal: true

module Verglas
  module Application
    # A client's fittings on one machine, one beside the other: marks, what was lifted, the numbers as they were told
    # then, the body that they were computed for; and what differs from the one before. Nothing is computed anew: a
    # record says what was said.
    class SideBySide
      # A line over the fittings: part (:marks, :load, :fit, :body), label, and of each fitting its text and whether it
      # differs from the one before it.
      Row = Struct.new(:part, :label, :cells)
      Cell = Struct.new(:text, :changed)

      # rows: of Store::Queries::FittingsSideBySide, the latest first.
      def initialize(rows)
        @rows = rows
      end

      def rows = [*marks, *load, *fit, *body]

      private

      def marks = by_name(:marks) { |row| row[:marks].to_h.transform_keys { |label| Formats::Words.adjuster(label) } }

      def load
        [
          line(:load, Formats::Words.say("side_by_side.load")) { |row| row[:load] },
          line(:load, Formats::Words.say("side_by_side.cushions")) do |row|
            Aids.says(Aids.of(row[:aids].to_h)).join(", ")
          end
        ].reject { |row| row.cells.all? { |cell| cell.text.empty? } }
      end

      def fit
        by_name(:fit) do |row|
          row[:result]
            .fetch("findings", [])
            .to_h { |finding| [finding["title"], number(finding["value"], finding["unit"])] }
        end
      end
      def body
        by_name(:body) do |row|
          row[:computed_from]
            .fetch("readings", [])
            .to_h { |reading| [reading["title"], number(reading["value_mm"], "mm")] }
        end
      end

      # A line for each name that any of them has.
      def by_name(part, &)
        values = @rows.map(&)
        values.flat_map(&:keys).uniq.map { |name| row(part, name, values.map { |of| of.fetch(name, "").to_s }) }
      end

      def line(part, label, &) = row(part, label, @rows.map(&))

      # The one before stands to the right.
      def row(part, label, texts)
        Row.new(
          part,
          label,
          texts.each_with_index.map { |text, index| Cell.new(text, index + 1 < texts.size && text != texts[index + 1]) }
        )
      end

      def number(value, unit) = value && "#{value.round}#{unit == "deg" ? "°" : " mm"}"
    end
  end
end
