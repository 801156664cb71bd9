# frozen_string_literal: true

module Verglas
  module Formats
    module Paper
      # A machine's marks for everybody who was fitted on it, to hang beside it: one line a person, large enough to be
      # read standing.
      class WallSheet
        ROW = 21
        HEAD = 58
        FOOT = 20
        NAME = 0.3

        # sheet: {machine:, place:, gym:, day:, columns: [title], rows: [{name:, cells: [text]}]}
        def initialize(sheet)
          @sheet = sheet
        end

        def render
          @pdf = Paper.document("A4", margin_mm: 14)
          @page = Page.new(@pdf)
          head
          @sheet[:rows].each_with_index { |row, index| row(row, index) }
          if @sheet[:rows].empty?
            @page.text(Words.say("paper.nobody"), at: [0, @y - 8], width: width, height: 20, size: 12)
          end
          @page.foot([@sheet[:gym], @sheet[:day], Words.say("paper.pain")].join(" · "))
          @pdf.render
        end

        private

        def width = @pdf.bounds.width
        def name_width = width * NAME
        def cell_width = (width - name_width) / [@sheet[:columns].size, 1].max

        def head
          top = @pdf.bounds.top
          @page.text(@sheet[:machine], at: [0, top], width: width, height: 24, size: 20, bold: true)
          @page.text(@sheet[:place], at: [0, top - 25], width: width, height: 13, size: 10, colour: MUTED)
          cells(@sheet[:columns], top - 42, size: 9, colour: MUTED)
          @y = top - HEAD
        end

        # Every other line is shaded, so that the eye stays in it.
        def row(row, index)
          turn if @y - ROW < FOOT
          shade if index.odd?
          @page.text(row[:name], at: [4, @y - 4], width: name_width - 8, height: ROW - 4, size: 12, bold: true)
          cells(row[:cells], @y - 3, size: 14, bold: true)
          @y -= ROW
        end

        def cells(texts, at, **style)
          texts.each_with_index { |text, index| cell(text, name_width + (index * cell_width), at, **style) }
        end

        # Marks have the letters of a mark, a load those of text.
        def cell(text, left, at, **style)
          @page.text(
            text,
            at: [left, at],
            width: cell_width - 4,
            height: ROW - 2,
            align: :center,
            font: style[:bold] && !text.include?(" ") ? "mark" : "text",
            **style
          )
        end

        def shade
          @pdf.fill_color(QUIET)
          @pdf.fill_rectangle([0, @y], width, ROW)
          @pdf.fill_color(INK)
        end

        def turn
          @pdf.start_new_page
          head
        end
      end
    end
  end
end
