# frozen_string_literal: true

module Verglas
  module Machines
    SEVERITIES = ["in line", "close", "off", "fault"].freeze

    # What counts as in line and as close, as ranges of the graded number (mm or degrees). Decided on unrounded numbers.
    Band =
      Value.define(:unit, :target, :in_line, :close, :half) do
        # {code => Band} of a table's rows.
        def self.table(rows) = rows.to_h { |code, row| [code, from(row)] }.freeze

        def self.from(row)
          new(
            unit: row[:unit],
            target: row[:target].to_f,
            half: row[:half].to_f,
            in_line: Range.new(*row[:in_line]),
            close: Range.new(*row[:close])
          )
        end

        def severity(graded)
          return 0 if in_line.cover?(graded)

          close.cover?(graded) ? 1 : 2
        end

        def cost(graded) = ((graded - target) / half)**2

        # How far outside the close band, in the band's unit; 0 inside.
        def shortfall(graded) = [close.min - graded, graded - close.max, 0.0].max.to_f
      end
  end
end
