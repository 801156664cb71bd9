# frozen_string_literal: true

module Verglas
  module Formats
    module Paper
      # What sheets have in common: text that shrinks rather than is cut, stamped tags, a code that opens an address.
      # Points, from the lower left corner of the margins.
      class Page
        # Above a mark, its label; both within a tag's frame.
        LABEL = 7.5
        GAP = 6

        def initialize(pdf)
          @pdf = pdf
        end

        attr_reader :pdf

        # One line or several in a box; smaller rather than past its edge. style: over PLAIN.
        def text(words, at:, width:, height:, **style)
          return if words.to_s.strip.empty?

          words = Letters.of(words.to_s)
          style = { **PLAIN, **style }
          pdf.fill_color(style[:colour])
          pdf.font(style[:font], style: style[:bold] ? :bold : :normal) do
            pdf.text_box(
              words,
              at: at,
              width: width,
              height: height,
              overflow: :shrink_to_fit,
              min_font_size: 5,
              **set(words, style)
            )
          end
          pdf.fill_color(INK)
        end

        PLAIN = { size: 10, bold: false, colour: INK, align: :left, valign: :top, font: "text" }.freeze

        # As much of the words as there is room for, at full size; answers how tall that stands, and what is left of
        # them.
        def flow(words, at:, width:, height:, **style)
          words = Letters.of(words.to_s)
          style = { **PLAIN, **style }
          pdf.fill_color(style[:colour])
          left = ""
          pdf.font(style[:font], style: style[:bold] ? :bold : :normal) do
            left = pdf.text_box(words, at: at, width: width, height: height, overflow: :truncate, **set(words, style))
          end
          pdf.fill_color(INK)
          [[height_of(words, width: width, size: style[:size], bold: style[:bold]), height].min, left]
        end

        # How tall words stand in a column, at full size.
        def height_of(words, width:, size:, bold: false)
          words = Letters.of(words)
          height = 0
          pdf.font("text", style: bold ? :bold : :normal) do
            height = pdf.height_of(words, width: width, size: size, fallback_fonts: Letters.fallback(words, bold))
          end unless words.empty?
          height
        end

        # Tags beside one another: [{name, mark}]; dashed where nobody has tried them.
        def tags(tags, at:, width:, height:, dashed: false, filled: [])
          return if tags.empty?

          each = [(width - (GAP * (tags.size - 1))) / tags.size, height * 1.5].min
          tags.each_with_index do |tag, index|
            tag(
              tag,
              [at[0] + (index * (each + GAP)), at[1]],
              each,
              height,
              dashed: dashed,
              filled: filled.include?(index)
            )
          end
        end

        # At the foot of every page, once all are there: words, and which page of how many.
        def foot(words)
          width = pdf.bounds.width
          (1..pdf.page_count).each do |page|
            pdf.go_to_page(page)
            text(words, at: [0, 12], width: width * 0.86, height: 12, size: 7, colour: MUTED)
            text(
              "#{page} / #{pdf.page_count}",
              at: [width * 0.86, 12],
              width: width * 0.14,
              height: 12,
              size: 8,
              colour: MUTED,
              align: :right
            )
          end
        end

        # A code to be read by a camera; side in points.
        def code(address, at:, side:)
          modules = RQRCodeCore::QRCode.new(address, level: :m).modules
          each = side.fdiv(modules.size)
          pdf.fill_color("000000")
          modules.each_with_index do |row, line|
            dark_runs(row).each do |from, count|
              pdf.fill_rectangle([at[0] + (from * each), at[1] - (line * each)], count * each, each + SEAM)
            end
          end
          pdf.fill_color(INK)
        end

        # So that no hairline of paper shines between two rows.
        SEAM = 0.05

        private

        # How words are set: as the style says, in a second font where a letter wants it.
        def set(words, style)
          { fallback_fonts: Letters.fallback(words, style[:bold]), **style.slice(:size, :align, :valign) }
        end

        # [[first column, how many], ...] of dark ones beside one another.
        def dark_runs(row)
          row
            .each_index
            .chunk_while { |one, other| row[one] == row[other] }
            .select { |run| row[run.first] }
            .map { |run| [run.first, run.size] }
        end

        def tag(tag, corner, width, height, dashed:, filled:)
          frame(corner, width, height, dashed, filled)
          text(
            tag[:name],
            at: [corner[0] + 3, corner[1] - 3],
            width: width - 6,
            height: LABEL + 3,
            size: LABEL,
            colour: MUTED,
            align: :center
          )
          text(
            tag[:mark],
            at: [corner[0] + 3, corner[1] - LABEL - 5],
            width: width - 6,
            height: height - LABEL - 8,
            size: [height * 0.62, width * 0.5].min,
            bold: true,
            align: :center,
            font: tag[:mark].include?(" ") ? "text" : "mark",
            valign: :center
          )
        end

        def frame(corner, width, height, dashed, filled)
          if filled
            pdf.fill_color(QUIET)
            pdf.fill_rounded_rectangle(corner, width, height, 3)
            pdf.fill_color(INK)
          end
          pdf.dash(3, space: 2) if dashed
          pdf.stroke_rounded_rectangle(corner, width, height, 3)
          pdf.undash
        end
      end
    end
  end
end
