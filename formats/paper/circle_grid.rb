# frozen_string_literal: true

module Verglas
  module Formats
    module Paper
      # A group that rotates, on A4 across: a row a round, a column a station; who, and what moves.
      class CircleGrid
        SIZE_MM = [297, 210].freeze
        HEAD = 50
        FOOT = 18
        ROUND = 52
        TITLE = 30
        # A row is as tall as there is room for, within these.
        TALL = (34..74)

        # grid: {name:, about:, gym:, stations: [name], rounds: [{name:, cells: [{who:, says:}]}]}
        def initialize(grid)
          @grid = grid
        end

        def render
          @pdf = Paper.document(SIZE_MM, margin_mm: 10)
          @page = Page.new(@pdf)
          head
          @grid[:rounds].each { |round| row(round) }
          @page.foot([@grid[:gym], Words.say("paper.pain")].join(" · "))
          @pdf.render
        end

        private

        def width = @pdf.bounds.width
        def column = (width - ROUND) / @grid[:stations].size
        def tall = ((@pdf.bounds.top - HEAD - TITLE - FOOT) / @grid[:rounds].size).clamp(TALL.min, TALL.max)

        def head
          top = @pdf.bounds.top
          @page.text(@grid[:name], at: [0, top], width: width, height: 26, size: 21, bold: true)
          @page.text(@grid[:about], at: [0, top - 28], width: width, height: 14, size: 10, colour: MUTED)
          titles(top - HEAD)
        end

        def titles(top)
          @grid[:stations].each_with_index do |name, index|
            @page.text(name, at: [left(index), top], width: column - 6, height: TITLE - 4, size: 12, bold: true)
          end
          @y = top - TITLE
        end

        def left(index) = ROUND + (index * column)

        def row(round)
          turn if @y - tall < FOOT
          @page.text(round[:name], at: [0, @y - 8], width: ROUND - 6, height: 16, size: 11, bold: true)
          round[:cells].each_with_index { |cell, index| cell(cell, left(index)) }
          @y -= tall
        end

        def cell(cell, left)
          @pdf.stroke_rounded_rectangle([left, @y], column - 5, tall - 5, 3)
          @page.text(cell[:who], at: [left + 5, @y - 5], width: column - 15, height: 18, size: 14, bold: true)
          @page.text(cell[:says], at: [left + 5, @y - 22], width: column - 15, height: tall - 29, size: 9)
        end

        def turn
          @pdf.start_new_page
          titles(@pdf.bounds.top)
        end
      end
    end
  end
end
